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

export const harvestMat = defineGame({
  id: 'harvest-mat',
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'] },
  schema,
  presets,
  words: wording(
    en,
    es,
    'sideBySide.team',
    'younger.rolls',
    'atHome.dice',
    'atHome.paper',
    'say.how',
    'say.part',
    'caution.small',
    'play.how',
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
});
