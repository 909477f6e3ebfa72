import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { TrailParams } from './rules';

export function steps({ max, op, problems }: TrailParams): Step[] {
  const [a, b] = max === 10 ? [6, 3] : [9, 5];
  return list(
    ['setUp.trail', {}],
    ['setUp.counters', { max }, 'pieces'],
    ['turn.card', {}, 'symbols'],
    ['turn.first', { a, five: 5 }, 'pieces'],
    op === 'add' ? ['turn.on', { b }, 'pieces'] : ['turn.off', { b }, 'pieces'],
    [op === 'add' ? 'turn.saySum' : 'turn.sayLeft', { a, b, answer: op === 'add' ? a + b : a - b }],
    ['turn.draw', {}, 'drawing'],
    ['end.trail', { problems }],
    ['easier.colours', {}, 'pieces'],
    ['harder.before', {}],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.egg', {}],
    ['say.empty', { ten: 10 }],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
