import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { solve } from './solve';
import { deckNumbers, type MarkParams } from './rules';

/** An example from this deck: numbers that the signs allowed can bring to the target. */
function example(params: MarkParams): { way: string; target: number } {
  const values = [...new Set(deckNumbers(params))];
  for (const target of [10, 8, 6, 4, 12, 7, 9, 5, 3, 2, 1, 11, 13].filter((one) => values.includes(one)))
    for (const a of [4, 6, 3, 8, 5, 2, 7, 9, 10, 1])
      for (const b of [6, 2, 5, 3, 4, 7, 8, 1, 9, 10]) {
        const [way] = solve([a, b], target, params, 1).ways;
        if (way) return { way: way.text, target };
      }
  return { way: '', target: 0 };
}

export function steps(params: MarkParams): Step[] {
  const { laid, rounds } = params;
  return list(
    params.faces === 'numbers' ? ['setUp.numbers'] : ['setUp.faces', { jack: 11, queen: 12, king: 13 }],
    params.jokers === '15' && ['setUp.jokers', { joker: 15 }],
    ['setUp.lay', { laid }],
    ['turn.target', {}],
    ['turn.two', { laid, signs: params.ops.join(' ') }],
    ['turn.say', example(params), 'symbols'],
    params.whole && ['turn.whole', { zero: 0 }],
    ['turn.none', {}],
    ['end.rounds', { rounds }],
    ['easier.counters', {}, 'pieces'],
    ['harder.more', {}, 'symbols'],
    ['sideBySide.team'],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    ['say.start'],
    ['say.how'],
    ['caution.rest'],
  );
}
