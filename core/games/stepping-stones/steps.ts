import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { StoneParams } from './rules';

export function steps(params: StoneParams): Step[] {
  const { length, dice, finish, back, place } = params;
  const [before, rolled] = [3, 4];
  return list(
    place === 'felt'
      ? ['setUp.felt', { length }]
      : place === 'chalk'
        ? ['setUp.chalk', { length }]
        : ['setUp.table', { length }],
    ['setUp.start', {}],
    ['turn.roll', { dice }, 'pieces'],
    [place === 'table' ? 'turn.move' : 'turn.hop', {}, 'pieces'],
    ['turn.say', { before, rolled, stone: before + rolled }],
    back === 'subtract' && ['turn.back', { stone: before + rolled, rolled, before }],
    ['turn.write', { before, rolled, stone: before + rolled }, 'symbols'],
    finish === 'exact' ? ['end.exact', { length }] : ['end.reach', { length }],
    back === 'subtract' && ['end.back', {}],
    ['easier.five', { number: 5 }],
    ['harder.before', {}],
    ['sideBySide.together', {}],
    ['younger.rolls', { years: 3 }],
    ['atHome.dice'],
    ['atHome.paperStones', {}],
    ['say.number', {}],
    ['say.check'],
    place === 'table'
      ? ['caution.small', { years: 3 }]
      : place === 'felt'
        ? ['caution.floor']
        : ['caution.outside'],
  );
}
