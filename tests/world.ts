/** A small school to test with, made anew for each test. */
import { getLocalTimeZone } from '@internationalized/date';
import { sql } from 'drizzle-orm';
import { gameOf } from '~/core/games/shelf';
import { secureRandom } from '~/server/random';
import { randomTag } from '~/core/kits/tag';
import { atSchool, type SchoolHandle } from '~/data/db';
import { sqlState } from '~/data/trouble';
import { loadDemoWhenEmpty, type Demo } from '~/data/demo/load';
import type { Answer } from '~/core/listening/answer';
import { createFamily, type Family } from '~/data/queries/families';
import { buildCopies } from '~/data/queries/building';
import { findCopy, markPrinted, type CopyRow } from '~/data/queries/copies';
import { createVariant, findKit, saveKit, type Variant } from '~/data/queries/kits';
import { lend } from '~/data/queries/lending';
import { pageOfAnswers, type AnswerRow, type NewAnswer } from '~/data/queries/listening';
import { createPerson, findPersonByName, type Person } from '~/data/queries/people';
import { saveRules } from '~/data/queries/calendar';
import { boundTo, setUpSchool, type School } from '~/data/queries/schools';
import type { Role } from '~/core/people/role';
import { newLinkKey } from '~/server/links';
import { hashPassword } from '~/server/people/password';
import { everything } from './owner';

export const PASSWORD = 'a long enough password';

/** Empties every table; the schema stays. A page of the last test that is still read may stand in the way for a moment. */
export async function emptyDatabase(): Promise<void> {
  const { rows } = await everything().execute<{ name: string }>(
    sql`select quote_ident(tablename) as name from pg_tables where schemaname = 'public'`,
  );
  const empty = sql.raw(`truncate ${rows.map((row) => row.name).join(', ')} restart identity cascade`);
  for (let tries = 1; ; tries++)
    try {
      await everything().execute(empty);
      return;
    } catch (error) {
      if (tries === 5 || sqlState(error) !== '40P01') throw error;
    }
}

export interface SmallSchool {
  school: School;
  /** The way to its rows. */
  at: SchoolHandle;
  people: Record<Role, Person>;
  families: Family[];
  copies: CopyRow[];
  kitId: string;
}

/** A loan of one of its copies to one of its families; its id. Throws when it is refused. */
export async function lendOut(
  { at, copies, families, people }: SmallSchool,
  { copy = 0, family = 0, ...days }: { copy?: number; family?: number; lentOn: string; dueOn: string },
): Promise<string> {
  const asked = {
    copyId: copies[copy]!.id,
    familyId: families[family]!.id,
    personId: people.helper.id,
    ...days,
  };
  let made = await lend(at, asked);
  // Somebody decides that it goes out.
  if (!made.ok && made.reason === 'unsafe')
    made = await lend(at, { ...asked, decided: { by: 'Helper', of: made.holds } });
  if (!made.ok) throw new Error(made.reason);
  return made.loanId;
}

/** Copies of a kit that can go out at once. */
export async function printedCopies(
  at: SchoolHandle,
  kitId: string,
  count: number,
  builtBy: string,
): Promise<CopyRow[]> {
  const { tags } = await buildCopies(at, {
    kit: (await findKit(at, kitId))!,
    count,
    builtOn: '2026-09-01',
    builtBy,
    newTag: () => randomTag(secureRandom),
    newLinkKey,
  });
  const copies = await Promise.all(tags.map(async (tag) => (await findCopy(at, { tag }))!));
  await markPrinted(
    at,
    copies.map(({ id }) => id),
  );
  return copies;
}

/** One more variant: the first preset of a game under a name of its own. */
export async function addVariant(
  { at, people }: SmallSchool,
  gameId: string,
  name: string,
): Promise<Variant> {
  const { params } = gameOf(gameId).presets[0]!;
  return (await createVariant(at, { gameId, name, params, ageBand: 'K', createdBy: people.coordinator.id }))!;
}

/** A school with one person of each role, three families, and one kit in three printed copies. */
export async function smallSchool(): Promise<SmallSchool> {
  await emptyDatabase();
  const passwordHash = await hashPassword(PASSWORD);
  const made = await setUpSchool({
    school: {
      name: 'Tern Rock School',
      paper: 'a4',
      languages: ['en', 'es'],
      contact: '',
      timeZone: getLocalTimeZone(),
    },
    person: { name: 'Coordinator', passwordHash },
  });
  const { school, person: coordinator } = made!;
  const at = atSchool(boundTo(school));
  // It has school on every day, so that no test depends on the day on which it runs.
  await saveRules(
    at,
    { weekdays: [1, 2, 3, 4, 5, 6, 7], backOn: null, breaks: 'over', longBreakDays: 5 },
    1,
    coordinator.id,
  );
  const helper = await createPerson(at, { name: 'Helper', passwordHash, role: 'helper' });
  const reader = await createPerson(at, { name: 'Reader', passwordHash, role: 'reader' });
  const families: Family[] = [];
  for (const [name, language] of [
    ['Familia Vela', 'es'],
    ['Family Dunlin', 'en'],
    ['Family Auk', 'en'],
  ] as const) {
    families.push((await createFamily(at, { name, language, reach: '', underThree: false, allergens: '' }))!);
  }
  const game = gameOf('two-tone-spill');
  const variant = await createVariant(at, {
    gameId: game.id,
    name: 'Six',
    params: game.presets[1]!.params,
    ageBand: 'g1',
    createdBy: coordinator.id,
  });
  const kitId = (await saveKit(at, {
    name: 'First splits',
    ageBand: 'g1',
    players: 2,
    paper: 'a4',
    assurance: 'usual',
    variantIds: [variant!.id],
  }))!;
  const copies = await printedCopies(at, kitId, 3, helper.id);
  return { school, at, people: { coordinator, helper, reader }, families, copies, kitId };
}

/** The demo schools, both of one district, in an empty database. */
export async function demoSchools(): Promise<Demo> {
  await emptyDatabase();
  return (await loadDemoWhenEmpty((password) => Promise.resolve(password), { whole: false }))!;
}

/** The id of somebody of the demo. */
export const idOf = async (name: string): Promise<string> => (await findPersonByName(name))!.id;

/** An answer of a family about a loan; nothing is said but what is given. */
export const aWord = (
  loanId: string,
  {
    games = [],
    sendKey = crypto.randomUUID(),
    language = 'en',
    via = 'page',
    ...said
  }: Partial<Answer> & Partial<Pick<NewAnswer, 'games' | 'sendKey' | 'language' | 'via'>> = {},
): NewAnswer => ({
  answer: { childDid: '', missing: '', anythingElse: '', ...said },
  games,
  sendKey,
  loanId,
  language,
  via,
});

/** All answers of a school, in the order in which they came. */
export const answersOf = async (at: SchoolHandle): Promise<AnswerRow[]> =>
  (await pageOfAnswers(at, { first: 0, most: 5000 })).answers.reverse();
