import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { GRID, type RowParams } from './rules';

export function steps(params: RowParams): Step[] {
  const number = 7;
  return list(
    ['setUp.remove', { cards: 40 }],
    ['setUp.grid', { cards: GRID, rows: 3 }],
    params.callFrom === 'rest' ? ['setUp.rest'] : ['setUp.second'],
    ['turn.call', { number }],
    params.turn === 'all' ? ['turn.all', { number }] : ['turn.one', { number }],
    ['turn.check', {}],
    params.win === 'line' ? ['end.line', { cards: 3 }] : ['end.full', { cards: GRID }],
    ['end.none', {}],
    ['easier.five', { number: 5 }],
    ['harder.more', { more: 1 }],
    ['sideBySide.one', {}],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    ['say.look', { number }],
    ['say.almost', {}],
    ['caution.rest'],
  );
}
