import { wording } from '~/core/games/kit/make';
import { defineGame, type Peek } from '~/core/games/kit/types';
import { pick } from '~/core/chance/random';
import { draw } from './arrange';
import { drawing } from './drawing';
import { play } from './play';
import { reckon } from './reckon';
import { about, cardsOf, faults, presets, schema, subject } from './rules';
import { sheets } from './sheets';
import { sketches } from './sketches';
import { steps } from './steps';
import { en } from './words/en';
import { es } from './words/es';

export const peekAndSay = defineGame({
  id: 'peek-and-say',
  family: 'see',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true, byVideo: true, noReading: true },
  schema,
  presets,
  words: wording(en, es, 'sideBySide.calm', 'say.how', 'caution.rest'),
  drawing,
  faults,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  sheets,
  peek: (params, random): Peek => {
    const card = pick(cardsOf(params), random);
    const [a, b] = card.groups;
    return {
      shapes: draw(card, random),
      seconds: params.seconds,
      says:
        b === undefined
          ? { id: 'turn.say', args: { number: a! } }
          : { id: 'turn.sayTwo', args: { a: a!, b, answer: a! + b } },
    };
  },
});
