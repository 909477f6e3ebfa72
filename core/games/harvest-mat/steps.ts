import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { sumCards, type MatParams } from './rules';

export function steps(params: MatParams): Step[] {
  const { source, claim, cells } = params;
  const [a, b] = source === 'cards' ? Object.values(sumCards(params).at(-1)!) : [4, 3];
  return list(
    ['setUp.mat', { cells: cells.length }],
    claim ? ['setUp.claim'] : ['setUp.chips', { cells: cells.length }],
    source === 'one-die'
      ? ['turn.one', {}, 'pieces']
      : source === 'two-dice'
        ? ['turn.two', { a: a!, b: b!, answer: a! + b! }, 'pieces']
        : ['turn.card', { a: a!, b: b!, answer: a! + b! }, 'symbols'],
    ['turn.cover', {}],
    ['turn.none', {}],
    claim ? ['end.claim'] : ['end.all', { cells: cells.length }],
    ['easier.count', {}, 'pieces'],
    ['harder.wish', {}],
    ['sideBySide.team'],
    ['younger.rolls', { years: 3 }],
    source === 'cards' ? ['atHome.paper'] : ['atHome.dice'],
    ['say.how'],
    ['say.part'],
    ['caution.small', { years: 3 }],
  );
}
