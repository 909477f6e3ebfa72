import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { cardsOf, type PondParams } from './rules';

export function steps(params: PondParams): Step[] {
  const [a, b] = [3, 2];
  return list(
    ['setUp.pond', {}],
    ['setUp.cards', { cards: cardsOf(params).length }],
    ['turn.card', { a, b }],
    ['turn.lay', { a, b }, 'pieces'],
    ['turn.tell', {}],
    ['turn.all', { a, b, answer: a + b }],
    params.answer === 'tile'
      ? ['turn.tile', { answer: a + b }, 'symbols']
      : ['turn.write', { answer: a + b }, 'symbols'],
    ['end.stories', { stories: params.stories }],
    ['easier.one', {}],
    ['harder.leave', {}],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.blue', {}],
    ['say.kinds', { a }],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
