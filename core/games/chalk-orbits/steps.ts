import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { circleNumbers, type OrbitParams } from './rules';

export function steps(params: OrbitParams): Step[] {
  const { circles, diameterMm, bags, op, miss, bestOf } = params;
  const [a, b] = [...circleNumbers(params)].sort((x, y) => y - x).slice(0, 2);
  return list(
    ['setUp.circles', { circles, cm: Math.round(diameterMm / 10) }],
    ['setUp.teams', { bags }],
    ['turn.throw', { bags }],
    miss === 'zero' ? ['turn.zero', { zero: 0 }] : ['turn.again'],
    op === 'add'
      ? ['turn.add', { a: a!, b: b!, answer: a! + b! }, 'symbols']
      : ['turn.multiply', { a: a!, b: b!, answer: a! * b! }, 'symbols'],
    ['turn.check', {}],
    ['end.best', { bestOf, wins: (bestOf + 1) / 2 }],
    ['easier.small', {}],
    ['harder.order', {}],
    ['sideBySide.one', {}],
    ['younger.drop', { years: 3 }],
    ['atHome.paper', {}],
    ['say.sofar', {}],
    ['say.part'],
    ['caution.outside'],
    ['caution.throw'],
  );
}
