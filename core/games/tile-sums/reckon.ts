import { countValues } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, know, levels, need, type Answers, type Ladder } from '~/core/games/kit';
import type { TileParams } from '.';

/** The double-six dominoes whose ends add up to at most the limit, the smaller end first. */
export const tilesOf = ({ limit }: Pick<TileParams, 'limit'>): { a: number; b: number }[] =>
  Array.from({ length: 7 }, (_, a) => Array.from({ length: 7 - a }, (_, i) => ({ a, b: a + i })))
    .flat()
    .filter(({ a, b }) => a + b <= limit);

export const ladder = (params: TileParams): Ladder =>
  levels(params, 'limit', [6, 7, 8, 9, 10, 12], (limit) => `Sums to ${limit}`);

const ALL_TILES = 28;

export function reckon(params: TileParams): Answers {
  const tiles = tilesOf(params);
  const counts = [...countValues(tiles.map(({ a, b }) => a + b))];
  const fewest = Math.min(...counts.map(([, count]) => count));
  const rare = counts.filter(([, count]) => count === fewest).map(([answer]) => answer);
  const out = ALL_TILES - tiles.length;
  return {
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
  };
}
