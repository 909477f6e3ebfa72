/** Market Cups: one die says how many cups, the other how many pieces in each; how many in all? */
import { Type, type Static } from '@sinclair/typebox';
import { deckWithout, isRed, valueOf, type Card } from '~/core/cards/deck';
import { OneOf, Span, Whole, YesNo } from '~/core/check/schema';
import { Cards } from '~/core/games/kit/knobs';
import type { FieldErrors } from '~/core/check/check';
import { count } from '~/core/words/numbers';
import type { Ladder, Params, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    cups: Span(1, 6, { title: 'Cups', default: { from: 1, to: 6 } }),
    pieces: Span(1, 6, { title: 'Pieces in each cup', default: { from: 1, to: 6 } }),
    source: OneOf(
      { dice: 'Two dice of different colours', cards: 'Cards ace to six, red for cups, black for pieces' },
      { title: 'Numbers come from', default: 'dice' },
    ),
    symbol: YesNo({ title: 'Show the × sign', description: 'Otherwise only “groups of”.', default: false }),
    rounds: Whole(1, 20, { title: 'Turns each', default: 4 }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
    missing: Cards({ title: 'Cards this deck lacks', when: { name: 'source', is: ['cards'] } }),
  },
  { additionalProperties: false },
);
export type MarketParams = Static<typeof schema>;

export const faults = (params: MarketParams): FieldErrors => {
  const errors: FieldErrors = {};
  for (const name of ['cups', 'pieces'] as const)
    if (params[name].from > params[name].to)
      errors[name] = `The larger number must be at least ${params[name].from}.`;
  if (Object.keys(errors).length === 0 && params.source === 'cards') {
    const { cups, pieces } = piles(params, deckWithout(params.missing));
    if (cups.length === 0 || pieces.length === 0)
      errors.missing = 'No card is left for one of the two numbers.';
  }
  return errors;
};

const base: MarketParams = {
  cups: { from: 1, to: 6 },
  pieces: { from: 1, to: 6 },
  source: 'dice',
  symbol: false,
  rounds: 4,
  players: 2,
  missing: [],
};
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<MarketParams>,
): Preset<MarketParams> => ({
  id,
  name,
  school: change.symbol ? 'the × sign is written' : 'only “groups of” is said',
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<MarketParams>[] = [
  preset('small', 'up to 3 cups of 3', 'g1', { cups: { from: 1, to: 3 }, pieces: { from: 1, to: 3 } }),
  preset('groups', 'up to 6 cups of 6', 'g2', {}),
  preset('times', 'up to 6 cups of 6', 'g3', { symbol: true }),
  preset('cards', 'with cards', 'g2', { source: 'cards' }),
];

/** The cards of both piles: red for cups, black for pieces. */
export function piles(
  { cups, pieces }: MarketParams,
  cards: readonly Card[],
): { cups: number[]; pieces: number[] } {
  const within = (of: { from: number; to: number }, red: boolean): number[] =>
    cards
      .filter((card) => isRed(card) === red)
      .map(valueOf)
      .filter((value) => value >= of.from && value <= of.to);
  return { cups: within(cups, true), pieces: within(pieces, false) };
}

/** The numbers each of the two can show, a number as often as it is likely. */
export function shown(params: MarketParams): { cups: number[]; pieces: number[] } {
  if (params.source === 'cards') return piles(params, deckWithout(params.missing));
  const range = ({ from, to }: { from: number; to: number }): number[] =>
    Array.from({ length: to - from + 1 }, (_, i) => from + i);
  return { cups: range(params.cups), pieces: range(params.pieces) };
}

export const about = ({ cups, pieces }: MarketParams) => ({ cups: cups.to, pieces: pieces.to });
export const subject = ({ cups, pieces }: MarketParams): string =>
  `up to ${count(cups.to, 'cup')} of ${pieces.to}`;

export function ladder(params: MarketParams): Ladder {
  const to = (most: number) => ({
    params: { ...params, cups: { from: 1, to: most }, pieces: { from: 1, to: most } } as Params,
    label: `Up to ${most} cups of ${most}`,
  });
  const now = Math.max(params.cups.to, params.pieces.to);
  return { easier: now > 2 ? to(now - 1) : undefined, harder: now < 6 ? to(now + 1) : undefined };
}
