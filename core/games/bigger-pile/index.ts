import { wording } from '~/core/games/kit/make';
import { defineGame } from '~/core/games/kit/types';
import { audit } from './audit';
import { drawing } from './drawing';
import { play } from './play';
import { reckon } from './reckon';
import { about, faults, presets, schema, subject } from './rules';
import { sheets } from './sheets';
import { sketches } from './sketches';
import { steps } from './steps';
import { en } from './words/en';
import { es } from './words/es';

export const biggerPile = defineGame({
  id: 'bigger-pile',
  family: 'compare',
  traits: { places: ['table', 'floor', 'rainyDay'], byVideo: true },
  schema,
  presets,
  words: wording(en, es, 'younger.helper', 'atHome.deck', 'say.part', 'caution.rest'),
  drawing,
  faults,
  reckon,
  play,
  steps,
  about,
  subject,
  sketches,
  sheets,
  audit,
});
