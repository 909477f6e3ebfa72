import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { answer, cardsEach, rounds, type PileParams } from './rules';

export function steps(params: PileParams): Step[] {
  const { op, faces, players, ties } = params;
  const cards = cardsEach(params);
  const [a, b] = op === 'multiply' ? [4, 3] : [8, 5];
  return list(
    faces === 'remove'
      ? ['setUp.remove']
      : faces === '11-12-13'
        ? ['setUp.faces', { jack: 11, queen: 12, king: 13 }]
        : ['setUp.discard'],
    ['setUp.pile', {}],
    ['turn.turn', { cards, players }],
    op === 'compare'
      ? ['turn.compare', { a, b }, 'pieces']
      : [`turn.${op}`, { a, b, answer: answer(op, a, b) }, 'symbols'],
    params.signs && ['turn.signs', {}, 'symbols'],
    ['turn.take', {}],
    ties === 'again' ? ['turn.again'] : ['turn.keep'],
    faces === 'discardWhenMet' && ['turn.aside'],
    ['end.rounds', { rounds: rounds(params) }],
    ['easier.build', {}, 'pieces'],
    ['harder.more', {}, 'symbols'],
    ['sideBySide.together', {}],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    ['say.muchMore', { a, b }],
    ['say.part'],
    ['caution.rest'],
  );
}
