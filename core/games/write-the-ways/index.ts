import { wording } from '~/core/games/kit/make';
import { defineGame } from '~/core/games/kit/types';
import { drawing } from './drawing';
import { play } from './play';
import { reckon } from './reckon';
import { about, faults, presets, schema, subject } from './rules';
import { sheets } from './sheets';
import { sketches } from './sketches';
import { steps } from './steps';
import { en } from './words/en';
import { es } from './words/es';

export const writeTheWays = defineGame({
  id: 'write-the-ways',
  family: 'target',
  traits: { places: ['table', 'rainyDay'], quiet: true, byVideo: true },
  schema,
  presets,
  words: wording(en, es, 'sideBySide.team', 'younger.counts', 'say.check', 'caution.small', 'play.how'),
  drawing,
  faults,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  sheets,
});
