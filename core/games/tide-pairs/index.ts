/**
 * Tide Pairs: ask the others for the card that completes your pair to the target; if nobody asked has it, draw.
 * With `same`, equal cards are a pair.
 */
import { OneOf, OneValue, Whole, YesNo } from '~/core/check/schema';
import { Cards, game, type ParamsOf } from '~/core/games/kit';
import { audit } from './audit';
import { play } from './play';
import { reckon } from './reckon';
import { faults, TARGETS } from './rules';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  target: OneValue(
    TARGETS.map((target) => [target, target === 'same' ? 'Equal cards' : String(target)] as const),
    { title: 'Target', default: 10 },
  ),
  zeroCard: OneOf(
    { none: 'No card is 0', jack: 'Jacks are 0', queen: 'Queens are 0' },
    { title: 'Zero', default: 'none' },
  ),
  hand: OneValue(
    [
      [5, '5 cards'],
      [7, '7 cards'],
    ],
    { title: 'Hand', default: 5 },
  ),
  players: Whole(2, 5, { title: 'Players', default: 2 }),
  refill: OneValue(
    [
      [0, 'is done'],
      [5, 'draws 5 new cards'],
    ],
    { title: 'Who runs out of cards', default: 5 },
  ),
  setSize: OneOf(
    { two: 'Two cards', twoOrThree: 'Two or three cards' },
    { title: 'To make the target', default: 'two' },
  ),
  ask: OneOf(
    { anyone: 'everybody at once', one: 'one player of their choice' },
    { title: 'Who is asked', description: 'Both ways are played.', default: 'anyone' },
  ),
  drawnPair: OneOf(
    { now: 'at once', nextTurn: 'at the next turn' },
    {
      title: 'A pair made by the drawn card is laid',
      description: 'Both ways are played.',
      default: 'now',
    },
  ),
  ownDecks: YesNo({
    title: 'Each player has a whole deck',
    description: 'For playing over a video call.',
    default: false,
  }),
  missing: Cards({ title: 'Cards this deck lacks' }),
};
export type TideParams = ParamsOf<typeof knobs>;

export const tidePairs = game({
  words,
  family: 'target',
  traits: { places: ['table', 'floor', 'rainyDay', 'car'], quiet: true, byVideo: true },
  knobs,
  presets: [
    {
      id: 'same',
      name: 'equal cards',
      tradition: 'a drawn pair is laid at once',
      ageBand: 'K',
      params: { target: 'same' },
    },
    { id: 'ten', name: 'pairs of 10', tradition: 'a drawn pair is laid at once', ageBand: 'g1' },
    {
      id: 'ten-zero',
      name: 'pairs of 10, jacks are 0',
      tradition: 'a drawn pair is laid at once',
      ageBand: 'g1',
      params: { zeroCard: 'jack' },
    },
    {
      id: 'ten-one',
      name: 'pairs of 10, three players',
      tradition: 'one player is asked',
      ageBand: 'g1',
      params: { ask: 'one', players: 3 },
    },
    {
      id: 'video',
      name: 'pairs of 10 over a video call',
      tradition: 'a drawn pair is laid at once',
      ageBand: 'g1',
      params: { ownDecks: true },
    },
    {
      id: 'five-later',
      name: 'pairs of 5',
      tradition: 'a drawn pair waits for the next turn',
      ageBand: 'K',
      params: { target: 5, drawnPair: 'nextTurn' },
    },
    {
      id: 'ten-later',
      name: 'pairs of 10',
      tradition: 'a drawn pair waits for the next turn',
      ageBand: 'g1',
      params: { drawnPair: 'nextTurn' },
    },
    {
      id: 'threes',
      name: 'two or three cards to 12',
      tradition: 'a drawn pair waits for the next turn',
      ageBand: 'g2',
      params: { target: 12, setSize: 'twoOrThree', drawnPair: 'nextTurn' },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ target }) => ({ target: String(target) }),
  subject: ({ target }) => (target === 'same' ? 'equal cards' : `pairs that make ${target}`),
  audit,
});
