/**
 * How many copies of a kit are enough: families ask at random, a copy is away for a while. The chance that none is at
 * home is Erlang's loss formula, whatever the distribution of the time away.
 */
import { Type, type Static } from '@sinclair/typebox';
import { Whole } from '~/core/check/schema';

const MOST = 100_000;

export const supplySchema = Type.Object(
  {
    asksPerWeek: Type.Number({ minimum: 0, maximum: 10_000, title: 'Asks a week' }),
    weeksOut: Type.Number({ minimum: 0, maximum: 520, title: 'Weeks away' }),
    copies: Type.Optional(Whole(0, MOST, { title: 'Copies' })),
    turnedAway: Type.Optional(
      Type.Number({ exclusiveMinimum: 0, maximum: 1, title: 'Share that may be turned away' }),
    ),
  },
  { additionalProperties: false },
);
export type SupplyAsked = Static<typeof supplySchema>;

export interface Supply {
  /** The chance that no copy is at home when a family asks; for the copies that were named. */
  chanceNoneHome?: number;
  /** The smallest number of copies with which no more than that share is turned away. */
  copiesNeeded: number;
}

const USUAL_TURNED_AWAY = 0.1;

/** Erlang's loss formula for 0, 1, 2 … copies, one after the other. */
function* losses(load: number): Generator<number> {
  let chance = 1;
  for (let copies = 1; ; copies++) {
    yield chance;
    chance = (load * chance) / (copies + load * chance);
  }
}

/** The chance that all copies are away, and how many are enough. Throws RangeError where more are needed than anybody counts. */
export function supply({
  asksPerWeek,
  weeksOut,
  copies,
  turnedAway = USUAL_TURNED_AWAY,
}: SupplyAsked): Supply {
  const load = asksPerWeek * weeksOut;
  let chanceNoneHome: number | undefined;
  let copiesNeeded: number | undefined;
  let n = 0;
  for (const chance of losses(load)) {
    if (n === copies) chanceNoneHome = chance;
    if (copiesNeeded === undefined && chance <= turnedAway) copiesNeeded = n;
    if (copiesNeeded !== undefined && (copies === undefined || n >= copies)) break;
    if (n++ > 100 * MOST) throw new RangeError('So many asks cannot be served by any number of copies.');
  }
  return { ...(chanceNoneHome === undefined ? {} : { chanceNoneHome }), copiesNeeded: copiesNeeded! };
}
