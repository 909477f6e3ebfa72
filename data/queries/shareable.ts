/** A thing of a school whole, as others see it, and made anew in another school. */
import { and, asc, desc, eq, inArray, isNull, notLike, sql } from 'drizzle-orm';
import { same } from '~/core/check/merge';
import { kitAbout } from '~/core/kits/forms';
import type { Shared, SharedKind, SharedVariant, SharedWording } from '~/core/kits/shared';
import { aboutLanguage, isLanguage } from '~/core/words/languages';
import type { SchoolHandle } from '../db';
import { kit, kitVariant, ownGame, person, variant, wordingCheck } from '../schema';
import { log } from './changes';
import { addKinds, ownKinds } from './materials';
import { ours } from './ours';

type KitRow = typeof kit.$inferSelect;

/** A thing of a school as others would see it; undefined when it is not there. */
export async function contentOf(
  tx: SchoolHandle,
  kind: SharedKind,
  thingId: string,
): Promise<{ name: string; content: Shared } | undefined> {
  if (kind === 'kit') {
    const [found] = await tx
      .select()
      .from(kit)
      .where(and(ours(tx, kit), eq(kit.id, thingId)));
    if (!found) return undefined;
    const variants = (await variantsIn(tx, thingId)).map(sharedVariant);
    const materials = await ownKinds(tx, Object.values(found.swaps));
    return {
      name: found.name,
      content: { kind, ...kitAbout(found), variants, ...(materials.length ? { materials } : {}) },
    };
  }
  if (kind === 'own game') {
    const [found] = await tx
      .select({ name: ownGame.name, definition: ownGame.definition })
      .from(ownGame)
      .where(and(ours(tx, ownGame), eq(ownGame.id, thingId), isNull(ownGame.archivedAt)));
    return found && { name: found.name, content: { kind, definition: found.definition } };
  }
  if (!isLanguage(thingId)) return undefined;
  const language = aboutLanguage(thingId);
  const lines = await tx
    .selectDistinctOn([wordingCheck.gameId, wordingCheck.messageId], {
      gameId: wordingCheck.gameId,
      messageId: wordingCheck.messageId,
      message: wordingCheck.message,
      right: wordingCheck.right,
      note: wordingCheck.note,
      by: sql<string>`coalesce(${person.name}, ${wordingCheck.elsewhere}, '')`,
    })
    .from(wordingCheck)
    .leftJoin(person, eq(person.id, wordingCheck.personId))
    // Games of a school's own are worded in themselves, and shared as games.
    .where(
      and(ours(tx, wordingCheck), eq(wordingCheck.language, thingId), notLike(wordingCheck.gameId, 'own%')),
    )
    .orderBy(wordingCheck.gameId, wordingCheck.messageId, desc(wordingCheck.at));
  return { name: `${language.name} wording`, content: { kind, lines } };
}

const variantsIn = async (tx: SchoolHandle, kitId: string): Promise<(typeof variant.$inferSelect)[]> =>
  (
    await tx
      .select({ variant })
      .from(kitVariant)
      .innerJoin(variant, eq(variant.id, kitVariant.variantId))
      .where(and(ours(tx, kitVariant), eq(kitVariant.kitId, kitId)))
      .orderBy(asc(kitVariant.position))
  ).map((row) => row.variant);

const sharedVariant = ({ gameId, name, params, own, ageBand }: SharedVariant): SharedVariant => ({
  gameId,
  name,
  params,
  own,
  ageBand,
});

/** Makes a thing of another school one of this one, or brings the one it became up to date. Answers its id here. */
export async function putThere(
  tx: SchoolHandle,
  content: Shared,
  fromSchool: string,
  personId: string | null,
  thingId?: string,
): Promise<string> {
  if (content.kind === 'kit') return putKit(tx, content, fromSchool, personId, thingId);
  if (content.kind === 'own game') {
    const { definition } = content;
    if (thingId) {
      const [now] = await tx
        .select()
        .from(ownGame)
        .where(and(ours(tx, ownGame), eq(ownGame.id, thingId)))
        .for('update');
      if (!now) return thingId;
      const version = now.version + 1;
      await tx
        .update(ownGame)
        .set({ definition, version, changedAt: new Date() })
        .where(and(ours(tx, ownGame), eq(ownGame.id, thingId)));
      await log(tx, {
        thing: 'own game',
        thingId,
        kind: 'changed',
        version,
        before: now.definition,
        after: definition,
        personId,
      });
      return thingId;
    }
    const name = await freeName(tx, ownGame, definition.name.en, fromSchool);
    const [made] = await tx.insert(ownGame).values({ name, definition }).returning({ id: ownGame.id });
    await log(tx, { thing: 'own game', thingId: made!.id, kind: 'added', after: definition, personId });
    return made!.id;
  }
  return putWording(tx, content, fromSchool, thingId!);
}

