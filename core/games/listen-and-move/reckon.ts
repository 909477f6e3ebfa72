import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, levels, mend, type Answers, type Ladder } from '~/core/games/kit';
import type { MoveParams } from '.';

/** The moves that are called, in the order in which they are told. */
export const MOVES = ['hops', 'claps', 'steps', 'turns', 'nods', 'stamps'] as const;

export const ladder = (params: MoveParams): Ladder =>
  levels(params, 'most', [3, 5, 7, 10, 15, 20], (most) => `Count to ${most}`);

export function reckon(params: MoveParams): Answers {
  const { calls, most, without } = params;
  const silent = (calls * without) / 100;
  const moves = ((calls - silent) * (most + 1)) / 2;
  return {
    figures: [
      figure('calls', 'Calls', calls, 'calls', 'As many as the leader likes; this many fill the time.'),
      figure('stops.mean', 'Calls without the words', silent, 'calls', `${without} in 100: nobody moves.`),
      figure('moves.mean', 'Moves in all', moves, 'moves', `Counts from 1 to ${most}, all equally likely.`),
    ],
    parts: [],
    turns: point(calls),
    setUpMinutes: 1,
    practice: Array.from({ length: most }, (_, i) => ({
      fact: fact('count', i + 1),
      meetings: (calls - silent) / most,
    })).concat([{ fact: fact('listen', 1), meetings: Math.max(silent, calls / 4) }]),
    space: { place: 'floor', widthMm: 2000, depthMm: 2000 },
    players: { fewest: 1, most: 8, alone: false },
    notices: [
      without === 0 &&
        know(
          'no-stops',
          'Without silent calls it is counting; with a few it is listening too.',
          mend('Leave the words out 20 times in 100', params, { without: 20 }),
        ),
      know('no-out', 'Nobody is out: who moved by mistake calls next.'),
    ],
    ladder: ladder(params),
  };
}
