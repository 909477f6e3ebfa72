import { defineGame } from '../types';
import { play } from './play';
import { reckon } from './reckon';
import { presets, schema } from './rules';
import { sheets } from './sheets';
import { steps } from './steps';
import { en } from './words/en';
import { es } from './words/es';

export const twoToneSpill = defineGame({ id: 'two-tone-spill', schema, presets, words: { en, es }, reckon, play, steps, sheets });
