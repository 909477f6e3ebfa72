import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { allCards, strays, type NestParams } from './rules';

export function steps(params: NestParams): Step[] {
  const { from, to } = params;
  const b = Math.floor(from / 2);
  const a = from - b;
  return list(
    ['setUp.nests', { from, to }],
    ['setUp.cards', { cards: allCards(params).length }],
    ['turn.card', {}],
    ['turn.lay', { a, b }, 'pieces'],
    ['turn.nest', { a, b, answer: from }, 'symbols'],
    params.mixIn > 0 && ['turn.stray', { strays: strays(params).length }],
    ['end.read', {}, 'symbols'],
    ['easier.two', { from }],
    ['harder.missing', { a, answer: from }, 'symbols'],
    ['sideBySide.team'],
    ['younger.helper', { years: 3 }],
    ['atHome.paper'],
    ['say.how'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
