import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { slips, type BlanketParams } from './rules';

export function steps(params: BlanketParams): Step[] {
  const { cells, boardsPerChild, win } = params;
  const number = Math.min(params.to, Math.max(params.from, 7));
  return list(
    ['setUp.boards', { boards: boardsPerChild, cells }],
    ['setUp.slips', { slips: slips(params) }],
    ['turn.draw', { number }, 'symbols'],
    ['turn.cover', { number }, 'pieces'],
    ['turn.view', {}],
    win === 'full' ? ['end.full', { cells }] : ['end.line'],
    ['end.on', {}],
    ['easier.beside', {}],
    ['harder.dots', {}, 'drawing'],
    ['sideBySide.one', {}],
    ['younger.cover', { years: 3 }],
    ['atHome.paper'],
    ['say.looks', {}],
    ['say.missing', {}],
    ['caution.small', { years: 3 }],
  );
}
