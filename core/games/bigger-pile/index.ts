/** Bigger Pile: turn one or two cards each; the larger answer takes all. */
import { FACES } from '~/core/cards/deck';
import { OneOf, Whole, YesNo } from '~/core/check/schema';
import { Cards, game, LINE, type ParamsOf } from '~/core/games/kit';
import { audit } from './audit';
import { play } from './play';
import { reckon } from './reckon';
import { faults } from './rules';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
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
    { title: 'Picture cards', description: 'All three ways are played.', default: 'remove' },
  ),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
  ties: OneOf(
    { again: 'turn again, the next answer takes all', keepOwn: 'each keeps their own cards' },
    { title: 'When answers are equal', default: 'again' },
  ),
  until: OneOf(
    { deck: 'once through the deck', all: 'until somebody has all cards' },
    { title: 'The game goes on', description: 'Both ways are played.', default: 'deck' },
  ),
  signs: YesNo({ title: 'Lay the <, = or > card between', default: false }),
  line: LINE,
  missing: Cards({ title: 'Cards this deck lacks' }),
};
export type PileParams = ParamsOf<typeof knobs>;

export const biggerPile = game({
  words,
  family: 'compare',
  traits: { places: ['table', 'floor', 'rainyDay', 'car'], byVideo: true },
  knobs,
  when: { until: { players: [2, 3, 4] }, line: { op: ['compare', 'add', 'subtract'] } },
  presets: [
    { id: 'compare', name: 'which is more', tradition: 'picture cards are taken out', ageBand: 'K' },
    {
      id: 'signs',
      name: 'which is more, with signs',
      tradition: 'picture cards are taken out',
      ageBand: 'K',
      params: { signs: true },
    },
    {
      id: 'add',
      name: 'sums',
      tradition: 'picture cards are taken out',
      ageBand: 'g1',
      params: { op: 'add' },
    },
    {
      id: 'subtract',
      name: 'differences',
      tradition: 'picture cards are taken out',
      ageBand: 'g2',
      params: { op: 'subtract' },
    },
    {
      id: 'multiply',
      name: 'products',
      tradition: 'picture cards are taken out',
      ageBand: 'g3',
      params: { op: 'multiply' },
    },
    {
      id: 'add-faces',
      name: 'sums',
      tradition: 'picture cards are 11, 12, 13',
      ageBand: 'g2',
      params: { op: 'add', faces: '11-12-13' },
    },
    {
      id: 'compare-all',
      name: 'which is more, until somebody has all cards',
      tradition: 'picture cards are 11, 12, 13',
      ageBand: 'g1',
      params: { faces: '11-12-13', until: 'all' },
    },
    {
      id: 'compare-discard',
      name: 'which is more',
      tradition: 'picture cards are put aside when met',
      ageBand: 'K',
      params: { faces: 'discardWhenMet' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ op }) => ({ op }),
  subject: ({ op }) =>
    ({ compare: 'which is more', add: 'sums of two cards', subtract: 'differences', multiply: 'products' })[
      op
    ],
  sheets,
  audit,
});
