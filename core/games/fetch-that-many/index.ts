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

export const fetchThatMany = defineGame({
  id: 'fetch-that-many',
  family: 'see',
  traits: { places: ['floor', 'outdoors', 'rainyDay'] },
  schema,
  presets,
  words: wording(en, es, 'sideBySide.calm', 'say.check', 'caution.small'),
  drawing,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  sheets,
});
