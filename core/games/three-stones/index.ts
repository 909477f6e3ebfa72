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

export const threeStones = defineGame({
  id: 'three-stones',
  family: 'move',
  traits: { places: ['table', 'floor', 'outdoors', 'rainyDay'], quiet: true, noReading: true },
  schema,
  presets,
  words: wording(en, es, 'say.how', 'caution.rest', 'caution.throw'),
  drawing,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  sheets,
});
