/**
 * The demo scenario: Kittiwake Bay Elementary, an invented school in an invented ferry town, in the middle of a
 * term, and Lantern Hill Elementary, a small one up the hill that has just begun. Every name is made up; every day is counted from the day it is loaded.
 */
import { randomBytes } from 'node:crypto';
import { getLocalTimeZone } from '@internationalized/date';
import { eq } from 'drizzle-orm';
import { seeded } from '~/core/chance/random';
import { gameOf } from '~/core/games/shelf';
import { newOwnGame, type OwnGame } from '~/core/own/definition';
import { dayIn, daysAfter, LOAN_DAYS } from '~/core/lending/due';
import { randomTag } from '~/core/kits/tag';
import type { AgeBand, Params } from '~/core/games/kit/types';
import type { Role } from '~/core/people/role';
import type { Language } from '~/core/words/languages';
import { atSchool, type SchoolHandle } from '../db';
import { createFamily, type Family } from '../queries/families';
import { addOwnGame } from '../queries/games';
import { buildCopies } from '../queries/building';
import { findCopy, markPrinted, type CopyRow } from '../queries/copies';
import { createVariant, findKit, listKits, saveKit } from '../queries/kits';
import { lend } from '../queries/lending';
import { takeBack } from '../queries/returns';
import { silent } from '~/core/listening/answer';
import type { Level } from '~/core/pack/questions';
import { addAnswer, markRead } from '../queries/listening';
import { createPerson, type Person } from '../queries/people';
import { boundTo, nameDistrict, setUpSchool, whoseDoor } from '../queries/schools';
import { answer } from '../schema';
import { schoolYear } from './calendar';
import { childrenOf } from './children';
import { LANTERN, lanternHill } from './lantern';
import { halfMadeRun } from './run';
import { ACORN_CAPS, fillStore } from './store';
import { aTerm } from './term';
import { readersWork } from './words';

interface DemoPerson {
  name: string;
  role: Role;
  password: string;
  /** Where they sign in to. */
  of: string;
}
const KITTIWAKE = 'Kittiwake Bay Elementary';
export const DEMO_PEOPLE: readonly DemoPerson[] = [
  { name: 'Maren', role: 'coordinator', password: 'fern-and-twine', of: KITTIWAKE },
  { name: 'Tobin', role: 'helper', password: 'scissors-and-glue', of: `${KITTIWAKE} and ${LANTERN}` },
  { name: 'Eskil', role: 'helper', password: 'needle-and-thread', of: KITTIWAKE },
  { name: 'Ilaria', role: 'reader', password: 'word-for-word', of: KITTIWAKE },
  { name: 'Soren', role: 'coordinator', password: 'lamp-and-ladder', of: LANTERN },
  { name: 'Runa', role: 'coordinator', password: 'tide-and-timber', of: 'the district of both' },
];
const demoPerson = (name: string): DemoPerson => DEMO_PEOPLE.find((one) => one.name === name)!;

const FAMILIES: { name: string; language: Language; underThree?: boolean; allergens?: string }[] = [
  { name: 'Familia Arroyo Vela', language: 'es', underThree: true },
  { name: 'Family Brackwater', language: 'en' },
  { name: 'Familia Cordero Luz', language: 'es' },
  { name: 'Family Dunlin', language: 'en', allergens: 'latex' },
  { name: 'Familia Esparza Mar', language: 'es' },
  { name: 'Família Figueira', language: 'pt' },
  { name: 'Family Gannet', language: 'en', underThree: true },
  { name: 'Family Haddad', language: 'ar' },
  { name: 'Familia Ibarra Sol', language: 'es' },
  { name: 'Family Jetty', language: 'en' },
  { name: 'Family Kelpwright', language: 'en' },
  { name: 'Família Lagoa', language: 'pt' },
];

const presetOf = (gameId: string, presetId: string) =>
  gameOf(gameId).presets.find((preset) => preset.id === presetId)!;

