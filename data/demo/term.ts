/** The rest of the demo: forty-eight families in six classes, nine kits in forty copies, who waits, half a hand-out, messages. */
import { randomBytes } from 'node:crypto';
import { and, inArray } from 'drizzle-orm';
import { seeded, type Random } from '~/core/chance/random';
import { gameOf } from '~/core/games/shelf';
import { settle } from '~/core/games/kit/game';
import type { AgeBand } from '~/core/games/kit/types';
import { ALL } from '~/core/lending/choices';
import { due } from '~/core/lending/calendar';
import { daysAfter, daysBetween, LOAN_DAYS } from '~/core/lending/due';
import { reminderText, saidOf } from '~/core/lending/reminders';
import { USUAL_LENDING } from '~/core/lending/rules';
import { randomCard } from '~/core/lending/card';
import { hasSmallParts } from '~/core/kits/recipe';
import { randomTag } from '~/core/kits/tag';
import { sheetLines } from '~/core/pack/instructions';
import type { Language } from '~/core/words/languages';
import { readingOf } from '~/core/words/readings';
import { REMINDER_WORDS } from '~/core/words/reminders';
import type { SchoolHandle } from '../db';
import { asOwner } from '../migrate';
import { buildCopies } from '../queries/building';
import { dueRules } from '../queries/calendar';
import { findCopy, listCopies, markPrinted, type CopyRow } from '../queries/copies';
import { createFamily, giveCards, listFamilies, type FamilyRow } from '../queries/families';
import { askFor } from '../queries/holds';
import { createVariant, findKit, listKits, saveKit } from '../queries/kits';
import { arrive, takeBack } from '../queries/returns';
import { lend } from '../queries/lending';
import { ours } from '../queries/ours';
import { addMessages, keepReply, pageOfMessages } from '../queries/outbox';
import { copiesForRound, createRound, promiseRound } from '../queries/rounds';
import { saveClassDays, saveLendingRules } from '../queries/rules';
import { mend } from '../queries/counts';
import { addText, familiesReachedBy, settleText } from '../queries/texts';
import { addLineChecks } from '../queries/words';
import { family } from '../schema';
import { familiesAnswer, type DemoLoan } from './answers';
import { childrenOf } from './children';
import { nextWeek } from './evening';

const MORE: readonly (readonly [
  name: string,
  language: Language,
  flags?: { underThree?: boolean; allergens?: string },
])[] = [
  ['Familia Mareas', 'es'],
  ['Family Nettleford', 'en', { underThree: true }],
  ['Family Osman', 'ar'],
  ['Família Pedreira', 'pt'],
  ['Familia Quintal', 'es'],
  ['Family Ropewalk', 'en'],
  ['Family Saltmarsh', 'en'],
  ['Family Tamimi', 'ar', { underThree: true }],
  ['Familia Umbral', 'es'],
  ['Family Vesper', 'en'],
  ['Family Wharfside', 'en', { allergens: 'nuts' }],
  ['Família Ximenes', 'pt'],
  ['Familia Yerba Alta', 'es', { underThree: true }],
  ['Family Zephyr', 'en'],
  ['Family Alder Point', 'en'],
  ['Family Barakat', 'ar'],
  ['Familia Cala Honda', 'es'],
  ['Family Driftwood', 'en'],
  ['Família Enseada', 'pt'],
  ['Family Foghorn', 'en', { underThree: true }],
  ['Familia Gaviota', 'es'],
  ['Family Harborlight', 'en'],
  ['Family Idris', 'ar'],
  ['Familia Jarcia', 'es'],
  ['Family Keelson', 'en'],
  ['Family Lanternwick', 'en'],
  ['Família Maresia', 'pt', { underThree: true }],
  ['Family Najjar', 'ar'],
  ['Familia Ola Mansa', 'es'],
  ['Family Plover', 'en'],
  ['Family Quay', 'en'],
  ['Familia Red Clara', 'es'],
  ['Family Shorewell', 'en'],
  ['Família Tainha', 'pt'],
  ['Family Umar', 'ar'],
  ['Family Willet', 'en'],
];

