import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { call, type HatParams } from './rules';

export function steps(params: HatParams): Step[] {
  const { op, signed, faces } = params;
  const [a, b] = op === 'add' ? [7, signed ? -3 : 5] : [6, 4];
  const said = call(op, a, b);
  return list(
    faces === 'remove'
      ? ['setUp.remove']
      : faces === 'zero'
        ? ['setUp.zero', { zero: 0 }]
        : ['setUp.faces', { jack: 11, queen: 12, king: 13 }],
    signed && ['setUp.signed'],
    ['setUp.roles', {}],
    ['turn.hats', {}],
    [op === 'add' ? 'turn.sum' : 'turn.product', { said }, 'symbols'],
    [op === 'add' ? 'turn.partSum' : 'turn.partProduct', { said, a, b }, 'symbols'],
    params.ending === 'winner' ? ['turn.winner'] : ['turn.together'],
    ['end.rotate', {}],
    ['easier.ten', {}, 'pieces'],
    ['harder.explain', {}],
    ['sideBySide.calm'],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    ['say.part'],
    ['say.from', { said, b }],
    ['caution.rest'],
  );
}
