import { fact } from '~/core/cards/facts';
import { drawsToFill, drawsToSeeAllQuantile, meanDrawsToSeeAll } from '~/core/chance/coverage';
import { point } from '~/core/chance/pmf';
import { choices, climb, figure, know, mend, need, type Answers, type Ladder } from '~/core/games/kit';
import { plain } from '~/core/words/numbers';
import type { StackParams } from '.';

/** 0 to the largest number. */
export const numbersOf = ({ to }: Pick<StackParams, 'to'>): number[] =>
  Array.from({ length: to + 1 }, (_, n) => n);

/** Which cards lie on the table: what the spinner shows is on no card. */
export const cardsIn = ({ source, direction }: Pick<StackParams, 'source' | 'direction'>) => ({
  numerals: source === 'cards' || direction === 'frameToNumeral',
  frames: direction === 'numeralToFrame' || (direction === 'frameToNumeral' && source === 'cards'),
});

export const ladder = (params: StackParams): Ladder =>
  climb(
    choices(params, 'to', [
      [5, 'Numbers to 5'],
      [10, 'Numbers to 10'],
    ]),
    choices(params, 'direction', [
      ['buildOnly', 'Build only'],
      ['numeralToFrame', 'Find the frame too'],
      ['frameToNumeral', 'Begin with the frame'],
    ]),
  );

export function reckon(params: StackParams): Answers {
  const { to, source, direction, players } = params;
  const numbers = numbersOf(params);
  const blocks = (to * (to + 1)) / 2;
  const odds = numbers.map(() => 1 / numbers.length);
  const spins =
    source === 'spinner'
      ? { mean: meanDrawsToSeeAll(odds), p95: drawsToSeeAllQuantile(odds, 0.95) }
      : undefined;
  const each = spins ? spins.mean / numbers.length : 1;
  const frames = direction === 'numeralToFrame' || direction === 'frameToNumeral';
  const cards = cardsIn(params);
  const kept = direction === 'towers' ? blocks : to;
  return {
    figures: [
      figure(
        'blocksAllTowers',
        'Blocks for every tower',
        blocks,
        'blocks',
        `0 + 1 + … + ${to}, all standing at once.`,
      ),
      ...(spins
        ? [
            figure('sectors', 'Sectors', numbers.length, 'sectors', `0 to ${to}, all the same size.`),
            figure(
              'spinsToCover.mean',
              'Spins to see every number',
              spins.mean,
              'spins',
              'The exact average, all numbers equally likely.',
            ),
            figure(
              'spinsToCover.p95',
              'Spins to be nearly sure',
              spins.p95,
              'spins',
              '95 of 100 plays have seen every number by then.',
            ),
          ]
        : []),
    ],
    parts: [
      need(
        'block',
        kept,
        direction === 'towers'
          ? `All towers stand at once: ${blocks}.`
          : `The tallest tower; it is taken down after each turn.`,
      ),
      ...(source === 'spinner'
        ? [
            need('spinner', 1, `${numbers.length} sectors.`),
            need('paper-clip', 1, 'Spun around the tip of the pencil.'),
            need('pencil', 1, 'Its tip holds the clip.'),
          ]
        : []),
      ...(cards.numerals ? [need('number-card', numbers.length, `0 to ${to}.`)] : []),
      ...(cards.frames
        ? [need('frame-card', numbers.length, `A ${to === 5 ? 'five' : 'ten'}-frame for each number.`)]
        : []),
    ],
    prep: [
      ...(source === 'spinner' ? ['Print the spinner; add a paper clip and a pencil.'] : []),
      ...(cards.numerals ? [`Print and cut ${numbers.length} numeral cards.`] : []),
      ...(cards.frames ? [`Print and cut ${numbers.length} frame cards.`] : []),
    ],
    turns: spins ? drawsToFill(odds.map((chance) => ({ chance, times: 1 }))) : point(numbers.length),
    setUpMinutes: 1,
    practice: numbers.flatMap((n) => [
      { fact: fact('quantity', n), meetings: each },
      { fact: fact('count', n), meetings: each },
      ...(frames ? [{ fact: fact('glance', n), meetings: each }] : []),
    ]),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      spins &&
        know(
          'spins-take-long',
          `A spinner needs ${plain(spins.mean)} spins on average to show every number. Stop earlier, or use cards: ${numbers.length} turns.`,
          mend('Use numeral cards', params, { source: 'cards' }),
        ),
      players > 2 &&
        know(
          'waiting',
          'While one builds, the others hold up as many fingers.',
          mend('Make it 2 players', params, { players: 2 }),
        ),
      direction === 'towers' &&
        to === 10 &&
        know(
          'tall-towers',
          'Ten stacking blocks wobble. Build on the floor, or lay the tallest towers down.',
        ),
    ],
    ladder: ladder(params),
  };
}
