import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, levels, mend, need, type Answers, type Ladder } from '~/core/games/kit';
import type { FetchParams } from '.';

export const numbersOf = ({ from, to }: Pick<FetchParams, 'from' | 'to'>): number[] =>
  Array.from({ length: to - from + 1 }, (_, i) => from + i);

export const ladder = (params: FetchParams): Ladder =>
  levels(params, 'to', [3, 4, 5, 6, 8, 10], (to) => `Numbers to ${to}`);

export function reckon(params: FetchParams): Answers {
  const { from, to, things } = params;
  const numbers = numbersOf(params);
  const all = numbers.reduce((a, b) => a + b, 0);
  return {
    figures: [
      figure('slips', 'Slips', numbers.length, 'slips', `One for each number from ${from} to ${to}.`),
      figure(
        'itemsOfOneKind',
        'Things of one kind',
        to,
        'things',
        'The largest slip; they go back after each turn.',
      ),
      figure('itemsAll', 'Things if all stay laid out', all, 'things', `${numbers.join(' + ')}.`),
    ],
    parts: [
      need('slip', numbers.length, 'Each number once, with its dots.'),
      ...(things === 'onePile' ? [need('chip', to, 'The largest slip; they go back after each turn.')] : []),
    ],
    prep: [`Print, cut and fold ${numbers.length} slips.`],
    turns: point(numbers.length),
    setUpMinutes: 1,
    practice: numbers.flatMap((n) => [
      { fact: fact('quantity', n), meetings: 1 },
      { fact: fact('count', n), meetings: 1 },
      { fact: fact('listen', n), meetings: 0.5 },
    ]),
    space: { place: 'floor', widthMm: 2000, depthMm: 3000 },
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      from === 0 && know('zero', 'Zero is the joke of the game: coming back with nothing is right.'),
      things === 'around' &&
        know(
          'kitchen',
          'Say what may not be fetched: nothing hot, sharp, made of glass or from the medicine shelf.',
          mend('Fetch from one pile', params, { things: 'onePile' }),
        ),
    ],
    ladder: ladder(params),
  };
}
