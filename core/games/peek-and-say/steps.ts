import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { cardsOf, type PeekParams } from './rules';

export function steps(params: PeekParams): Step[] {
  const { groups, seconds, max } = params;
  const a = Math.max(1, Math.min(3, max - 1));
  const b = Math.max(1, Math.min(2, max - a));
  return list(
    ['setUp.cards', { cards: cardsOf(params).length }],
    ['setUp.cover', {}],
    ['turn.show', { seconds }, 'drawing'],
    ['turn.cover', {}],
    groups === 1 ? ['turn.say', { number: a }] : ['turn.sayTwo', { a, b, answer: a + b }],
    ['turn.look', {}, 'drawing'],
    params.written && ['turn.write', {}, 'symbols'],
    ['end.pile', {}],
    ['easier.longer', {}],
    ['harder.draw', {}, 'drawing'],
    ['sideBySide.calm'],
    ['younger.fingers', { years: 3 }],
    ['atHome.beans', {}],
    ['say.saw', { a }],
    ['say.how'],
    ['caution.rest'],
  );
}
