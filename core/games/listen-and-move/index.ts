import { wording } from '~/core/games/kit/make';
import { defineGame } from '~/core/games/kit/types';
import { drawing } from './drawing';
import { play } from './play';
import { reckon } from './reckon';
import { about, presets, schema, subject } from './rules';
import { sketches } from './sketches';
import { steps } from './steps';
import { en } from './words/en';
import { es } from './words/es';

export const listenAndMove = defineGame({
  id: 'listen-and-move',
  family: 'talk',
  traits: { places: ['floor', 'outdoors', 'rainyDay'], byVideo: true, noReading: true },
  schema,
  presets,
  words: wording(en, es),
  drawing,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
});