/** A game that Maren made herself. */
const FERRY_LOAD: OwnGame = {
  ...newOwnGame(),
  name: { en: 'Ferry Load', es: 'La carga del ferri' },
  goal: {
    en: 'Roll, load as many cars and fill the ferry: {goal} fit on board.',
    es: 'Tiren, suban esa cantidad de autos y llenen el ferri: caben {goal} a bordo.',
  },
  turn: { kind: 'roll', count: 2, from: 1, to: 6, copies: 4 },
  end: { when: 'reached', number: 20 },
  parts: [
    { material: 'die', times: 2, each: 'game' },
    { material: 'chip', times: 1, each: 'result' },
    { material: 'mat', times: 1, each: 'player' },
  ],
  steps: [
    {
      part: 'setUp',
      show: 'pieces',
      en: 'Give each player a ferry. The chips are the cars: put them on the dock.',
      es: 'Den un ferri a cada participante. Las fichas son los autos: pónganlas en el muelle.',
    },
    {
      part: 'turn',
      show: 'pieces',
      en: 'Roll {count} dice, say how many in all, and load as many cars.',
      es: 'Tiren {count} dados, digan cuántos son en total y suban esa cantidad de autos.',
    },
    {
      part: 'turn',
      show: 'none',
      en: 'Say how many cars are on board now, and how many more fit.',
      es: 'Digan cuántos autos hay a bordo y cuántos más caben.',
    },
    {
      part: 'end',
      show: 'none',
      en: 'The first ferry with {goal} cars blows its horn. Go on until all have sailed.',
      es: 'El primer ferri con {goal} autos toca la bocina. Sigan hasta que todos hayan zarpado.',
    },
    {
      part: 'say',
      show: 'none',
      en: '“How many more until the ferry is full?”',
      es: '«¿Cuántos faltan para llenar el ferri?»',
    },
  ],
};

/** Games beyond the first: saved variants, a kit that is being planned, a game of her own, and what the store has. */
async function moreGames(at: SchoolHandle, createdBy: string): Promise<void> {
  const keep = async (gameId: string, presetId: string, name: string): Promise<string> => {
    const { params, ageBand } = presetOf(gameId, presetId);
    return (await createVariant(at, { gameId, name, ageBand, params, createdBy }))!.id;
  };
  const variantIds = [
    await keep('skyline-rolls', 'two-dice', 'Towers with two dice'),
    await keep('tide-pairs', 'ten', 'Tide pairs of ten'),
    await keep('three-stones', 'placing', 'Three stones on the table'),
  ];
  await keep('harvest-mat', 'matched', 'Harvest, matched mat');
  await keep('row-call', 'two', 'Row call for two');
  await saveKit(
    at,
    {
      name: 'Rainy afternoon',
      ageBand: 'g1',
      players: 2,
      paper: 'letter',
      assurance: 'usual',
      languages: ['es', 'pt'],
      swaps: { 'hop-stone': ACORN_CAPS },
      variantIds,
    },
    createdBy,
  );
  await addOwnGame(at, FERRY_LOAD, createdBy);
  await fillStore(at, createdBy);
}

export interface Demo {
  /** Kittiwake Bay Elementary. */
  at: SchoolHandle;
  /** Lantern Hill Elementary. */
  sister: SchoolHandle;
}

