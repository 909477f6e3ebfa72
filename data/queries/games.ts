import { and, asc, eq, isNull } from 'drizzle-orm';
import { checkOwnGame } from '~/core/own/check';
import type { OwnGame } from '~/core/own/definition';
import { type SchoolHandle, transaction } from '../db';
import { unlessTaken } from '../trouble';
import { ownGame } from '../schema';
import { ours } from './ours';
import { followed, passOn } from './sharing';
import { log, saveOver, type Saving } from './changes';

export interface StoredGame {
  id: string;
  version: number;
  definition: OwnGame;
}
const columns = { id: ownGame.id, version: ownGame.version, definition: ownGame.definition };

export const listOwnGames = (at: SchoolHandle): Promise<StoredGame[]> =>
  at
    .select(columns)
    .from(ownGame)
    .where(and(ours(at, ownGame), isNull(ownGame.archivedAt)))
    .orderBy(asc(ownGame.name));

export async function findOwnGame(at: SchoolHandle, id: string): Promise<StoredGame | undefined> {
  const [found] = await at
    .select(columns)
    .from(ownGame)
    .where(and(ours(at, ownGame), eq(ownGame.id, id), isNull(ownGame.archivedAt)));
  return found;
}

/** Keeps a new game. Answers its id, or undefined when the name is taken. */
export function addOwnGame(
  at: SchoolHandle,
  definition: OwnGame,
  createdBy: string,
): Promise<string | undefined> {
  return unlessTaken('own_game_name_is_taken', () =>
    transaction(at, async (tx) => {
      const [saved] = await tx
        .insert(ownGame)
        .values({ name: definition.name.en, definition, createdBy })
        .returning({ id: ownGame.id });
      await log(tx, {
        thing: 'own game',
        thingId: saved!.id,
        kind: 'added',
        after: definition,
        personId: createdBy,
      });
      return saved!.id;
    }),
  );
}

/** Changes a game whose form was opened on a version of it. `gone` when it was put away meanwhile, undefined when the name is taken. */
export function changeOwnGame(
  at: SchoolHandle,
  id: string,
  mine: OwnGame,
  openedOn: number,
  personId: string,
): Promise<Saving<OwnGame> | 'gone' | 'follows' | undefined> {
  return unlessTaken('own_game_name_is_taken', () =>
    transaction(at, async (tx) => {
      const [now] = await tx
        .select()
        .from(ownGame)
        .where(and(ours(tx, ownGame), eq(ownGame.id, id)))
        .for('update');
      if (!now || now.archivedAt) return 'gone' as const;
      if (await followed(tx, 'own game', id)) return 'follows' as const;
      return saveOver(tx, {
        thing: 'own game',
        thingId: id,
        openedOn,
        mine,
        now: { version: now.version, fields: now.definition },
        personId,
        fits: (definition) => checkOwnGame(definition).ok,
        write: async (definition, version) => {
          await tx
            .update(ownGame)
            .set({ name: definition.name.en, definition, version, changedAt: new Date() })
            .where(and(ours(tx, ownGame), eq(ownGame.id, id)));
          await passOn(tx, 'own game', id, personId);
        },
      });
    }),
  );
}

/** Puts a game away: variants that were saved of it keep their rules. */
export function archiveOwnGame(at: SchoolHandle, id: string, personId: string | null = null): Promise<void> {
  return transaction(at, async (tx) => {
    const [gone] = await tx
      .update(ownGame)
      .set({ archivedAt: new Date() })
      .where(and(ours(tx, ownGame), eq(ownGame.id, id), isNull(ownGame.archivedAt)))
      .returning({ version: ownGame.version });
    if (!gone) return;
    await log(tx, { thing: 'own game', thingId: id, kind: 'removed', version: gone.version, personId });
    await passOn(tx, 'own game', id, personId);
  });
}
