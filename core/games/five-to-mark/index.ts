/** Five to the Mark: five cards face up and one target card; reach it with two or more of the five. */
import { FACES } from '~/core/cards/deck';
import { OneOf, OneValue, Whole, YesNo } from '~/core/check/schema';
import { Cards, game, Signs, type ParamsOf } from '~/core/games/kit';
import { audit } from './audit';
import { play } from './play';
import { faults, reckon } from './reckon';
import { deal, solve } from './solve';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  laid: Whole(4, 6, { title: 'Cards laid out', default: 5 }),
  ops: Signs(['+', '−', '×', '÷']),
  faces: OneOf(
    { numbers: 'Numbers only, ace to ten', '11-12-13': FACES['11-12-13'] },
    { title: 'Picture cards', default: 'numbers' },
  ),
  jokers: OneValue(
    [
      ['none', 'No jokers'],
      ['15', 'Two jokers, 15 each'],
    ],
    { title: 'Jokers', default: 'none' },
  ),
  whole: YesNo({
    title: 'Whole numbers only',
    description: 'No step goes below zero or leaves a remainder.',
    default: true,
  }),
  rounds: Whole(1, 20, { title: 'Targets in one game', default: 6 }),
  replace: OneOf(
    { all: 'all of them', used: 'only those that were used' },
    {
      title: 'For the next target, new cards for',
      description: 'Both ways are played.',
      default: 'all',
    },
  ),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
  missing: Cards({ title: 'Cards this deck lacks' }),
};
export type MarkParams = ParamsOf<typeof knobs>;

export const fiveToMark = game({
  words,
  family: 'target',
  traits: { places: ['table', 'rainyDay'], quiet: true, byVideo: true },
  knobs,
  presets: [
    { id: 'all', name: 'five cards, all signs', tradition: 'picture cards are put away', ageBand: 'g3' },
    {
      id: 'sums',
      name: 'five cards, + and −',
      tradition: 'picture cards are put away',
      ageBand: 'g2',
      params: { ops: ['+', '−'] },
    },
    {
      id: 'add',
      name: 'six cards, + only',
      tradition: 'picture cards are put away',
      ageBand: 'g1',
      params: { laid: 6, ops: ['+'], rounds: 4 },
    },
    {
      id: 'used',
      name: 'five cards, all signs',
      tradition: 'only used cards are replaced',
      ageBand: 'g3',
      params: { replace: 'used' },
    },
    {
      id: 'pictures',
      name: 'five cards, all signs',
      tradition: 'picture cards count',
      ageBand: 'g3',
      params: { faces: '11-12-13' },
    },
    {
      id: 'jokers',
      name: 'six cards, jokers are 15',
      tradition: 'picture cards count',
      ageBand: 'g3',
      params: { laid: 6, faces: '11-12-13', jokers: '15' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ laid }) => ({ laid }),
  subject: ({ laid }) => `${laid} cards to a target`,
  audit,
  deal,
  solve: (params, laid, target) => solve(laid, target, params),
});
