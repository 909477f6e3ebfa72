import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { numbersOf, type StackParams } from './rules';

export function steps(params: StackParams): Step[] {
  const { to, source, direction } = params;
  const number = to === 5 ? 4 : 7;
  const frames = direction === 'numeralToFrame' || direction === 'frameToNumeral';
  return list(
    ['setUp.blocks', { blocks: direction === 'towers' ? (to * (to + 1)) / 2 : to }, 'pieces'],
    source === 'cards' ? ['setUp.cards', { to }] : ['setUp.spinner', { to }],
    frames && ['setUp.frames', { to }],
    direction === 'frameToNumeral'
      ? ['turn.frame', {}, 'drawing']
      : [source === 'cards' ? 'turn.card' : 'turn.spin', { number }, 'symbols'],
    ['turn.build', { number }, 'pieces'],
    direction === 'numeralToFrame' && ['turn.find', {}, 'drawing'],
    direction === 'frameToNumeral' && ['turn.numeral', {}, 'symbols'],
    direction === 'towers' && ['turn.stand', {}],
    ['end.all', { numbers: numbersOf(params).length }],
    ['easier.beside', {}],
    ['harder.strip', {}],
    ['sideBySide.calm'],
    ['younger.counts', { years: 3 }],
    ['atHome.paper'],
    ['say.touch', {}],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
