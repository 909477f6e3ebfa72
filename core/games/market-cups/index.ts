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

export const marketCups = defineGame({
  id: 'market-cups',
  family: 'build',
  traits: { places: ['table', 'floor', 'rainyDay'], quiet: true },
  schema,
  presets,
  words: wording(
    en,
    es,
    'sideBySide.team',
    'younger.counts',
    'atHome.dice',
    'atHome.deck',
    'say.part',
    'say.check',
    'caution.small',
  ),
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
