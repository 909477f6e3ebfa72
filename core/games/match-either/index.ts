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

export const matchEither = defineGame({
  id: 'match-either',
  family: 'compare',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true, noReading: true },
  schema,
  presets,
  words: wording(en, es, 'sideBySide.team', 'atHome.paper', 'caution.rest'),
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
