import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { played, sentences, type DoughParams } from './rules';

export function steps(params: DoughParams): Step[] {
  const a = Math.min(params.max, 7);
  const b = 3;
  return list(
    ['setUp.dough', {}],
    ['setUp.cards', { cards: sentences(params).length }],
    ['turn.make', { a }, 'pieces'],
    ['turn.squash', { b }, 'pieces'],
    ['turn.say', { a, b, answer: a - b }],
    ['turn.draw', {}, 'drawing'],
    ['turn.write', { a, b, answer: a - b }, 'symbols'],
    ['end.cards', { cards: played(params) }],
    ['easier.five', { number: 5 }],
    ['harder.back', { a, b }],
    ['sideBySide.calm'],
    ['younger.balls', { years: 3 }],
    ['atHome.paper'],
    ['say.left', {}],
    ['say.part'],
    ['caution.dough', {}],
  );
}
