import { and, asc, eq, isNull, notInArray } from 'drizzle-orm';
import type { OwnGame } from '~/core/own/definition';
import { db, refusedBy } from '../db';
import { materialAtHand, ownGame } from '../schema';

export interface StoredGame {
  id: string;
  definition: OwnGame;
}

export const listOwnGames = async (): Promise<StoredGame[]> =>
  (await db().select().from(ownGame).where(isNull(ownGame.archivedAt)).orderBy(asc(ownGame.name))).map(
    ({ id, definition }) => ({ id, definition }),
  );

export async function findOwnGame(id: string): Promise<StoredGame | undefined> {
  const [found] = await db()
    .select()
    .from(ownGame)
    .where(and(eq(ownGame.id, id), isNull(ownGame.archivedAt)));
  return found && { id: found.id, definition: found.definition };
}

/** Keeps a game, new or changed. Answers its id, or undefined when the name is taken. */
export async function saveOwnGame(
  definition: OwnGame,
  by: { createdBy: string } | { id: string },
): Promise<string | undefined> {
  const row = { name: definition.name.en, definition };
  try {
    const [saved] =
      'id' in by
        ? await db()
            .update(ownGame)
            .set({ ...row, changedAt: new Date() })
            .where(eq(ownGame.id, by.id))
            .returning({ id: ownGame.id })
        : await db()
            .insert(ownGame)
            .values({ ...row, ...by })
            .returning({ id: ownGame.id });
    return saved?.id;
  } catch (error) {
    if (refusedBy(error) === 'own_game_name_is_taken') return undefined;
    throw error;
  }
}

/** Puts a game away: variants that were saved of it keep their rules. */
export const archiveOwnGame = async (id: string): Promise<void> => {
  await db().update(ownGame).set({ archivedAt: new Date() }).where(eq(ownGame.id, id));
};

export const materialsAtHand = async (): Promise<string[]> =>
  (await db().select().from(materialAtHand).orderBy(asc(materialAtHand.material))).map((row) => row.material);

/** What the store has: exactly these materials from now on. */
export async function setMaterialsAtHand(materials: readonly string[]): Promise<void> {
  await db().transaction(async (tx) => {
    await tx
      .delete(materialAtHand)
      .where(materials.length ? notInArray(materialAtHand.material, [...materials]) : undefined);
    if (materials.length)
      await tx
        .insert(materialAtHand)
        .values(materials.map((material) => ({ material })))
        .onConflictDoNothing();
  });
}