/** Loads the scenario when there is no school yet; not the `whole` of it is a school with twelve families. Answers the ways to its schools, or undefined when it did nothing. */
export async function loadDemoWhenEmpty(
  hashPassword: (password: string) => Promise<string>,
  { whole = true } = {},
): Promise<Demo | undefined> {
  if ((await whoseDoor()) !== undefined) return undefined;
  const timeZone = getLocalTimeZone();
  const day = dayIn(timeZone, new Date());
  const hashOf = (name: string): Promise<string> => hashPassword(demoPerson(name).password);
  // Who sets the first school up coordinates the district.
  const made = (await setUpSchool({
    school: {
      name: KITTIWAKE,
      paper: 'letter',
      languages: ['en', 'es', 'ar', 'pt'],
      contact: 'the family room, beside the front door; 555 0142',
      timeZone,
    },
    person: { name: 'Runa', passwordHash: await hashOf('Runa') },
  }))!;
  await nameDistrict(made.school.districtId, 'Schools of the ferry towns');
  const at = atSchool(boundTo(made.school));
  const add = async (to: SchoolHandle, name: string): Promise<Person> =>
    createPerson(to, { name, role: demoPerson(name).role, passwordHash: await hashOf(name) }, made.person.id);
  const maren = await add(at, 'Maren');
  const tobin = await add(at, 'Tobin');
  const eskil = await add(at, 'Eskil');
  const ilaria = await add(at, 'Ilaria');
  const by = maren.id;
  const families: Family[] = [];
  for (const [i, one] of FAMILIES.entries()) {
    families.push(
      (await createFamily(
        at,
        {
          name: one.name,
          language: one.language,
          reach: `555-01${String(i + 10)}`,
          ...childrenOf(i),
          underThree: one.underThree ?? false,
          allergens: one.allergens ?? '',
        },
        by,
      ))!,
    );
  }

  const spill = gameOf('two-tone-spill');
  const variantFrom = (presetId: string, name: string, ageBand: AgeBand, change: Params = {}) =>
    createVariant(at, {
      gameId: spill.id,
      name,
      ageBand,
      params: { ...spill.presets.find((preset) => preset.id === presetId)!.params, ...change },
      createdBy: by,
    });
  const six = (await variantFrom('6-ordered', 'Spill six', 'g1'))!;
  const ten = (await variantFrom('10-unordered', 'Spill ten, turn over', 'g1', { finish: 'turnOver' }))!;
  const five = (await variantFrom('5-ordered', 'Spill five', 'K'))!;
  await variantFrom('8-unordered', 'Spill eight', 'g1');

  const sixKit = (await saveKit(
    at,
    {
      name: 'First splits',
      ageBand: 'g1',
      players: 2,
      paper: 'letter',
      assurance: 'usual',
      variantIds: [six.id],
    },
    by,
  ))!;
  const tenKit = (await saveKit(
    at,
    {
      name: 'Partners of ten',
      ageBand: 'g1',
      players: 2,
      paper: 'letter',
      assurance: 'usual',
      variantIds: [six.id, ten.id],
    },
    by,
  ))!;
  await saveKit(
    at,
    {
      name: 'Small hands',
      ageBand: 'K',
      players: 2,
      paper: 'letter',
      assurance: 'usual',
      variantIds: [five.id],
    },
    by,
  );

  await schoolYear(at, day, by);
  await moreGames(at, by);
  await readersWork(at, { coordinatorId: by, readerId: ilaria.id });

  const random = seeded(20_260);
  const copiesOf = async (kitId: string, count: number, builtOn: string): Promise<CopyRow[]> => {
    const { tags } = await buildCopies(at, {
      kit: (await findKit(at, kitId))!,
      count,
      builtOn,
      builtBy: tobin.id,
      newTag: () => randomTag(random),
      newLinkKey: () => randomBytes(16).toString('base64url'),
    });
    return Promise.all(tags.map(async (tag) => (await findCopy(at, { tag }))!));
  };
  const sixes = await copiesOf(sixKit, 6, daysAfter(day, -45));
  const tens = await copiesOf(tenKit, 4, daysAfter(day, -30));
  const rainyKit = (await listKits(at)).find(({ name }) => name === 'Rainy afternoon')!;
  const rainy = await copiesOf(rainyKit.id, 2, daysAfter(day, -28));
  await markPrinted(
    at,
    [...sixes, ...tens.slice(0, 2), ...rainy].map((one) => one.id),
  );

  const loan = async (copy: CopyRow, family: number, lentDaysAgo: number): Promise<string> => {
    const lentOn = daysAfter(day, -lentDaysAgo);
    const asked = {
      copyId: copy.id,
      familyId: families[family]!.id,
      lentOn,
      dueOn: daysAfter(lentOn, LOAN_DAYS),
      personId: by,
    };
    let made = await lend(at, asked);
    // Where something in the bag is not for this family, somebody has decided by name that it goes out.
    if (!made.ok && made.reason === 'unsafe')
      made = await lend(at, { ...asked, decided: { by: 'Maren', of: made.holds } });
    if (!made.ok) throw new Error(`The demo could not lend ${copy.tag}.`);
    return made.loanId;
  };
  const home = (
    loanId: string,
    copy: CopyRow,
    daysAgo: number,
    missing: Record<string, number> = {},
    lacks: string[] = [],
  ): Promise<boolean> =>
    takeBack(at, {
      loanId,
      returnedOn: daysAfter(day, -daysAgo),
      counts: copy.parts.map((part) => ({
        material: part.material,
        expected: part.quantity,
        counted: part.quantity - (missing[part.material] ?? 0),
        ...(part.material === 'card-deck' ? { lacks } : {}),
      })),
      personId: tobin.id,
    });
  const heard = async (
    loanId: string,
    daysAgo: number,
    language: string,
    { level, ...said }: Partial<typeof answer.$inferInsert> & { level: Level },
  ): Promise<string> => {
    const id = (await addAnswer(at, {
      answer: { childDid: '', missing: '', anythingElse: '' },
      games: [{ ...silent(0), said: level }],
      sendKey: crypto.randomUUID(),
      loanId,
      language,
      via: 'page',
    }))!;
    await at
      .update(answer)
      .set({ sentAt: new Date(Date.now() - daysAgo * 86_400_000), ...said })
      .where(eq(answer.id, id));
    return id;
  };

  const returned = [
    await loan(sixes[0]!, 0, 40),
    await loan(sixes[1]!, 1, 38),
    await loan(sixes[2]!, 2, 36),
  ] as const;
  await home(returned[0], sixes[0]!, 20);
  await home(returned[1], sixes[1]!, 16, { 'two-colour-counter': 1, pencil: 1 });
  await home(returned[2], sixes[2]!, 12);
  const first = await heard(returned[0], 25, 'es', {
    children: 2,
    grownUps: 1,
    times: 4,
    minutes: 12,
    level: 'justRight',
    childDid: 'La mayor le explicó al pequeño que tres y tres son seis.',
  });
  const second = await heard(returned[1], 17, 'en', {
    children: 1,
    grownUps: 1,
    times: 2,
    minutes: 5,
    level: 'tooEasy',
    childDid: 'Said all the pairs before tipping the cup.',
    missing: 'One counter rolled under the stove. A pencil too.',
  });
  await heard(returned[2], 13, 'es', {
    children: 3,
    grownUps: 1,
    times: 6,
    minutes: 10,
    level: 'justRight',
    childDid: 'Quisieron jugar también con botones.',
  });
  await markRead(at, [first, second], true);

  // Copies that lack something, each in its way: few pieces, most of them, a cup, cards of a deck.
  await home(await loan(sixes[5]!, 9, 34), sixes[5]!, 14, { 'two-colour-counter': 4 });
  await home(await loan(tens[1]!, 10, 27), tens[1]!, 8, { cup: 1 });
  await home(await loan(rainy[0]!, 11, 24), rainy[0]!, 4, {}, ['7h', 'QS']);
  await loan(sixes[3]!, 3, 30); // overdue
  await loan(sixes[4]!, 4, LOAN_DAYS); // due today
  await loan(sixes[2]!, 7, 6);
  const withTens = await loan(tens[0]!, 8, 10);
  await addAnswer(at, {
    answer: {
      children: 2,
      grownUps: 2,
      times: 3,
      minutes: 20,
      again: 'easier',
      childDid: '',
      missing: '',
      anythingElse: '¿Hay una canasta más corta?',
    },
    games: [
      { ...silent(0), said: 'justRight' },
      { ...silent(1), said: 'tooHard', childSaid: 'Con diez fichas se pierden al contar.', how: ['pieces'] },
    ],
    sendKey: crypto.randomUUID(),
    loanId: withTens,
    language: 'es',
    via: 'page',
  });
  await halfMadeRun(at, {
    kitIds: [sixKit, tenKit],
    startedOn: daysAfter(day, -1),
    by,
    helpers: [tobin.id, eskil.id],
  });
  if (whole) await aTerm(at, day, { by, helper: tobin.id, reader: ilaria.id });
  const sister = await lanternHill(made, timeZone, day, tobin.id, add);
  return { at, sister };
}
