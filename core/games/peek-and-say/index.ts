/** Peek and Say: a small arrangement shown for a few seconds, then covered: how many? */
import { pick } from '~/core/chance/random';
import { OneOf, OneValue, SomeOf, Whole, YesNo } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { draw } from './arrange';
import { play } from './play';
import { cardsOf, faults, reckon } from './reckon';
import { sheets } from './sheets';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  groups: OneValue(
    [
      [1, 'One group'],
      [2, 'Two groups'],
    ],
    { title: 'Groups on a card', default: 1 },
  ),
  max: Whole(3, 10, { title: 'Most dots on a card', default: 5 }),
  patterns: SomeOf(
    {
      dice: 'as on dice',
      five: 'five-frame',
      'ten-frame': 'ten-frame',
      line: 'in a line',
      scatter: 'scattered',
    },
    { title: 'Arrangements', default: ['dice', 'line'] },
  ),
  seconds: Whole(3, 5, { title: 'Seconds to see', default: 4 }),
  cover: OneOf(
    { cloth: 'a cloth', shield: 'a shield from a cereal box' },
    { title: 'Covered with', default: 'cloth' },
  ),
  again: YesNo({
    title: 'A second look',
    description: 'Before the answer counts, everybody may look once more.',
    default: false,
  }),
  written: YesNo({
    title: 'The number is written down',
    description: 'After a few days only.',
    default: false,
  }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type PeekParams = ParamsOf<typeof knobs>;

export const peekAndSay = game({
  words,
  family: 'see',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true, byVideo: true, noReading: true },
  knobs,
  presets: [
    { id: 'four', name: 'one group to 4', ageBand: 'preK', params: { max: 4, seconds: 5 } },
    { id: 'five', name: 'one group to 5', ageBand: 'K', params: { patterns: ['dice', 'five', 'line'] } },
    { id: 'frames', name: 'ten-frames', ageBand: 'K', params: { max: 10, patterns: ['ten-frame'] } },
    { id: 'two-five', name: 'two groups to 5', ageBand: 'K', params: { groups: 2 } },
    {
      id: 'two-ten',
      name: 'two groups to 10, written',
      ageBand: 'g1',
      params: { groups: 2, max: 10, patterns: ['dice', 'scatter'], written: true },
    },
  ],
  drawing,
  faults,
  reckon,
  play,
  steps,
  pictures,
  about: ({ max }) => ({ max }),
  subject: ({ groups, max }) =>
    groups === 1 ? `up to ${max} dots at a glance` : `two groups up to ${max} at a glance`,
  sheets,
  peek: (params, random) => {
    const card = pick(cardsOf(params), random);
    const [a, b] = card.groups;
    return {
      shapes: draw(card, random),
      seconds: params.seconds,
      says:
        b === undefined
          ? { id: 'turn.say' as const, args: { number: a! } }
          : { id: 'turn.sayTwo' as const, args: { a: a!, b, answer: a! + b } },
    };
  },
});
