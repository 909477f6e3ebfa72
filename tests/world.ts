/** A small school to test with, made anew for each test. */
import { sql } from 'drizzle-orm';
import { gameOf } from '~/core/games/shelf';
import { secureRandom } from '~/server/random';
import { randomTag } from '~/core/kits/tag';
import { db } from '~/data/db';
import { createFamily, type Family } from '~/data/queries/families';
import {
  buildCopies,
  createVariant,
  findCopy,
  findKit,
  markPrinted,
  saveKit,
  type CopyRow,
  type Variant,
} from '~/data/queries/kits';
import { lend } from '~/data/queries/lending';
import { createPerson, setUpSchool, type Person } from '~/data/queries/people';
import type { Role } from '~/core/people/role';
import { newLinkKey } from '~/server/links';
import { hashPassword } from '~/server/people/password';

export const PASSWORD = 'a long enough password';

/** Empties every table; the schema stays. */
export async function emptyDatabase(): Promise<void> {
  const { rows } = await db().execute<{ name: string }>(
    sql`select quote_ident(tablename) as name from pg_tables where schemaname = 'public'`,
  );
  await db().execute(sql.raw(`truncate ${rows.map((row) => row.name).join(', ')} restart identity cascade`));
}

export interface SmallSchool {
  people: Record<Role, Person>;
  families: Family[];
  copies: CopyRow[];
  kitId: string;
}

/** A loan of one of its copies to one of its families; its id. Throws when it is refused. */
export async function lendOut(
  { copies, families, people }: SmallSchool,
  { copy = 0, family = 0, ...days }: { copy?: number; family?: number; lentOn: string; dueOn: string },
): Promise<string> {
  const made = await lend({
    copyId: copies[copy]!.id,
    familyId: families[family]!.id,
    personId: people.helper.id,
    ...days,
  });
  if (!made.ok) throw new Error(made.reason);
  return made.loanId;
}

/** One more variant: the first preset of a game under a name of its own. */
export async function addVariant({ people }: SmallSchool, gameId: string, name: string): Promise<Variant> {
  const { params } = gameOf(gameId).presets[0]!;
  return (await createVariant({ gameId, name, params, ageBand: 'K', createdBy: people.coordinator.id }))!;
}

/** A school with one person of each role, three families, and one kit in three printed copies. */
export async function smallSchool(): Promise<SmallSchool> {
  await emptyDatabase();
  const passwordHash = await hashPassword(PASSWORD);
  const coordinator = await setUpSchool({
    schoolName: 'Tern Rock School',
    paper: 'a4',
    languages: ['en', 'es'],
    personName: 'Coordinator',
    passwordHash,
  });
  const helper = await createPerson({ name: 'Helper', passwordHash, role: 'helper' });
  const reader = await createPerson({ name: 'Reader', passwordHash, role: 'reader' });
  const families: Family[] = [];
  for (const [name, language] of [
    ['Familia Vela', 'es'],
    ['Family Dunlin', 'en'],
    ['Family Auk', 'en'],
  ] as const) {
    families.push((await createFamily({ name, language, reach: '', underThree: false, allergens: '' }))!);
  }
  const game = gameOf('two-tone-spill');
  const variant = await createVariant({
    gameId: game.id,
    name: 'Six',
    params: game.presets[1]!.params,
    ageBand: 'g1',
    createdBy: coordinator!.id,
  });
  const kitId = (await saveKit({
    name: 'First splits',
    ageBand: 'g1',
    players: 2,
    paper: 'a4',
    assurance: 'usual',
    variantIds: [variant!.id],
  }))!;
  const { tags } = await buildCopies({
    kit: (await findKit(kitId))!,
    count: 3,
    builtOn: '2026-09-01',
    builtBy: helper.id,
    newTag: () => randomTag(secureRandom),
    newLinkKey,
  });
  const copies = await Promise.all(tags.map(async (tag) => (await findCopy({ tag }))!));
  await markPrinted(copies.map((copy) => copy.id));
  return { people: { coordinator: coordinator!, helper, reader }, families, copies, kitId };
}
