import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, mend, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { ladder, type ClapParams } from './rules';

export function reckon(params: ClapParams, assumptions: Assumptions): Reckoning {
  const { unit, groups, patterns } = params;
  const claps = unit * groups;
  return reckoned({
    assumptions,
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
  });
}
