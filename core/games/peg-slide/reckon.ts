import { split } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, mend, need, type Answers, type Ladder } from '~/core/games/kit';
import type { PegParams } from '.';

/** The pairs of one whole, as the pegs slide: 0 and N first. */
export function pairs(whole: number, order: PegParams['order']): [a: number, b: number][] {
  const all = Array.from({ length: whole + 1 }, (_, a): [number, number] => [a, whole - a]);
  return order === 'ordered' ? all : all.filter(([a, b]) => a <= b);
}

export const pegs = ({ whole }: PegParams): number => whole.reduce((a, b) => a + b, 0);

/** One smaller or one larger for every card. */
export function ladder(params: PegParams): Ladder {
  const shift = (by: number) => {
    const whole = params.whole.map((one) => one + by);
    return whole.every((one) => one >= 3 && one <= 10)
      ? {
          params: { ...params, whole },
          label: whole.length === 1 ? `Use ${whole[0]} pegs` : `Use cards of ${whole.join(', ')}`,
        }
      : undefined;
  };
  return { easier: shift(-1), harder: shift(1) };
}

/** Every way is met exactly once: nothing is left to chance. */
export function reckon(params: PegParams): Answers {
  const { whole, order, players } = params;
  const all = whole.flatMap((one) => pairs(one, order));
  const cards = whole.length;
  return {
    figures: [
      figure(
        'ways',
        'Ways to split',
        all.length,
        'ways',
        `${whole.map((one) => `${pairs(one, order).length} of ${one}`).join(', ')}; ${order === 'ordered' ? 'order counts' : 'order does not count'}.`,
      ),
      figure('pegs', 'Pegs', pegs(params), 'pegs', `Each card keeps its own pegs: ${whole.join(' + ')}.`),
    ],
    parts: [
      need('peg', pegs(params), 'Clipped on the cards, so that nothing has to be counted out.'),
      need('peg-card', cards, 'One for each whole, with the whole on it.'),
      need('record-sheet', players, 'One for each player.'),
      need('pencil', players, 'One for each player.'),
    ],
    prep: whole.map((one) => `Clip ${one} pegs on the card of ${one}.`),
    turns: point(all.length),
    setUpMinutes: 1,
    practice: all.map(([a, b]) => ({ fact: split(a, b), meetings: 1 })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      cards > 3 &&
        know(
          'many-cards',
          `${cards} cards are ${all.length} pairs to read, more than one sitting. The sheet can be kept for another day.`,
          mend('Start with one card', params, { whole: [whole[0]!] }),
        ),
    ],
    ladder: ladder(params),
  };
}