const KITS: readonly {
  name: string;
  band: AgeBand;
  games: readonly (readonly [game: string, preset: string])[];
  copies: number;
  checked: readonly Language[];
}[] = [
  {
    name: 'Leaves in pairs',
    band: 'preK',
    games: [['leaf-twins', 'leaves-10']],
    copies: 5,
    checked: ['es', 'ar', 'pt'],
  },
  {
    name: 'Dots at a glance',
    band: 'K',
    games: [['peek-and-say', 'five']],
    copies: 5,
    checked: ['es', 'ar'],
  },
  { name: 'Market day', band: 'g1', games: [['market-cups', 'small']], copies: 5, checked: ['es', 'pt'] },
  {
    name: 'Number sentences',
    band: 'g2',
    games: [['write-the-ways', 'ten-both']],
    copies: 5,
    checked: ['es', 'ar', 'pt'],
  },
  {
    name: 'Clap and move',
    band: 'K',
    games: [
      ['clap-a-count', 'twos'],
      ['listen-and-move', 'seven'],
    ],
    copies: 4,
    checked: ['es'],
  },
];
const SMALL_HANDS = { name: 'Small hands', copies: 4 };
/** A term and a half: half of the one before, and this one. */
const WEEKS_AGO = [22, 20, 18, 16, 9, 7, 5, 3];
/** So many families came later. */
const LATE = { families: 4, weeksAgo: 6 };
const LATECOMERS: ReadonlySet<string> = new Set(MORE.slice(-LATE.families).map(([name]) => name));
/** Which share of the bags stays at school on such a day. */
const STAY = 0.3;
/** What is lost often, and the rest seldom. */
const LOST_OFTEN = 'two-colour-counter';
const LOSSES = { often: 0.3, seldom: 0.03 };

export async function aTerm(
  at: SchoolHandle,
  day: string,
  people: { by: string; helper: string; reader: string },
): Promise<void> {
  const { by } = people;
  const random = seeded(48_009);
  for (const [i, [name, language, flags = {}]] of MORE.entries())
    await createFamily(
      at,
      {
        name,
        language,
        ...flags,
        reach: i % 5 === 0 ? '' : `555-01${String(i + 30)}`,
        channel: i % 4 === 1 ? 'message' : i % 7 === 3 ? 'mail' : i % 11 === 5 ? 'never' : 'paper',
        ...childrenOf(i + 12),
      },
      by,
    );
  await knownSince(at, day);
  await giveCards(at, () => randomCard(random));
  const copies = await moreKits(at, day, people, random);
  const families = await listFamilies(at);
  const loans = await lendAndReturn(at, day, people, copies, families, random);
  await familiesAnswer(at, day, loans, by, random);
  await textsCameIn(at);
  await nextWeek(at, day, by);
  await saveLendingRules(at, { ...USUAL_LENDING, bagsAtOnce: 2, renewals: 2 }, 1, by);
  await saveClassDays(at, [{ group: 'Room 6', backOn: 3 }]);
  await whoWaits(at, day, by, families);
  await halfARound(at, day, by);
  await said(at, day, families);
}

/** Families came with the school year, a few of them since. */
async function knownSince(at: SchoolHandle, day: string): Promise<void> {
  const came = (weeks: number) => ({ createdAt: new Date(`${daysAfter(day, -7 * weeks)}T09:00:00Z`) });
  await at
    .update(family)
    .set(came(WEEKS_AGO[0]! + 1))
    .where(ours(at, family));
  await at
    .update(family)
    .set(came(LATE.weeksAgo))
    .where(and(ours(at, family), inArray(family.name, [...LATECOMERS])));
}

