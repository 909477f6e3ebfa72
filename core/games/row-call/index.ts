/** Row Call: cards in a 3 × 3 grid, a caller turns cards; turn yours over; the first line wins. */
import { OneOf, Whole } from '~/core/check/schema';
import { Cards, game, type ParamsOf } from '~/core/games/kit';
import { audit } from './audit';
import { play } from './play';
import { reckon } from './reckon';
import { faults } from './rules';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  players: Whole(2, 4, { title: 'Players', default: 2 }),
  callFrom: OneOf(
    { rest: 'What is left of the deck', secondDeck: 'A second deck' },
    { title: 'Call from', default: 'rest' },
  ),
  turn: OneOf(
    { all: 'Turn all that match', one: 'Turn one that matches' },
    {
      title: 'Several cards of the called number',
      description: 'Both ways are played.',
      default: 'all',
    },
  ),
  choose: OneOf(
    {
      fullest: 'the one in the fullest line',
      any: 'any of them',
      reading: 'the first, as one reads',
    },
    { title: 'Which of several is turned', description: 'All three are played.', default: 'fullest' },
  ),
  caller: OneOf(
    { same: 'one for the whole game', changes: 'another after every call' },
    { title: 'The caller', description: 'Both ways are played.', default: 'same' },
  ),
  win: OneOf({ line: 'A line of three', full: 'All nine' }, { title: 'To finish', default: 'line' }),
  missing: Cards({ title: 'Cards this deck lacks' }),
};
export type RowParams = ParamsOf<typeof knobs>;

export const rowCall = game({
  words,
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true, byVideo: true },
  knobs,
  when: { choose: { turn: ['one'] } },
  presets: [
    { id: 'two', name: 'two players, one deck', tradition: 'all matches are turned', ageBand: 'preK' },
    {
      id: 'three-second',
      name: 'three players, a deck to call from',
      tradition: 'all matches are turned',
      ageBand: 'K',
      params: { players: 3, callFrom: 'secondDeck' },
    },
    {
      id: 'full',
      name: 'all nine, a deck to call from',
      tradition: 'all matches are turned',
      ageBand: 'K',
      params: { callFrom: 'secondDeck', win: 'full' },
    },
    {
      id: 'two-one',
      name: 'two players, a deck to call from',
      tradition: 'one match is turned, in the fullest line',
      ageBand: 'K',
      params: { callFrom: 'secondDeck', turn: 'one' },
    },
    {
      id: 'two-any',
      name: 'two players, a deck to call from',
      tradition: 'one match is turned, whichever',
      ageBand: 'preK',
      params: { callFrom: 'secondDeck', turn: 'one', choose: 'any' },
    },
    {
      id: 'two-reading',
      name: 'two players, a deck to call from',
      tradition: 'one match is turned, the first as one reads',
      ageBand: 'K',
      params: { callFrom: 'secondDeck', turn: 'one', choose: 'reading' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ win }) => ({ win }),
  subject: ({ win }) => (win === 'line' ? 'three in a line' : 'all nine cards'),
  audit,
});
