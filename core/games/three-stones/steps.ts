import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { EACH, SQUARE, TARGET, type ThreeParams } from './rules';

export function steps({ by, sums, place }: ThreeParams): Step[] {
  const [a, b, c] = SQUARE;
  return list(
    place === 'table' ? ['setUp.table', {}] : ['setUp.floor', {}],
    ['setUp.stones', { stones: EACH }],
    by === 'placing' ? ['turn.place', {}, 'pieces'] : ['turn.toss', {}, 'pieces'],
    by === 'tossing' && ['turn.taken'],
    sums && ['turn.number', {}],
    sums ? ['turn.sum', { a, b, c, target: TARGET }, 'symbols'] : ['turn.row', { stones: 3 }],
    sums ? ['end.sum', { target: TARGET }] : ['end.row', { stones: 3 }],
    ['end.full', {}],
    ['easier.open', {}],
    ['harder.say', {}],
    ['sideBySide.pattern', {}],
    ['younger.stones', { years: 3 }],
    ['atHome.paper', {}],
    ['say.two', {}],
    ['say.how'],
    by === 'tossing' ? ['caution.throw'] : ['caution.rest'],
  );
}
