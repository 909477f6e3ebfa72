/** How many copies of which kits can be built from what is there, and from what a budget buys. */
import { Type, type Static } from '@sinclair/typebox';
import { ownIds } from '~/core/check/ids';
import { Whole } from '~/core/check/schema';
import { solve, valueOf, type Condition, type Programme, type Solved, type Terms } from '~/core/solver/milp';
import { offerSchema } from './buy';

const quantity = Type.Number({ minimum: 0, maximum: 1_000_000, title: 'Quantity' });
const byName = <S extends Parameters<typeof Type.Record>[1]>(value: S, title: string) =>
  Type.Record(Type.String({ minLength: 1, maxLength: 80 }), value, { title });

export const mostCopiesSchema = Type.Object(
  {
    kits: Type.Array(
      Type.Object(
        {
          id: Type.String({ minLength: 1, maxLength: 80, title: 'Name of the kit' }),
          parts: byName(quantity, 'Parts of a kit'),
          worth: Type.Number({ minimum: 0, maximum: 1_000_000, default: 1, title: 'Worth of a copy' }),
        },
        { additionalProperties: false },
      ),
      { maxItems: 200, title: 'Kits' },
    ),
    onHand: byName(quantity, 'Parts on hand'),
    offers: Type.Optional(byName(Type.Array(offerSchema, { maxItems: 50 }), 'Offers of each material')),
    budgetCents: Whole(0, 100_000_000, { title: 'Budget (cents)', default: 0 }),
    atMost: Type.Optional(
      byName(Whole(0, 100_000, { title: 'Copies at most' }), 'Copies at most of each kit'),
    ),
  },
  { additionalProperties: false },
);
export type Buildable = Omit<Static<typeof mostCopiesSchema>, 'offers' | 'atMost' | 'budgetCents'> &
  Partial<Pick<Static<typeof mostCopiesSchema>, 'offers' | 'atMost' | 'budgetCents'>>;

export interface Built {
  copies: Record<string, number>;
  worth: number;
  costCents: number;
}

/** Whole numbers up to here are told apart by the solver. */
const EXACT_UP_TO = 1e9;
/** Worths are counted in these: numbers that the solver is given stay small however far apart the worths are. */
const BLOCK = 10_000;
/** No worth has more decimals that count. */
const MOST_DECIMALS = 6;

/** What makes whole numbers of all of these: a power of ten; undefined where they have more decimals than count. */
const scaleOf = (list: readonly number[]): number | undefined =>
  Array.from({ length: MOST_DECIMALS + 1 }, (_, i) => 10 ** i).find((scale) =>
    list.every((n) => Math.abs(n * scale - Math.round(n * scale)) < 1e-9 * Math.max(1, n * scale)),
  );

/**
 * The greatest worth first, and of all ways to it the cheapest; each step holds exactly what the one before it reached.
 * A worth is told to the solver in blocks of ten thousand, the largest first, as a number is written in figures: whole
 * numbers carry over from one block to the next.
 */
async function inTurn(
  { conditions, whole }: Pick<Programme, 'conditions' | 'whole'>,
  worth: ReadonlyMap<string, number>,
  cost: Terms,
): Promise<Solved> {
  const blocks: Map<string, number>[] = [];
  let left = worth;
  do {
    blocks.push(new Map([...left].map(([name, of]) => [name, of % BLOCK])));
    left = new Map([...left].map(([name, of]) => [name, Math.floor(of / BLOCK)]));
  } while ([...left.values()].some((of) => of > 0));
  const bounds = new Map(whole);
  const held: Condition[] = [...conditions];
  // What block i comes to, and what is carried into it from the block below: together a digit and what is carried on.
  let carried = 0;
  blocks.forEach((block, i) => {
    const most = [...block].reduce((total, [name, of]) => total + of * whole.get(name)!, carried);
    bounds.set(`digit ${i}`, i === blocks.length - 1 ? most : Math.min(most, BLOCK - 1));
    if (i < blocks.length - 1) bounds.set(`carry ${i}`, Math.floor(most / BLOCK));
    held.push({
      terms: new Map([
        ...block,
        ...(i > 0 ? ([[`carry ${i - 1}`, 1]] as const) : []),
        [`digit ${i}`, -1],
        ...(i < blocks.length - 1 ? ([[`carry ${i}`, -BLOCK]] as const) : []),
      ]),
      is: '=',
      bound: 0,
    });
    carried = Math.floor(most / BLOCK);
  });
  let best: Solved | undefined;
  for (let i = blocks.length - 1; i >= 0; i--) {
    const digit = new Map([[`digit ${i}`, 1]]);
    best = await solve({ direction: 'max', aim: digit, conditions: held, whole: bounds });
    if (best.status !== 'optimal') return best;
    held.push({ terms: digit, is: '=', bound: best.aim });
  }
  return cost.size === 0 ? best! : solve({ direction: 'min', aim: cost, conditions: held, whole: bounds });
}

