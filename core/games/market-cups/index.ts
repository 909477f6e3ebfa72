/** Market Cups: one die says how many cups, the other how many pieces in each; how many in all? */
import { OneOf, Span, Whole, YesNo } from '~/core/check/schema';
import { BEGINS, Cards, game, type ParamsOf } from '~/core/games/kit';
import { count } from '~/core/words/numbers';
import { audit } from './audit';
import { play } from './play';
import { faults, reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  cups: Span(1, 10, { title: 'Cups', default: { from: 1, to: 6 } }),
  pieces: Span(1, 10, { title: 'Pieces in each cup', default: { from: 1, to: 6 } }),
  source: OneOf(
    { dice: 'Two dice of different colors', cards: 'Cards, red for cups, black for pieces' },
    { title: 'Numbers come from', default: 'dice' },
  ),
  symbol: YesNo({ title: 'Show the × sign', description: 'Otherwise only “groups of”.', default: false }),
  rounds: Whole(1, 20, { title: 'Turns each', default: 4 }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
  begins: BEGINS,
  missing: Cards({ title: 'Cards this deck lacks' }),
};
export type MarketParams = ParamsOf<typeof knobs>;

export const marketCups = game({
  words,
  family: 'build',
  traits: { places: ['table', 'floor', 'rainyDay', 'car'], quiet: true },
  knobs,
  when: { missing: { source: ['cards'] }, begins: { source: ['dice'], players: [2, 3, 4] } },
  presets: [
    {
      id: 'small',
      name: 'up to 3 cups of 3',
      tradition: 'only “groups of” is said',
      ageBand: 'g1',
      params: { cups: { from: 1, to: 3 }, pieces: { from: 1, to: 3 } },
    },
    { id: 'groups', name: 'up to 6 cups of 6', tradition: 'only “groups of” is said', ageBand: 'g2' },
    {
      id: 'times',
      name: 'up to 6 cups of 6',
      tradition: 'the × sign is written',
      ageBand: 'g3',
      params: { symbol: true },
    },
    {
      id: 'cards',
      name: 'with cards',
      tradition: 'only “groups of” is said',
      ageBand: 'g2',
      params: { source: 'cards' },
    },
    {
      id: 'ten-cards',
      name: 'up to 10 cups of 10, with cards',
      tradition: 'the × sign is written',
      ageBand: 'g3',
      params: { source: 'cards', symbol: true, cups: { from: 1, to: 10 }, pieces: { from: 1, to: 10 } },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ cups, pieces }) => ({ cups: cups.to, pieces: pieces.to }),
  subject: ({ cups, pieces }) => `up to ${count(cups.to, 'cup')} of ${pieces.to}`,
  sheets,
  audit,
});
