import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { waysTo, type HopParams } from './rules';

export function steps(params: HopParams): Step[] {
  const possible = Object.entries(waysTo(params)).filter(([, found]) => found.length > 0);
  const [target, found] = possible[Math.floor(possible.length / 2)]!;
  const { a, sign, b } = found[Math.floor(found.length / 2)]!;
  return list(
    ['setUp.cells', { digits: params.digits.length, signs: params.ops.join(' ') }],
    ['setUp.start', {}],
    ['turn.hop', { a, sign, b, target: Number(target) }, 'symbols'],
    ['turn.say', {}],
    ['turn.next', {}],
    ['end.to', { to: params.to }],
    ['easier.any', {}],
    ['harder.other', {}],
    ['sideBySide.relay', {}],
    ['younger.digits', { years: 3 }],
    ['atHome.paper'],
    ['say.stuck', { target: Number(target), a }],
    ['say.how'],
    ['caution.outside'],
  );
}
