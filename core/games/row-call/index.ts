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

export const rowCall = defineGame({
  id: 'row-call',
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true, byVideo: true },
  schema,
  presets,
  words: wording(en, es, 'younger.helper', 'atHome.deck', 'caution.rest'),
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
