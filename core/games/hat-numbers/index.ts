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

export const hatNumbers = defineGame({
  id: 'hat-numbers',
  family: 'compare',
  traits: { places: ['table', 'floor', 'rainyDay'] },
  schema,
  presets,
  words: wording(en, es, 'sideBySide.calm', 'younger.helper', 'atHome.deck', 'say.part', 'caution.rest'),
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
