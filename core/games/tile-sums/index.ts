import { wording } from '~/core/games/kit/make';
import { defineGame } from '~/core/games/kit/types';
import { drawing } from './drawing';
import { play } from './play';
import { reckon } from './reckon';
import { about, presets, schema, subject } from './rules';
import { sheets } from './sheets';
import { sketches } from './sketches';
import { steps } from './steps';
import { en } from './words/en';
import { es } from './words/es';

export const tileSums = defineGame({
  id: 'tile-sums',
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'], noReading: true },
  schema,
  presets,
  words: wording(en, es, 'sideBySide.calm', 'younger.counts', 'say.how', 'caution.small', 'play.how'),
  drawing,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  sheets,
});
