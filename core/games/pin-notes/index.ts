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

export const pinNotes = defineGame({
  id: 'pin-notes',
  family: 'build',
  traits: { places: ['floor', 'outdoors', 'rainyDay'] },
  schema,
  presets,
  words: wording(en, es, 'say.part', 'caution.throw'),
  drawing,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  sheets,
});
