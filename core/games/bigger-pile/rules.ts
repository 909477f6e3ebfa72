/** Bigger Pile: turn one or two cards each; the larger answer takes all. */
import { Type, type Static } from '@sinclair/typebox';
import { countValues, deckWithout, FACES, numbersOf, type Card } from '~/core/cards/deck';
import { OneOf, Whole, YesNo } from '~/core/check/schema';
import { Cards } from '~/core/games/kit/knobs';
import type { FieldErrors } from '~/core/check/check';
import { choices, climb, remembered } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    op: OneOf(
      {
        compare: 'One card each: which is more?',
        add: 'Two cards each: add',
        subtract: 'Two cards each: larger minus smaller',
        multiply: 'Two cards each: multiply',
      },
      { title: 'What is done with the cards', default: 'compare' },
    ),
    faces: OneOf(
      { ...FACES, discardWhenMet: 'Leave them in, put them aside when met' },
      { title: 'Picture cards', description: 'All three schools are played.', default: 'remove' },
    ),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
    ties: OneOf(
      { again: 'turn again, the next answer takes all', keepOwn: 'each keeps the own cards' },
      { title: 'When answers are equal', default: 'again' },
    ),
    signs: YesNo({ title: 'Lay the <, = or > card between', default: false }),
    missing: Cards({ title: 'Cards this deck lacks' }),
  },
  { additionalProperties: false },
);
export type PileParams = Static<typeof schema>;

const base: PileParams = {
  op: 'compare',
  faces: 'remove',
  players: 2,
  ties: 'again',
  signs: false,
  missing: [],
};
const SCHOOLS = {
  remove: 'picture cards are taken out',
  '11-12-13': 'picture cards are 11, 12, 13',
  discardWhenMet: 'picture cards are put aside when met',
} as const;
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<PileParams>,
): Preset<PileParams> => ({
  id,
  name,
  school: SCHOOLS[change.faces ?? 'remove'],
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<PileParams>[] = [
  preset('compare', 'which is more', 'K', {}),
  preset('signs', 'which is more, with signs', 'K', { signs: true }),
  preset('add', 'sums', 'g1', { op: 'add' }),
  preset('subtract', 'differences', 'g2', { op: 'subtract' }),
  preset('multiply', 'products', 'g3', { op: 'multiply' }),
  preset('add-faces', 'sums', 'g2', { op: 'add', faces: '11-12-13' }),
  preset('compare-discard', 'which is more', 'K', { faces: 'discardWhenMet' }),
];

export const faults = (params: PileParams): FieldErrors =>
  numbers(params).length < perRound(params)
    ? { missing: `${numbers(params).length} number cards are left; one round takes ${perRound(params)}.` }
    : {};

/** Cards that one player turns in a round. A single player turns two piles. */
export const cardsEach = ({ op }: Pick<PileParams, 'op'>): number => (op === 'compare' ? 1 : 2);
export const piles = ({ op, players }: Pick<PileParams, 'op' | 'players'>): number =>
  players === 1 && op === 'compare' ? 2 : players;
export const perRound = (params: PileParams): number => cardsEach(params) * piles(params);

/** The numbers that can be turned. */
export const numbers = remembered((params: PileParams): number[] =>
  numbersFrom(params, deckWithout(params.missing)),
);
export const numbersFrom = ({ faces }: Pick<PileParams, 'faces'>, cards: readonly Card[]): number[] =>
  numbersOf(cards, faces);

export const rounds = (params: PileParams): number => Math.floor(numbers(params).length / perRound(params));

/** The answer to two cards, or to one. */
export function answer(op: PileParams['op'], a: number, b: number): number {
  switch (op) {
    case 'compare':
      return a;
    case 'add':
      return a + b;
    case 'subtract':
      return Math.abs(a - b);
    case 'multiply':
      return a * b;
  }
}

export const values = (params: PileParams): Map<number, number> => countValues(numbers(params));

export const about = ({ op }: PileParams) => ({ op });
export const subject = ({ op }: PileParams): string =>
  ({ compare: 'which is more', add: 'sums of two cards', subtract: 'differences', multiply: 'products' })[op];

export const ladder = (params: PileParams): Ladder =>
  climb(
    choices(params, 'op', [
      ['compare', 'Compare single cards'],
      ['add', 'Add two cards'],
      ['subtract', 'Take the smaller from the larger'],
      ['multiply', 'Multiply two cards'],
    ]),
    choices(params, 'faces', [
      ['remove', 'Take picture cards out'],
      ['11-12-13', 'Count picture cards as 11, 12, 13'],
    ]),
  );