/** Copies of kits, printed. Their games are read in some languages. */
async function moreKits(
  at: SchoolHandle,
  day: string,
  { by, helper, reader }: { by: string; helper: string; reader: string },
  random: Random,
): Promise<CopyRow[]> {
  const made: CopyRow[] = [];
  const build = async (kitId: string, count: number): Promise<void> => {
    const { tags } = await buildCopies(at, {
      kit: (await findKit(at, kitId))!,
      count,
      builtOn: daysAfter(day, -170),
      builtBy: helper,
      newTag: () => randomTag(random),
      newLinkKey: () => randomBytes(16).toString('base64url'),
    });
    for (const tag of tags) made.push((await findCopy(at, { tag }))!);
  };
  for (const { name, band, games, copies, checked } of KITS) {
    const variantIds: string[] = [];
    for (const [gameId, presetId] of games) {
      const game = gameOf(gameId);
      const { params, ageBand } = game.presets.find(({ id }) => id === presetId)!;
      const saved = await createVariant(at, {
        gameId,
        name: `${game.words.en.name}, ${presetId}`,
        ageBand,
        params,
        createdBy: by,
      });
      variantIds.push(saved!.id);
      await addLineChecks(
        at,
        game,
        checked.flatMap((language) =>
          sheetLines(settle(game, params)).map((messageId) => ({
            messageId,
            language,
            right: true,
            note: '',
            personId: reader,
          })),
        ),
      );
    }
    const kitId = (await saveKit(
      at,
      { name, ageBand: band, players: 2, paper: 'letter', assurance: 'usual', variantIds },
      by,
    ))!;
    await build(kitId, copies);
  }
  const small = (await listKits(at)).find(({ name }) => name === SMALL_HANDS.name)!;
  await build(small.id, SMALL_HANDS.copies);
  await markPrinted(
    at,
    made.map(({ id }) => id),
  );
  await addLineChecks(
    at,
    { id: REMINDER_WORDS.id, words: REMINDER_WORDS },
    (['es', 'pt'] as const).flatMap((language) =>
      Object.keys(REMINDER_WORDS.en).map((messageId) => ({
        messageId,
        language,
        right: true,
        note: '',
        personId: reader,
      })),
    ),
  );
  return made;
}

