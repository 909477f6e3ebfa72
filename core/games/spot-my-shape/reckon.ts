import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, levels, mend, type Answers, type Ladder } from '~/core/games/kit';
import type { SpotParams } from '.';

export const CLUES = {
  shape: 'its shape',
  number: 'how many of something it has',
  colour: 'its color',
} as const;

export const ladder = (params: SpotParams): Ladder =>
  levels(params, 'things', [4, 8, 12, 20, 30], (things) => `${things} things in view`);

/** Things that still fit after some clues: the thing meant, and each other one with chance each^−clues. */
export const fittingAfter = ({ things, each }: Pick<SpotParams, 'things' | 'each'>, clues: number): number =>
  1 + (things - 1) / each ** clues;

/** Chance that so many clues did not tell enough, so that the next one is told; 0 when there is no such clue. */
const toldChance = ({ things, each }: Pick<SpotParams, 'things' | 'each'>, clues: number): number =>
  clues < 0 ? 0 : 1 - (1 - each ** -clues) ** (things - 1);

/** When more things than this fit all clues, a hint is needed. */
const MANY = 3;

export function reckon(params: SpotParams): Answers {
  const { clues, things, each, rounds } = params;
  const left = fittingAfter(params, clues.length);
  const fewer = Math.floor(1 + (MANY - 1) * each ** clues.length);
  return {
    figures: [
      figure(
        'fitAfterOne.mean',
        'Things that fit the first clue',
        fittingAfter(params, 1),
        'things',
        `${things} in view; each clue tells ${each} kinds apart, all equally common.`,
      ),
      figure(
        'fitAfterAll.mean',
        'Things that fit all clues',
        left,
        'things',
        `After ${clues.length} ${clues.length === 1 ? 'clue' : 'clues'}; one of them is meant.`,
      ),
    ],
    parts: [],
    turns: point(rounds),
    setUpMinutes: 1,
    practice: [
      // Seen at a glance, how many of something it has: equally often one to four.
      ...[1, 2, 3, 4].map((n) => ({
        fact: fact('glance', n),
        meetings: (rounds / 4) * toldChance(params, clues.indexOf('number')),
      })),
      {
        fact: fact('listen', 1),
        meetings: rounds * clues.reduce((told, _, i) => told + toldChance(params, i), 0),
      },
    ],
    players: { fewest: 2, most: 6, alone: false },
    notices: [
      left > MANY &&
        know(
          'more-hints',
          `About ${Math.round(left)} things still fit all clues: have one more hint ready, or look at fewer things.`,
          fewer >= 4 && fewer < things
            ? mend(`Look at ${fewer} things`, params, { things: fewer })
            : undefined,
        ),
      know(
        'same-word',
        'Colors and shapes have names in every language: play it in the language of the home.',
      ),
    ],
    ladder: ladder(params),
  };
}
