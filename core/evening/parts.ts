/** What stands on the tables of an evening: every part for as many as sit there at once. */
import { recipeOf } from '~/core/kits/recipe';
import { isStored, type AnyMaterialId } from '~/core/materials/catalogue';
import { SHIPPED, type Catalogue } from '~/core/materials/school';
import type { EveningPlan } from './plan';
import type { Rotation } from './rotation';

/** What one table needs. */
export interface TableParts {
  table: string;
  /** The most who sit there in any round. */
  people: number;
  /** The game stands there so many times, each for `players`. */
  sets: number;
  players: number;
  parts: { material: AnyMaterialId; quantity: number }[];
}

/** What all tables need of a part, and where it comes from. */
export interface PartOfAll {
  material: AnyMaterialId;
  quantity: number;
  /** `store`: set aside there; `print`: printed and cut; `bring`: found in kitchens and pockets. */
  from: 'store' | 'print' | 'bring';
  tables: string[];
}

/** A part of the tables, with what the store can give of it. */
export interface PartThere extends PartOfAll {
  /** Set aside for this evening already. */
  aside: number;
  /** What the store has besides what others have spoken for; null where nobody has counted it. */
  free: number | null;
  short: number;
  packs: string[];
  costCents?: number | undefined;
}
export interface PartsFound {
  tables: TableParts[];
  parts: PartThere[];
  /** What buying all that is short costs; undefined where something of it is not sold to the school. */
  costCents: number | undefined;
  /** What the store gives, by material. */
  wanted: Record<string, number>;
}

/** The most who sit at a table in any round; its seats where nothing is solved yet. */
export function mostAt(plan: EveningPlan, rotation: Rotation | undefined, table: string): number {
  const size = new Map(plan.groups.map((one) => [one.id, one.size]));
  const rounds = (rotation?.plan ?? []).filter((one) => one.table === table);
  return rotation
    ? Math.max(0, ...rounds.map(({ groups }) => groups.reduce((sum, id) => sum + (size.get(id) ?? 0), 0)))
    : (plan.tables.find(({ id }) => id === table)?.seats ?? 0);
}

/** The parts of each table that has a game. The game is set out as often as it takes until everybody plays at once. */
export const partsOfTables = (
  plan: EveningPlan,
  rotation: Rotation | undefined,
  catalogue: Catalogue = SHIPPED,
): TableParts[] =>
  plan.tables.flatMap(({ id, game }): TableParts[] => {
    const people = mostAt(plan, rotation, id);
    if (!game || people === 0) return [];
    const setFor = (players: number) =>
      recipeOf(
        {
          ageBand: game.ageBand,
          players,
          assurance: 'usual',
          // Every round another group writes on a sheet of its own.
          plays: plan.rounds,
          variants: [{ gameId: game.gameId, name: game.name, params: game.params }],
        },
        catalogue,
      ).variants[0]!;
    const sets = Math.ceil(people / setFor(people).players);
    // As even as can be: nine are three times three, not four, four and one.
    const even = setFor(Math.ceil(people / sets));
    return [
      {
        table: id,
        people,
        sets: Math.ceil(people / even.players),
        players: even.players,
        parts: even.parts.map(({ material, quantity }) => ({
          material,
          quantity: Math.ceil(quantity) * Math.ceil(people / even.players),
        })),
      },
    ];
  });

const FROM = { durable: 'store', consumable: 'store', printed: 'print', home: 'bring' } as const;

/** All tables together, in the order of the catalogue: they play at the same time, so nothing is shared. */
export function partsOfAll(tables: readonly TableParts[], catalogue: Catalogue = SHIPPED): PartOfAll[] {
  const all = new Map<AnyMaterialId, PartOfAll>();
  for (const { table, parts } of tables)
    for (const { material, quantity } of parts) {
      const there = all.get(material);
      all.set(material, {
        material,
        quantity: (there?.quantity ?? 0) + quantity,
        from: FROM[catalogue.of(material).kind],
        tables: [...(there?.tables ?? []), table],
      });
    }
  return [...all.values()];
}

/** What is set aside in the store, by material. */
export const ofStore = (
  parts: readonly PartOfAll[],
  catalogue: Catalogue = SHIPPED,
): Record<string, number> =>
  Object.fromEntries(
    parts
      .filter(({ material }) => isStored(catalogue.of(material)))
      .map(({ material, quantity }) => [material, quantity]),
  );
