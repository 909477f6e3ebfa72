import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { MarketParams } from './rules';

export function steps(params: MarketParams): Step[] {
  const cups = Math.min(3, params.cups.to);
  const pieces = Math.min(4, params.pieces.to);
  return list(
    ['setUp.cups', { cups: params.cups.to }],
    params.source === 'dice' ? ['setUp.dice'] : ['setUp.cards'],
    ['turn.cups', { cups }, 'pieces'],
    ['turn.pieces', { cups, pieces }, 'pieces'],
    ['turn.say', { cups, pieces, answer: cups * pieces }],
    ['turn.draw', {}, 'drawing'],
    params.symbol && ['turn.write', { cups, pieces, answer: cups * pieces }, 'symbols'],
    ['end.rounds', { rounds: params.rounds }],
    ['easier.two', { cups: 2 }],
    ['harder.guess', {}],
    ['sideBySide.team'],
    ['younger.counts', { years: 3 }],
    params.source === 'dice' ? ['atHome.dice'] : ['atHome.deck'],
    ['say.each', {}],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