/** No bound on what is counted is larger. */
const MOST = 1_000_000;

/**
 * The copies with the greatest total worth, and of those the ones that cost least. Throws RangeError where a kit could be
 * built without end: nothing is needed for it that is not there for nothing, and no number of copies is set.
 */
export async function mostCopies({
  kits,
  onHand,
  offers = {},
  budgetCents = 0,
  atMost = {},
}: Buildable): Promise<Built> {
  ownIds('kit', kits);
  // Names are anybody's: they are looked up among what was named, and nowhere else.
  const [stock, limits] = [new Map(Object.entries(onHand)), new Map(Object.entries(atMost))];
  const recipe = new Map(kits.map(({ id, parts }) => [id, new Map(Object.entries(parts))]));
  const partsOf = (id: string, material: string): number => recipe.get(id)!.get(material) ?? 0;
  const copy = (id: string): string => `copies of ${id}`;
  const pack = (material: string, i: number): string => `packs of ${material} ${i}`;
  const sold = Object.entries(offers).flatMap(([material, list]) =>
    list.map((offer, i) => ({ ...offer, material, name: pack(material, i) })),
  );
  /** The most of a material that can be there. */
  const reach = (material: string): number =>
    (stock.get(material) ?? 0) +
    sold
      .filter((offer) => offer.material === material)
      .reduce(
        (total, { size, priceCents }) =>
          total + (priceCents === 0 ? Infinity : Math.floor(budgetCents / priceCents) * size),
        0,
      );
  const whole = new Map<string, number>();
  for (const { id, parts } of kits) {
    const most = Math.min(
      limits.get(id) ?? Infinity,
      ...Object.entries(parts).flatMap(([material, n]) =>
        n > 0 ? [Math.floor(reach(material) / n + 1e-9)] : [],
      ),
    );
    if (most === Infinity)
      throw new RangeError(`Nothing limits how many copies of ${id} can be built: say how many at most.`);
    whole.set(copy(id), Math.min(most, MOST));
  }
  const needed = (material: string): number =>
    kits.reduce((total, { id }) => total + partsOf(id, material) * whole.get(copy(id))!, 0);
  for (const { name, material, size, priceCents } of sold)
    whole.set(
      name,
      Math.min(
        priceCents === 0 ? Infinity : Math.floor(budgetCents / priceCents),
        Math.ceil(needed(material) / size),
        MOST,
      ),
    );
  const materials = new Set(kits.flatMap(({ parts }) => Object.keys(parts)));
  const conditions: Condition[] = [
    ...[...materials].map((material): Condition => ({
      terms: new Map([
        ...kits.map(({ id }) => [copy(id), partsOf(id, material)] as const),
        ...sold
          .filter((offer) => offer.material === material)
          .map(({ name, size }) => [name, -size] as const),
      ]),
      is: '<=',
      bound: stock.get(material) ?? 0,
    })),
    {
      terms: new Map(sold.map(({ name, priceCents }) => [name, priceCents] as const)),
      is: '<=',
      bound: budgetCents,
    },
  ];
  const worth = new Map(kits.map(({ id, worth: of = 1 }) => [copy(id), of] as const));
  const cost = new Map(sold.map(({ name, priceCents }) => [name, priceCents] as const));
  const programme = { conditions, whole };
  // Worths with more decimals than count are rounded to the last that does.
  const scale = scaleOf(kits.map(({ worth: of = 1 }) => of)) ?? 10 ** MOST_DECIMALS;
  const counted = new Map([...worth].map(([name, of]) => [name, Math.round(of * scale)] as const));
  const top = [...counted].reduce((total, [name, of]) => total + of * whole.get(name)!, 0);
  // Worth before cost in one aim, where that stays small: a step of worth weighs more than the whole budget.
  const found =
    top * (budgetCents + 1) < EXACT_UP_TO
      ? await solve({
          ...programme,
          direction: 'max',
          aim: new Map([
            ...[...counted].map(([name, of]) => [name, of * (budgetCents + 1)] as const),
            ...[...cost].map(([name, cents]) => [name, -cents] as const),
          ]),
        })
      : await inTurn(programme, counted, cost);
  if (found.status !== 'optimal') throw new RangeError('Nothing can be built from this.');
  return {
    copies: Object.fromEntries(kits.map(({ id }) => [id, found.values.get(copy(id))!])),
    worth: valueOf(worth, found.values),
    costCents: Math.round(valueOf(cost, found.values)),
  };
}
