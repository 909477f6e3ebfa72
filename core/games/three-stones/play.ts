import type { Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { LINES, turn, type Turn } from '~/core/games/kit';
import type { ThreeParams } from '.';
import { EACH, SQUARE } from './rules';
import type { words } from './words';

/**
 * Two players by turns, five stones each. Placing: a line that can be finished is finished, one that threatens is
 * closed, else any free cell. Tossing: a stone falls on any cell; on a taken one it is lost. Ends with a line, or
 * when the stones or the cells are used up. Outcome: `row` 1 when somebody has a line, `firstWins` among those.
 */
export function* play(
  { by, sums }: ThreeParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, Outcome> {
  const cells = new Array<number>(9).fill(-1);
  const row = (player: number) =>
    LINES.find(([a, b, c]) => cells[a] === player && cells[b] === player && cells[c] === player);
  /** The free cell that finishes a line of the player, if there is one. */
  const finish = (player: number): number | undefined => {
    for (const line of LINES) {
      let own = 0;
      let free = -1;
      for (const cell of line)
        if (cells[cell] === player) own++;
        else if (cells[cell] === -1) free = cell;
      if (own === 2 && free >= 0) return free;
    }
    return undefined;
  };
  let left = cells.length;
  for (let count = 0; count < 2 * EACH; count++) {
    const player = count % 2;
    if (left === 0) break;
    const cell =
      by === 'tossing'
        ? random.whole(0, 8)
        : (finish(player) ?? finish(1 - player) ?? freeCell(cells, left, random));
    const number = SQUARE[cell]!;
    if (cells[cell] !== -1) {
      yield turn(player + 1, 'play.taken', { number }, 'play.again');
      continue;
    }
    cells[cell] = player;
    left--;
    const line = row(player);
    if (line) {
      yield turn(
        player + 1,
        sums ? 'play.sum' : 'play.row',
        { numbers: line.map((one) => SQUARE[one]).join(' + ') },
        'play.show',
      );
      return { row: 1, firstWins: player === 0 ? 1 : 0 };
    }
    yield turn(player + 1, sums ? 'play.number' : 'play.stone', { number }, sums ? 'play.need' : 'play.look');
  }
  return { row: 0 };
}

/** One of the free cells, each equally likely. */
function freeCell(cells: readonly number[], left: number, random: Random): number {
  let skip = random.whole(0, left - 1);
  return cells.findIndex((owner) => owner === -1 && skip-- === 0);
}
