import { choices, climb, type Ladder } from '~/core/games/kit';
import type { ThreeParams } from '.';

export const EACH = 5;

/** Every row, column and diagonal of these numbers makes 15. */
export const SQUARE = [2, 7, 6, 9, 5, 1, 4, 3, 8] as const;

export const TARGET = 15;

export const ladder = (params: ThreeParams): Ladder =>
  climb(
    choices(params, 'sums', [
      [false, 'Without numbers'],
      [true, 'With numbers that make 15'],
    ]),
    choices(params, 'by', [
      ['placing', 'Place the stones'],
      ['tossing', 'Toss the stones'],
    ]),
  );
