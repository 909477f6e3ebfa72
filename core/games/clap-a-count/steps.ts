import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { ClapParams } from './rules';

export function steps({ unit, groups, patterns }: ClapParams): Step[] {
  return list(
    ['setUp.sit', {}],
    ['turn.beat', { unit, pats: unit - 1 }],
    ['turn.say', { a: unit, b: 2 * unit, c: 3 * unit }],
    ['turn.on', { end: unit * groups, groups, unit }],
    ['turn.swap', {}],
    ['end.patterns', { patterns }],
    ['easier.slow', {}],
    ['harder.back', { end: unit * groups }],
    ['sideBySide.circle', {}],
    ['younger.clap', { years: 2 }],
    ['atHome.anywhere', {}],
    ['say.many', { groups, unit }],
    ['caution.rest'],
  );
}
