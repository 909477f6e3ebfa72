import { quantile } from '~/core/chance/pmf';
import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { totals } from './reckon';
import type { SkylineParams } from './rules';

export function steps(params: SkylineParams): Step[] {
  const { dice, goal, rolls, reach, players } = params;
  const total = Math.max(12, quantile(totals(params).blocks, 0.5));
  return list(
    ['setUp.blocks', {}],
    ['setUp.dice', { dice }],
    ['turn.roll', { dice }, 'pieces'],
    ['turn.build', { stack: 10 }, 'pieces'],
    ['turn.draw', {}, 'drawing'],
    ['turn.say', { total, tens: Math.floor(total / 10), ones: total % 10 }, 'symbols'],
    players > 1 && ['turn.pass'],
    goal === 'rolls' ? ['end.rolls', { rolls }] : ['end.reach', { reach }],
    ['end.together', {}],
    ['easier.count', {}, 'pieces'],
    ['harder.guess', {}],
    ['sideBySide.city', {}],
    ['younger.rolls', { years: 3 }],
    ['atHome.dice'],
    ['say.tens', {}],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
