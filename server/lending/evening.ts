/** The evening of a school: bags that were not fetched are passed on, and families are told what there is to tell. */
import { dueDay } from '~/core/lending/calendar';
import type { Channel } from '~/core/lending/families';
import {
  mayWrite,
  offerText,
  reminderText,
  saidOf,
  stageOf,
  type MessageKind,
  type MessageState,
} from '~/core/lending/reminders';
import type { LendingRules } from '~/core/lending/rules';
import { lineKey, type LineChecks } from '~/core/words/checks';
import { REMINDER_WORDS, type ReminderMessage } from '~/core/words/reminders';
import { messageIn, say, type Reading } from '~/core/words/reading';
import { FAMILY_WORDS } from '~/core/words/family';
import type { KitPlan } from '~/core/kits/recipe';
import { gameNames } from '~/core/pack/names';
import type { SchoolHandle } from '~/data/db';
import { dueRules } from '~/data/queries/calendar';
import { plansOf } from '~/data/queries/copies';
import { passOnHolds } from '~/data/queries/holds';
import {
  addMessages,
  borrowers,
  dropHeld,
  untold,
  waitingMessages,
  type NewMessage,
} from '~/data/queries/outbox';
import { dropOldPictures } from '~/data/queries/pictures';
import { dropOldLooks } from '~/data/queries/privacy';
import { lendingRules } from '~/data/queries/rules';
import { dropOldTexts } from '~/data/queries/texts';
import { findSchool } from '~/data/queries/schools';
import { readingsAt } from '~/data/queries/wording';
import { lineChecks } from '~/data/queries/words';
import { messageLink, newLinkKey } from '../links';

const WORDED = { id: REMINDER_WORDS.id, words: REMINDER_WORDS };

/** The wording of messages in each language of families, and which of its lines were found right. */
interface Tongue {
  reading: Reading;
  checks: LineChecks;
}
async function tonguesAt(at: SchoolHandle, languages: readonly string[]): Promise<Map<string, Tongue>> {
  const wanted = [...new Set(languages)];
  const [readings, checks] = await Promise.all([
    readingsAt(at, wanted),
    Promise.all(wanted.map((language) => lineChecks(at, WORDED, language))),
  ]);
  return new Map(wanted.map((language, i) => [language, { reading: readings[i]!, checks: checks[i]! }]));
}

/** Whether every line of a message was found right; English is the source. */
const isChecked = ({ reading, checks }: Tongue, lines: readonly ReminderMessage[]): boolean =>
  reading.language === 'en' ||
  lines.every(
    (id) =>
      messageIn(reading, REMINDER_WORDS, id) !== undefined && checks[lineKey(id, reading.language)]?.right,
  );

/** How a message goes out: by the channel of the family, on paper where nobody knows how to reach it, or not yet. */
function wayOf(
  family: { channel: Channel; reach: string },
  checked: boolean,
  { unchecked }: LendingRules,
): { state: MessageState; problem: string } {
  if (!checked && unchecked === 'hold')
    return { state: 'held', problem: 'Its wording is not checked by a fluent reader yet.' };
  if (family.channel === 'paper') return { state: 'paper', problem: '' };
  return family.reach.trim()
    ? { state: 'waiting', problem: '' }
    : { state: 'paper', problem: 'Nobody has written down how to reach them, so it goes on paper.' };
}

/** How a family answers by text: the words for it, and its games by number. */
const textBack = (reading: Reading, { variants }: KitPlan) => ({
  easy: say(reading, FAMILY_WORDS, 'text.tooEasy'),
  ok: say(reading, FAMILY_WORDS, 'text.justRight'),
  hard: say(reading, FAMILY_WORDS, 'text.tooHard'),
  games: gameNames(variants, reading)
    .map((name, i) => `${i + 1} ${name}`)
    .join(' · '),
});

/** What there is to tell families on an evening; nothing that was told before. Families that never want to hear hear nothing. */
export async function messagesOf(at: SchoolHandle, today: string): Promise<NewMessage[]> {
  const [rules, days, school, families, offers] = await Promise.all([
    lendingRules(at),
    dueRules(at),
    findSchool(at),
    borrowers(at),
    untold(at),
  ]);
  const tongues = await tonguesAt(
    at,
    [...families, ...offers].map(({ family }) => family.language),
  );
  const plans = await plansOf(at, [
    ...new Set(families.flatMap(({ bags }) => bags.map(({ runId }) => runId))),
  ]);
  const next = dueDay({ lentOn: today, days: 1, calendar: days.calendar });
  const made: NewMessage[] = [];
  const keep = (
    kind: MessageKind,
    once: string,
    family: { id: string; language: string; channel: Channel; reach: string },
    said: string[],
    render: (marked: boolean, address: string) => { text: string; lines: ReminderMessage[] },
  ): void => {
    if (family.channel === 'never') return;
    const tongue = tongues.get(family.language)!;
    const linkKey = newLinkKey();
    const address = messageLink(linkKey);
    const checked = isChecked(tongue, render(false, address).lines);
    made.push({
      familyId: family.id,
      kind,
      once,
      onDay: today,
      language: family.language,
      unchecked: !checked,
      channel: family.channel,
      reach: family.reach,
      said,
      text: render(!checked, address).text,
      linkKey,
      ...wayOf(family, checked, rules),
    });
  };
  for (const { family, bags, writtenOn, said } of families) {
    const staged = bags.flatMap((bag) => {
      const stage = stageOf(bag.dueOn, today, rules);
      return stage ? [{ ...bag, stage }] : [];
    });
    const news = staged.map((bag) => saidOf(bag, bag.stage));
    if (news.every((one) => said.includes(one)) || !mayWrite(writtenOn, today, family.weekly)) continue;
    keep('reminder', `reminder ${today}`, family, news, (marked, address) =>
      reminderText(tongues.get(family.language)!.reading, {
        family: family.name,
        school: school.name,
        bags: staged,
        next,
        address,
        marked,
        // A text is read by itself where there is one bag that it can be about.
        textBack:
          family.channel === 'message' && bags.length === 1
            ? textBack(tongues.get(family.language)!.reading, plans.get(bags[0]!.runId)!.plan)
            : undefined,
      }),
    );
  }
  for (const { family, kitName, keptUntil, once } of offers)
    keep('offer', once, family, [], (marked) =>
      offerText(tongues.get(family.language)!.reading, {
        family: family.name,
        school: school.name,
        kit: kitName,
        until: keptUntil,
        marked,
      }),
    );
  return made;
}

/** Does the work of an evening. Done twice, by whichever servers, it is done once. Answers the messages that wait to be sent. */
export async function evening(at: SchoolHandle, today: string): Promise<string[]> {
  await passOnHolds(at, today);
  await dropHeld(at, today);
  await dropOldPictures(at, today);
  await dropOldLooks(at);
  await dropOldTexts(at);
  await addMessages(at, await messagesOf(at, today));
  return waitingMessages(at);
}
