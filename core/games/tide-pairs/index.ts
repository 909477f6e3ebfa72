import { wording } from '~/core/games/kit/make';
import { defineGame } from '~/core/games/kit/types';
import { audit } from './audit';
import { drawing } from './drawing';
import { play } from './play';
import { reckon } from './reckon';
import { about, faults, presets, schema, subject } from './rules';
import { sketches } from './sketches';
import { steps } from './steps';
import { en } from './words/en';
import { es } from './words/es';

export const tidePairs = defineGame({
  id: 'tide-pairs',
  family: 'target',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true, byVideo: true },
  schema,
  presets,
  words: wording(en, es, 'sideBySide.team', 'younger.helper', 'atHome.deck', 'say.how', 'caution.rest'),
  drawing,
  faults,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  audit,
});
