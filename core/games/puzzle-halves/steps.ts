import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { PuzzleParams } from './rules';

export function steps({ count, max }: PuzzleParams): Step[] {
  const a = Math.max(1, Math.min(3, max - 1));
  const b = Math.max(1, Math.min(2, max - a));
  return list(
    ['setUp.sort', { puzzles: count }],
    ['setUp.spread', {}],
    ['turn.take', {}, 'drawing'],
    ['turn.count', { a, b }, 'drawing'],
    ['turn.answer', { a, b, answer: a + b }, 'symbols'],
    ['turn.check', {}, 'pieces'],
    ['end.all', { puzzles: count }],
    ['easier.few', { puzzles: 3 }],
    ['harder.cover', {}],
    ['sideBySide.calm'],
    ['younger.picture', { years: 3 }],
    ['atHome.card', {}],
    ['say.cut', {}],
    ['say.part'],
    ['caution.rest'],
  );
}
