import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { TwinParams } from './rules';

export function steps({ count }: TwinParams): Step[] {
  const whole = Math.min(count, 7);
  return list(
    ['setUp.board', { count }],
    ['setUp.spread', { count }],
    ['turn.take', {}, 'symbols'],
    ['turn.count', {}, 'drawing'],
    ['turn.lay', {}, 'pieces'],
    ['end.all', { count }],
    ['easier.five', { number: 5 }],
    ['harder.back', { whole, a: 2, b: whole - 2 }, 'symbols'],
    ['sideBySide.calm'],
    ['younger.match', { years: 3 }],
    ['atHome.paper'],
    ['say.touch'],
    ['say.how'],
    ['caution.rest'],
  );
}
