import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { numbersOf, type FetchParams } from './rules';

export function steps(params: FetchParams): Step[] {
  const number = Math.min(params.to, 7);
  return list(
    ['setUp.slips', { slips: numbersOf(params).length }],
    params.things === 'onePile' ? ['setUp.pile', { to: params.to }, 'pieces'] : ['setUp.around', {}],
    ['turn.peek', {}, 'symbols'],
    ['turn.fetch', {}, 'pieces'],
    ['turn.lay', { five: 5 }, 'pieces'],
    ['turn.check', { number }, 'drawing'],
    params.from === 0 && ['turn.zero', {}],
    ['end.slips', {}],
    ['easier.keep', {}],
    ['harder.two', { slips: 2 }],
    ['sideBySide.calm'],
    ['younger.dots', { years: 3 }],
    ['atHome.things', {}],
    ['say.remember', {}],
    ['say.check'],
    params.things === 'onePile' ? ['caution.small', { years: 3 }] : ['caution.fetch', {}],
  );
}