/** A term of lending: bags go out on a day, come home about when they are due, and some are out now. */
async function lendAndReturn(
  at: SchoolHandle,
  day: string,
  { by, helper }: { by: string; helper: string },
  copies: readonly CopyRow[],
  families: readonly FamilyRow[],
  random: Random,
): Promise<DemoLoan[]> {
  const rules = await dueRules(at);
  const loans: DemoLoan[] = [];
  const had = new Map<string, Set<string>>();
  const busy = new Set(families.filter(({ out }) => out.length > 0).map(({ id }) => id));
  const may = (copy: CopyRow, family: FamilyRow): boolean =>
    !(family.underThree && hasSmallParts(copy.parts)) &&
    family.allergens === '' &&
    !had.get(family.id)?.has(copy.kitId);
  let turn = 0;
  const next = (copy: CopyRow, taken: ReadonlySet<string>, weeksAgo: number): FamilyRow | undefined => {
    for (let i = 0; i < families.length; i++) {
      const family = families[(turn + i) % families.length]!;
      if (LATECOMERS.has(family.name) && weeksAgo >= LATE.weeksAgo) continue;
      // A language that is reached less than the others.
      if (family.language === 'pt' && random.chance(0.9)) continue;
      if (!taken.has(family.id) && may(copy, family)) {
        turn = (turn + i + 1) % families.length;
        return family;
      }
    }
    return undefined;
  };
  const give = async (
    copy: CopyRow,
    family: FamilyRow,
    lentOn: string,
  ): Promise<{ loanId: string; dueOn: string }> => {
    const { dueOn } = due({ ...rules, lentOn, days: copy.daysOut });
    const made = await lend(at, { copyId: copy.id, familyId: family.id, lentOn, dueOn, personId: by });
    if (!made.ok) throw new Error(`The demo could not lend ${copy.tag}.`);
    had.set(family.id, (had.get(family.id) ?? new Set()).add(copy.kitId));
    return { loanId: made.loanId, dueOn };
  };
  for (const weeks of WEEKS_AGO) {
    const now = new Set<string>();
    for (const copy of copies) {
      if (random.chance(STAY)) continue;
      const family = next(copy, new Set([...now, ...(weeks === WEEKS_AGO.at(-1) ? busy : [])]), weeks);
      if (!family) continue;
      now.add(family.id);
      const lentOn = daysAfter(day, -7 * weeks);
      const { loanId } = await give(copy, family, lentOn);
      const back = daysAfter(lentOn, random.whole(8, 13));
      const returnedOn = back < day ? back : daysAfter(day, -1);
      const counts = copy.parts.map(({ material, quantity }) => ({
        material,
        expected: quantity,
        counted:
          quantity > 1 && random.chance(material === LOST_OFTEN ? LOSSES.often : LOSSES.seldom)
            ? quantity - random.whole(1, 2)
            : quantity,
      }));
      await takeBack(at, { loanId, returnedOn, counts, personId: helper });
      const lost = counts.find(({ expected, counted }) => counted < expected)?.material;
      if (lost) await mend(at, copy.id, helper);
      await countedOn(at, copy.id, returnedOn);
      loans.push({ loanId, copy, family, lentOn, returnedOn, ...(lost ? { lost } : {}) });
    }
  }
  // Out now: some due soon, one late, one that lies at school and waits to be counted.
  const out = new Set(busy);
  for (const [i, copy] of copies.entries()) {
    if (i % 5 > 1) continue;
    const family = next(copy, out, 0);
    if (!family) continue;
    out.add(family.id);
    const lentOn = daysAfter(day, i === 0 ? -19 : -(2 + (i % 9)));
    const { loanId } = await give(copy, family, lentOn);
    if (i % 9 > 3) loans.push({ loanId, copy, family, lentOn });
    if (i === 1) await arrive(at, { copyId: copy.id, arrivedOn: day, personId: helper });
  }
  return loans;
}

/** What was counted just now was counted on a day of the past: only whoever owns the ledger can say so. */
const countedOn = (at: SchoolHandle, copyId: string, day: string): Promise<unknown> =>
  asOwner((client) =>
    client.query(
      "update part_count set at = $1 where school_id = $2 and copy_id = $3 and at > now() - interval '1 minute'",
      [`${day}T14:10:00Z`, at.schoolId, copyId],
    ),
  );

/** Texts that a person has to look at. */
async function textsCameIn(at: SchoolHandle): Promise<void> {
  for (const [reach, text, why] of [
    [
      '555-0131',
      'We loved it! 3 times already',
      '“we loved it” is not the number of a game, one of the three words, and the minutes.',
    ],
    ['555-0999', '1 ok 10', 'Nobody is known under this number.'],
  ] as const) {
    const id = await addText(at, { carriedAs: `demo ${reach}`, reach, text });
    const [family] = await familiesReachedBy(at, reach);
    await settleText(at, id!, { why, ...(family ? { familyId: family.id } : {}) });
  }
}

/** Families that ask for a kit: some get a bag set aside at once, the others wait for one that is out. */
async function whoWaits(
  at: SchoolHandle,
  day: string,
  by: string,
  families: readonly FamilyRow[],
): Promise<void> {
  const kits = await listKits(at);
  const asks: readonly (readonly [family: string, kit: string, self: boolean])[] = [
    ['Family Ropewalk', 'First splits', true],
    ['Familia Cala Honda', 'Leaves in pairs', true],
    ['Family Vesper', 'Rainy afternoon', false],
    ['Family Osman', 'Dots at a glance', false],
    ['Família Enseada', 'Partners of ten', true],
    ['Family Plover', 'Partners of ten', false],
    ['Familia Gaviota', 'Partners of ten', true],
  ];
  for (const [family, kit, self] of asks)
    await askFor(at, {
      familyId: families.find(({ name }) => name === family)!.id,
      kitId: kits.find(({ name }) => name === kit)!.id,
      personId: self ? null : by,
      today: day,
    });
}

