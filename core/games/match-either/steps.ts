import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { cardCount, type MatchParams } from './rules';

export function steps(params: MatchParams): Step[] {
  const number = params.numbers.to;
  return list(
    ['setUp.deal', { cards: cardCount(params), hand: params.hand }],
    params.hands === 'open' ? ['setUp.open'] : ['setUp.closed'],
    ['setUp.first', {}],
    ['turn.lay', {}, 'pieces'],
    ['turn.say', { number }],
    ['turn.draw', {}],
    ['end.empty', {}],
    ['easier.colour', {}],
    ['harder.next', {}, 'symbols'],
    ['sideBySide.team'],
    ['younger.same', { years: 3 }],
    ['atHome.paper'],
    ['say.why'],
    ['caution.rest'],
  );
}
