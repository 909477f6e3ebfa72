import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { MachineParams } from './rules';

export function steps({ max, op, problems }: MachineParams): Step[] {
  const [a, b] = [max, Math.max(1, max - 2)];
  const answer = op === 'add' ? a + b : a - b;
  return list(
    ['setUp.cups', { cups: 3 }],
    ['setUp.cards', { max }],
    ['turn.cards', {}, 'symbols'],
    op === 'add' ? ['turn.fill', { a, b }, 'pieces'] : ['turn.load', { a }, 'pieces'],
    op === 'add' ? ['turn.pour', {}, 'pieces'] : ['turn.back', { b }, 'pieces'],
    [op === 'add' ? 'turn.saySum' : 'turn.sayLeft', { a, b, answer }],
    ['turn.draw', {}, 'drawing'],
    ['turn.head', {}, 'symbols'],
    ['end.problems', { problems }],
    ['easier.same', {}],
    ['harder.missing', { a, answer }, 'symbols'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.bowls', {}],
    ['say.on', { a: Math.max(a, b) }],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
