import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { choices, figure, know, mend, type Answers, type Ladder } from '~/core/games/kit';
import type { ClapParams } from '.';

export const ladder = (params: ClapParams): Ladder =>
  choices(params, 'unit', [
    [2, 'Count in twos'],
    [5, 'Count in fives'],
    [10, 'Count in tens'],
  ]);

export function reckon(params: ClapParams): Answers {
  const { unit, groups, patterns } = params;
  const claps = unit * groups;
  return {
    figures: [
      figure('claps', 'Beats of one pattern', claps, 'beats', `${groups} groups of ${unit}.`),
      figure(
        'spoken',
        'Numbers said aloud',
        groups,
        'numbers',
        `${unit}, ${2 * unit} … ${claps}: the last beat of each group.`,
      ),
    ],
    parts: [],
    turns: point(patterns),
    setUpMinutes: 0,
    practice: Array.from({ length: groups }, (_, i) => ({
      fact: fact('groups', i + 1, unit),
      meetings: patterns,
    })),
    players: { fewest: 1, most: 6, alone: true },
    notices: [
      claps > 60 &&
        know(
          'long-pattern',
          `${claps} beats are long: say the numbers on the claps only, and let the pats be silent.`,
          groups > 5 ? mend('Make it 5 groups', params, { groups: 5 }) : undefined,
        ),
    ],
    ladder: ladder(params),
  };
}
