import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { tilesOf, type TileParams } from './rules';

export function steps(params: TileParams): Step[] {
  const [a, b] = [4, 2];
  return list(
    ['setUp.tiles', { tiles: tilesOf(params).length, limit: params.limit }],
    ['turn.draw', {}],
    ['turn.count', {}, 'pieces'],
    ['turn.say', { a, b, answer: a + b }],
    ['turn.write', { a, b, answer: a + b }, 'symbols'],
    ['end.pile', {}],
    ['easier.touch', {}],
    ['harder.turn', { a, b }, 'symbols'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.draw', {}],
    ['say.start', { a }],
    ['say.how'],
    ['caution.small', { years: 3 }],
  );
}
