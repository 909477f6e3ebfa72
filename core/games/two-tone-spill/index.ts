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

export const twoToneSpill = defineGame({
  id: 'two-tone-spill',
  family: 'split',
  traits: { places: ['table', 'rainyDay'] },
  schema,
  presets,
  words: { en, es },
  drawing,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  sheets,
});
