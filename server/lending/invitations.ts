/** Families are asked to come to an evening, and thanked when they came: each once, in its language, by its channel. */
import {
  invitationText,
  mayWrite,
  thanksText,
  type EveningSaid,
  type MessageKind,
} from '~/core/lending/reminders';
import type { Reading } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { guestsOf, invitedTo } from '~/data/queries/gatherings';
import { addMessages, toWriteTo, type NewMessage } from '~/data/queries/outbox';
import { lendingRules } from '~/data/queries/rules';
import { findSchool } from '~/data/queries/schools';
import { enqueueMessages } from './jobs';
import { messageMaker, tonguesAt } from './telling';

/** What became of telling many families something. */
export interface ToldMany {
  /** Told now; of these to be printed, and held back until their wording is checked. */
  now: number;
  paper: number;
  held: number;
  /** Written to already on this day, or this week where they want no more: told when it is asked for again. */
  later: number;
  /** They would rather not be written to. */
  never: number;
}

type Writable = Awaited<ReturnType<typeof toWriteTo>>[number];
type Greeted = Parameters<typeof invitationText>[2];

async function tellAll(
  at: SchoolHandle,
  families: readonly Writable[],
  kind: MessageKind,
  once: string,
  today: string,
  textFor: (reading: Reading, greeted: Greeted) => ReturnType<typeof thanksText>,
): Promise<ToldMany> {
  const [rules, school, tongues] = await Promise.all([
    lendingRules(at),
    findSchool(at),
    tonguesAt(
      at,
      families.map(({ language }) => language),
    ),
  ]);
  const make = messageMaker(tongues, rules, today);
  const told: ToldMany = { now: 0, paper: 0, held: 0, later: 0, never: 0 };
  const made: NewMessage[] = [];
  for (const family of families) {
    if (family.channel !== 'never' && !mayWrite(family.writtenOn, today, family.weekly)) {
      told.later++;
      continue;
    }
    const one = make(kind, once, family, [], (marked, address) =>
      textFor(tongues.get(family.language)!.reading, {
        family: family.name,
        school: school.name,
        marked,
        address,
      }),
    );
    if (!one) {
      told.never++;
      continue;
    }
    made.push(one);
    told.now++;
    if (one.state === 'paper') told.paper++;
    if (one.state === 'held') told.held++;
  }
  await enqueueMessages(at, await addMessages(at, made));
  return told;
}

/** Asks every family to an evening that was not asked yet. */
export async function inviteAll(
  at: SchoolHandle,
  evening: EveningSaid & { id: string },
  today: string,
): Promise<ToldMany> {
  const [families, asked] = await Promise.all([toWriteTo(at), invitedTo(at, evening.id)]);
  const already = new Set(asked.map(({ familyId }) => familyId));
  return tellAll(
    at,
    families.filter(({ id }) => !already.has(id)),
    'invitation',
    `invitation ${evening.id}`,
    today,
    (reading, greeted) => invitationText(reading, evening, greeted),
  );
}

/** Thanks every family that came and was not thanked yet. */
export async function thankAll(
  at: SchoolHandle,
  evening: Pick<EveningSaid, 'name'> & { id: string },
  gatheringId: string,
  today: string,
): Promise<ToldMany> {
  const [families, guests, thanked] = await Promise.all([
    toWriteTo(at),
    guestsOf(at, gatheringId),
    invitedTo(at, evening.id, 'thanks'),
  ]);
  const came = new Set(guests.filter((one) => one.at !== null).map(({ id }) => id));
  const already = new Set(thanked.map(({ familyId }) => familyId));
  return tellAll(
    at,
    families.filter(({ id }) => came.has(id) && !already.has(id)),
    'thanks',
    `thanks ${evening.id}`,
    today,
    (reading, greeted) => thanksText(reading, evening, greeted),
  );
}
