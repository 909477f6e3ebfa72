/**
 * Hat Numbers: two players each hold a card to the forehead unseen; the caller says the sum (or product); each
 * works out their own card from the other's. Three people, rotating.
 */
import { FACES } from '~/core/cards/deck';
import { OneOf, YesNo } from '~/core/check/schema';
import { Cards, game, type ParamsOf } from '~/core/games/kit';
import { audit } from './audit';
import { play } from './play';
import { faults, reckon } from './reckon';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
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
    { title: 'A round', description: 'Both ways are played.', default: 'together' },
  ),
  missing: Cards({ title: 'Cards this deck lacks' }),
};
export type HatParams = ParamsOf<typeof knobs>;

export const hatNumbers = game({
  words,
  family: 'compare',
  traits: { places: ['table', 'floor', 'rainyDay', 'car'] },
  knobs,
  presets: [
    { id: 'sums', name: 'sums', tradition: 'both say it together', ageBand: 'g2' },
    {
      id: 'products',
      name: 'products',
      tradition: 'both say it together',
      ageBand: 'g3',
      params: { op: 'multiply' },
    },
    {
      id: 'signed',
      name: 'sums, red is below zero',
      tradition: 'both say it together',
      ageBand: 'g3',
      params: { signed: true },
    },
    {
      id: 'sums-winner',
      name: 'sums',
      tradition: 'a round has a winner',
      ageBand: 'g2',
      params: { ending: 'winner' },
    },
    {
      id: 'products-zero',
      name: 'products, kings are 0',
      tradition: 'a round has a winner',
      ageBand: 'g3',
      params: { op: 'multiply', faces: 'zero', ending: 'winner' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ op }) => ({ op }),
  subject: ({ op }) => (op === 'add' ? 'the hidden part of a sum' : 'the hidden factor'),
  audit,
});
