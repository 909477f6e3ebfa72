import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { sentences, type WaysParams } from './rules';

export function steps(params: WaysParams): Step[] {
  const { target, order } = params;
  const all = sentences(params);
  const { a, b, sign } = all[Math.floor(all.length / 3)]!;
  return list(
    ['setUp.target', { target }],
    ['setUp.signs', { signs: params.ops.join(' ') }],
    ['turn.lay', { target }, 'pieces'],
    ['turn.say', { a, b, sign, target }],
    ['turn.write', {}, 'symbols'],
    order === 'ordered' ? ['turn.ordered'] : ['turn.unordered'],
    ['end.compare', { ways: all.length }],
    ['easier.dots', {}, 'drawing'],
    ['harder.order', {}, 'symbols'],
    ['sideBySide.team'],
    ['younger.counts', { years: 3 }],
    ['atHome.sheet'],
    ['say.pattern'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
