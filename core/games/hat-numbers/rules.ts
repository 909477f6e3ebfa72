/**
 * Hat Numbers: two players each hold a card to the forehead unseen; the caller says the sum (or product); each
 * works out the own card from the other's. Three people, rotating.
 */
import { Type, type Static } from '@sinclair/typebox';
import { deckWithout, FACES, isRed, rankOf, valueOf, type Card } from '~/core/cards/deck';
import { OneOf, YesNo } from '~/core/check/schema';
import { Cards } from '~/core/games/kit/knobs';
import type { FieldErrors } from '~/core/check/check';
import { choices, climb, remembered } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const schema = Type.Object(
  {
    op: OneOf(
      { add: 'The caller says the sum', multiply: 'The caller says the product' },
      { title: 'The call', default: 'add' },
    ),
    signed: YesNo({ title: 'Red cards are below zero', default: false }),
    faces: OneOf(
      { ...FACES, zero: 'Kings are 0; jacks and queens are taken out' },
      { title: 'Picture cards', default: 'remove' },
    ),
    ending: OneOf(
      { winner: 'Who says it first takes the round', together: 'Both say it together' },
      { title: 'A round', description: 'Both schools are played.', default: 'together' },
    ),
    missing: Cards({ title: 'Cards this deck lacks' }),
  },
  { additionalProperties: false },
);
export type HatParams = Static<typeof schema>;

const base: HatParams = { op: 'add', signed: false, faces: 'remove', ending: 'together', missing: [] };
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<HatParams>,
): Preset<HatParams> => ({
  id,
  name,
  school: change.ending === 'winner' ? 'a round has a winner' : 'both say it together',
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<HatParams>[] = [
  preset('sums', 'sums', 'g2', {}),
  preset('products', 'products', 'g3', { op: 'multiply' }),
  preset('signed', 'sums, red is below zero', 'g3', { signed: true }),
  preset('sums-winner', 'sums', 'g2', { ending: 'winner' }),
  preset('products-zero', 'products, kings are 0', 'g3', { op: 'multiply', faces: 'zero', ending: 'winner' }),
];

/** What a card on a hat counts; undefined for cards that are taken out. */
export function hatValue(
  card: Card,
  { signed, faces }: Pick<HatParams, 'signed' | 'faces'>,
): number | undefined {
  const size = faces === 'zero' && rankOf(card) === 'K' ? 0 : valueOf(card);
  if (size > 10 && faces !== '11-12-13') return undefined;
  return signed && isRed(card) && size !== 0 ? -size : size;
}

export const hatValues = (params: HatParams, cards: readonly Card[]): number[] =>
  cards.map((card) => hatValue(card, params)).filter((value) => value !== undefined);

export const values = remembered((params: HatParams): number[] =>
  hatValues(params, deckWithout(params.missing)),
);

export const faults = (params: HatParams): FieldErrors =>
  values(params).length < 2 ? { missing: 'Fewer than two cards are left; a round takes two.' } : {};

export const call = (op: HatParams['op'], a: number, b: number): number => (op === 'add' ? a + b : a * b);

export const about = ({ op }: HatParams) => ({ op });
export const subject = ({ op }: HatParams): string =>
  op === 'add' ? 'the hidden part of a sum' : 'the hidden factor';
export const ladder = (params: HatParams): Ladder =>
  climb(
    choices(params, 'op', [
      ['add', 'Call the sum'],
      ['multiply', 'Call the product'],
    ]),
    choices(params, 'signed', [
      [false, 'All cards above zero'],
      [true, 'Red cards below zero'],
    ]),
  );