/** A hand-out of today, half of it gone. */
async function halfARound(at: SchoolHandle, day: string, by: string): Promise<void> {
  const rules = await dueRules(at);
  const families = (await listFamilies(at)).filter(
    ({ out, underThree, allergens, group }) =>
      out.length === 0 && !underThree && allergens === '' && group !== 'Room 6',
  );
  const free = await copiesForRound(at);
  const roundId = await createRound(at, { name: 'Bags of the week', onDay: day, choices: ALL, personId: by });
  const matches: { family: string; copy: string; score: number; why: string }[] = [];
  for (const copy of free) {
    if (matches.length === 6) break;
    if (!KITS.some(({ name }) => name === copy.kitName)) continue;
    const family = families.find(
      ({ id, language }) =>
        !matches.some((one) => one.family === id) &&
        (language === 'en' || KITS.find(({ name }) => name === copy.kitName)!.checked.includes(language)),
    );
    if (family)
      matches.push({
        family: family.id,
        copy: copy.id,
        score: 40,
        why: 'The family has waited, and it fits.',
      });
  }
  if ((await promiseRound(at, roundId, matches, by)) !== 'done')
    throw new Error('The demo could not promise a hand-out.');
  for (const { family, copy } of matches.slice(0, 3)) {
    await lend(at, {
      copyId: copy,
      familyId: family,
      lentOn: day,
      dueOn: due({ ...rules, lentOn: day, days: LOAN_DAYS }).dueOn,
      personId: by,
    });
  }
}

/** What was said on the evening before: sent and answered, on paper, held back. */
async function said(at: SchoolHandle, day: string, families: readonly FamilyRow[]): Promise<void> {
  const evening = daysAfter(day, -1);
  const out = (await listCopies(at)).filter(({ loan }) => loan !== null);
  const told = ['es', 'en', 'ar'].flatMap((language) => {
    const one = out
      .filter(({ loan }) => language === 'ar' || daysBetween(evening, loan!.dueOn) <= 3)
      .find(({ loan }) => families.find(({ id }) => id === loan!.familyId)?.language === language);
    return one ? [{ one, language }] : [];
  });
  await addMessages(
    at,
    told.map(({ one, language }) => {
      const { loan } = one;
      const family = families.find(({ id }) => id === loan!.familyId)!;
      const linkKey = randomBytes(16).toString('base64url');
      const bag = {
        loanId: loan!.id,
        kitName: one.kitName,
        dueOn: loan!.dueOn,
        stage: loan!.dueOn < evening ? ('after 1' as const) : ('before' as const),
      };
      const unchecked = language === 'ar';
      return {
        familyId: family.id,
        kind: 'reminder' as const,
        once: `reminder ${evening}`,
        onDay: evening,
        language,
        unchecked,
        channel: 'message' as const,
        reach: family.reach,
        said: [saidOf(bag, bag.stage)],
        text: reminderText(readingOf(language), {
          family: family.name,
          school: 'Kittiwake Bay Elementary',
          bags: [bag],
          next: day,
          address: `http://127.0.0.1:4600/a/${linkKey}`,
          marked: unchecked,
        }).text,
        linkKey,
        state: unchecked ? ('held' as const) : language === 'en' ? ('paper' as const) : ('sent' as const),
        ...(language === 'es' ? { sentAt: new Date(Date.now() - 43_200_000) } : {}),
        problem: unchecked ? 'Its wording is not checked by a fluent reader yet.' : '',
      };
    }),
  );
  const { messages } = await pageOfMessages(at, { states: ['sent'], first: 0, most: 1 });
  if (messages[0]) await keepReply(at, messages[0].id, 'coming', day);
}