async function putWording(
  tx: SchoolHandle,
  { lines }: SharedWording,
  fromSchool: string,
  language: string,
): Promise<string> {
  const here = new Map(
    (
      await tx
        .selectDistinctOn([wordingCheck.gameId, wordingCheck.messageId])
        .from(wordingCheck)
        .where(and(ours(tx, wordingCheck), eq(wordingCheck.language, language)))
        .orderBy(wordingCheck.gameId, wordingCheck.messageId, desc(wordingCheck.at))
    ).map((row) => [`${row.gameId} ${row.messageId}`, row]),
  );
  const news = lines.filter(({ gameId, messageId, message, right, note }) => {
    const mine = here.get(`${gameId} ${messageId}`);
    return !mine || !same([mine.message, mine.right, mine.note], [message, right, note]);
  });
  if (news.length)
    await tx
      .insert(wordingCheck)
      .values(news.map(({ by, ...line }) => ({ ...line, language, elsewhere: `${by} (${fromSchool})` })));
  return language;
}

/** A name that is free in this school: as it is, or with the school it comes from. */
async function freeName(
  tx: SchoolHandle,
  table: typeof kit | typeof variant | typeof ownGame,
  name: string,
  fromSchool: string,
): Promise<string> {
  for (let tries = 0; ; tries++) {
    const wanted = [name, `${name} (${fromSchool})`][tries] ?? `${name} (${fromSchool}, ${tries})`;
    const there = await tx.$count(
      table,
      and(
        ours(tx, table),
        sql`lower(${table.name}) = lower(${wanted})`,
        'archivedAt' in table ? isNull(table.archivedAt) : undefined,
      ),
    );
    if (!there) return wanted;
  }
}

async function putKit(
  tx: SchoolHandle,
  { name, variants, materials = [], kind: _, ...fields }: Extract<Shared, { kind: 'kit' }>,
  fromSchool: string,
  personId: string | null,
  kitId?: string,
): Promise<string> {
  const before: KitRow | undefined = kitId
    ? (
        await tx
          .select()
          .from(kit)
          .where(and(ours(tx, kit), eq(kit.id, kitId)))
          .for('update')
      )[0]
    : undefined;
  if (kitId && !before) return kitId;
  await addKinds(tx, materials);
  const had = kitId ? await variantsIn(tx, kitId) : [];
  const ids: string[] = [];
  for (const one of variants) {
    const known = had.find((mine) => same(contentOfVariant(mine), contentOfVariant(one)));
    if (known) ids.push(known.id);
    else {
      const [made] = await tx
        .insert(variant)
        .values({ ...one, name: await freeName(tx, variant, one.name, fromSchool) })
        .returning({ id: variant.id });
      ids.push(made!.id);
    }
  }
  let id = kitId;
  if (id) {
    await tx
      .update(kit)
      .set({ ...fields, version: before!.version + 1 })
      .where(and(ours(tx, kit), eq(kit.id, id)));
    await tx.delete(kitVariant).where(and(ours(tx, kitVariant), eq(kitVariant.kitId, id)));
  } else {
    const [made] = await tx
      .insert(kit)
      .values({ ...fields, name: await freeName(tx, kit, name, fromSchool) })
      .returning({ id: kit.id });
    id = made!.id;
  }
  if (ids.length)
    await tx
      .insert(kitVariant)
      .values(ids.map((variantId, position) => ({ kitId: id, variantId, position })));
  // Settings that came with it and are in no kit any more go with the change.
  const gone = had.map((one) => one.id).filter((one) => !ids.includes(one));
  if (gone.length)
    await tx
      .update(variant)
      .set({ archivedAt: new Date() })
      .where(
        and(
          ours(tx, variant),
          inArray(variant.id, gone),
          sql`not exists (select from ${kitVariant} kv where kv.school_id = ${tx.schoolId} and kv.variant_id = ${variant.id})`,
        ),
      );
  const now = await kitFields(tx, id);
  await log(tx, {
    thing: 'kit',
    thingId: id,
    kind: before ? 'changed' : 'added',
    version: now.version,
    before: before ? { ...kitAbout(before), variantIds: had.map((one) => one.id) } : undefined,
    after: { ...kitAbout(now), variantIds: ids },
    personId,
  });
  return id;
}

const contentOfVariant = ({ gameId, params, own, ageBand }: SharedVariant) => ({
  gameId,
  params,
  own,
  ageBand,
});
const kitFields = async (tx: SchoolHandle, id: string): Promise<KitRow> =>
  (
    await tx
      .select()
      .from(kit)
      .where(and(ours(tx, kit), eq(kit.id, id)))
  )[0]!;

/**
 * A kit of one school in another, in a transaction that goes on there: the one that is the same already, under its name
 * or under that which it came with; else it is made. Answers its id there.
 */
export async function kitAlsoAt(
  tx: SchoolHandle,
  there: SchoolHandle,
  kitId: string,
  fromSchool: string,
  personId: string | null,
): Promise<string> {
  const found = await contentOf(tx, 'kit', kitId);
  if (found?.content.kind !== 'kit') throw new Error('This kit is not there.');
  const inside = ({ variants }: { variants: SharedVariant[] }) => variants.map(contentOfVariant);
  const named = await there
    .select({ id: kit.id })
    .from(kit)
    .where(
      and(
        ours(there, kit),
        sql`(${kit.name} = ${found.name} or ${kit.name} like ${`${found.name} (${fromSchool}%`})`,
      ),
    )
    .orderBy(kit.name);
  for (const { id } of named) {
    const other = await contentOf(there, 'kit', id);
    if (other?.content.kind === 'kit' && same(inside(other.content), inside(found.content))) return id;
  }
  return putThere(there, found.content, fromSchool, personId);
}
