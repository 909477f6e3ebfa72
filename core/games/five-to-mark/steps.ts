import { bench, card, cardRow, stroke, TONE, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { MarkParams } from '.';
import { deckNumbers } from './reckon';
import { solve } from './solve';
import type { words } from './words';

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

export function steps(params: MarkParams): Lines<typeof words.en> {
  const { laid, rounds } = params;
  return [
    params.faces === 'numbers' ? ['setUp.numbers'] : ['setUp.faces', { jack: 11, queen: 12, king: 13 }],
    params.jokers === '15' && ['setUp.jokers', { joker: 15 }],
    ['setUp.lay', { laid }],
    ['turn.target'],
    ['turn.two', { laid, signs: params.ops.join(' ') }],
    ['turn.say', example(params), 'symbols'],
    params.whole && ['turn.whole', { zero: 0 }],
    ['turn.none'],
    rounds > 1 && [params.replace === 'used' ? 'end.used' : 'end.all'],
    ['end.rounds', { rounds }],
    ['easier.counters', {}, 'pieces'],
    ['harder.more', {}, 'symbols'],
    ['sideBySide.team'],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    ['say.start'],
    ['say.how'],
    ['caution.rest'],
  ];
}

export const pictures: Pictures<MarkParams, typeof words.en> = {
  'setUp.lay': ({ laid }) => cardRow(Array.from({ length: laid! }, (_, i) => String([6, 4, 9, 2, 7, 3][i]))),
  'turn.target': ({ target }) => card(42, 16, String(target || 10), TONE.straw),
  'turn.say': ({ target }) => [...cardRow(['6', '4'], 6), ...card(42, 34, String(target), TONE.straw)],
};

/** Five cards in a row and the mark they have to reach. */
export const drawing: readonly Shape[] = [
  ...['3', '8', '1', '6', '2'].flatMap((text, i) => card(5 + i * 18.5, 31, text, TONE.card, 15, 20)),
  ...card(42, 3, '10', TONE.straw, 16, 20),
  stroke('M22 28 L38 18 M78 28 L62 18', TONE.clay, 1.2),
  bench,
];
