import { countValues } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { ladder, tilesOf, type TileParams } from './rules';

const ALL_TILES = 28;

export function reckon(params: TileParams, assumptions: Assumptions): Reckoning {
  const tiles = tilesOf(params);
  const counts = [...countValues(tiles.map(({ a, b }) => a + b))];
  const fewest = Math.min(...counts.map(([, count]) => count));
  const rare = counts.filter(([, count]) => count === fewest).map(([answer]) => answer);
  const out = ALL_TILES - tiles.length;
  return reckoned({
    assumptions,
    figures: [
      figure(
        'tiles',
        'Tiles',
        tiles.length,
        'tiles',
        `Of ${ALL_TILES}, those with a sum of at most ${params.limit}.`,
      ),
      figure(
        'rarest',
        'Rarest answer',
        rare[0]!,
        '',
        `${fewest === 1 ? 'One tile has' : `${fewest} tiles have`} it${rare.length > 1 ? `; so it is with ${rare.slice(1).join(', ')}` : ''}.`,
      ),
    ],
    tables: { answers: Object.fromEntries(counts) },
    parts: [
      need('tile', tiles.length, 'Each tile once.'),
      need('record-sheet', params.players, 'With room for a tile and three numbers in each row.'),
      need('pencil', params.players, 'One for each player.'),
    ],
    prep:
      out > 0
        ? [`Take ${out} ${out === 1 ? 'tile' : 'tiles'} out: those with a sum above ${params.limit}.`]
        : [],
    turns: point(tiles.length),
    setUpMinutes: 1,
    practice: tiles.map(({ a, b }) => ({ fact: fact('add', a, b), meetings: 1 })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      tiles.length > 15 &&
        know(
          'stop-any-time',
          `${tiles.length} tiles are a long play. Agree on a number of tiles first, such as ten.`,
        ),
    ],
    ladder: ladder(params),
  });
}
