import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { pairs, type PegParams } from './rules';

export function steps(params: PegParams): Step[] {
  const [whole] = params.whole;
  const ways = params.whole.flatMap((one) => pairs(one, params.order)).length;
  const a = Math.floor(whole! / 2);
  const b = whole! - a;
  return list(
    ['setUp.card', { whole: whole!, cards: params.whole.length }, 'pieces'],
    ['setUp.count', { whole: whole! }, 'pieces'],
    ['turn.slide', {}, 'pieces'],
    ['turn.say', { a, b, whole: whole! }, 'pieces'],
    ['turn.write', { a, b, whole: whole! }, 'symbols'],
    [params.order === 'ordered' ? 'turn.ordered' : 'turn.unordered', { a: 1, b: whole! - 1 }],
    ['end.all', { ways }],
    ['easier.dots', {}, 'drawing'],
    ['harder.cover', {}, 'pieces'],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.clips'],
    ['say.pattern'],
    ['say.part'],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
