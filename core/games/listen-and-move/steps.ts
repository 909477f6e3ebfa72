import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { MoveParams } from './rules';

export function steps({ calls, most, without }: MoveParams): Step[] {
  const count = Math.min(7, most);
  return list(
    ['setUp.words', {}],
    ['setUp.room', {}],
    ['turn.call', { count }],
    ['turn.move', {}],
    without > 0 && ['turn.silent'],
    ['turn.leader', {}],
    ['end.calls', { calls }],
    ['easier.show', {}],
    ['harder.more', { more: 1 }],
    ['sideBySide.nobody', {}],
    ['younger.copy', { years: 2 }],
    ['atHome.anywhere', {}],
    ['say.slow', {}],
    ['say.count', { count }],
    ['caution.space', {}],
  );
}
