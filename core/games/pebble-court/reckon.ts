import { fact } from '~/core/cards/facts';
import { turnsToEnd, turnsUntilFirst, visitsUntilFirst } from '~/core/chance/markov';
import type { Effort } from '~/core/chance/simulate';
import { figure, know, mend, mind, need, type AgeBand, type Answers, type Space } from '~/core/games/kit';
import { plain } from '~/core/words/numbers';
import type { CourtParams } from '.';
import { grid, ladder, landings, LINE_STEPS } from './rules';

export function reckon(params: CourtParams, _: Effort, ageBand: AgeBand): Answers {
  const { cells, layout, cellMm, place, hit, players } = params;
  const { across, down } = grid(params);
  const area = (across * cellMm * down * cellMm) / 1e6;
  const rows = landings(params).length;
  const chance = hit / 100;
  const throwOn = (at: number) =>
    [
      [at + 1, chance],
      [at, 1 - chance],
    ] as const;
  const through = (at: number): boolean => at === cells;
  const turns = turnsUntilFirst(turnsToEnd(0, throwOn, through), players);
  const steps = LINE_STEPS[ageBand];
  return {
    figures: [
      figure('areaM2', 'Court', area, 'm²', `${across} × ${down} cells of ${plain(cellMm / 10)} cm.`),
      figure(
        'hops',
        'Hops of one way there and back',
        2 * rows,
        'hops',
        `${rows} landings each way${layout === 'branching' ? '; two cells side by side are one landing' : ''}.`,
      ),
    ],
    parts: [
      need('hop-stone', players, 'A stone each, flat so that it does not roll.'),
      ...(place === 'chalk' ? [need('chalk', 1, 'One stick draws the court.')] : []),
      ...(place === 'paper' && layout === 'growing' ? [need('pencil', 1, 'To write the next number.')] : []),
      need(
        'plan',
        1,
        place === 'paper' ? 'The court itself.' : 'The court with its measures and the throwing line.',
      ),
    ],
    prep: [
      place === 'chalk'
        ? `Chalk ${cells} cells of ${plain(cellMm / 10)} cm.`
        : place === 'tape'
          ? `Tape ${cells} cells of ${plain(cellMm / 10)} cm on the floor; press every edge down.`
          : 'Lay the printed court on the table: two fingers are the legs.',
      place === 'paper'
        ? 'Each flicks the stone with one finger from the edge of the sheet.'
        : steps === 0
          ? 'Throw from the first cell.'
          : `Throw from a line ${steps === 1 ? 'one step' : `${steps} steps`} away.`,
    ],
    turns,
    setUpMinutes: place === 'paper' ? 1 : 6,
    // Who has not hopped all cells when the first has goes no further.
    practice: [...visitsUntilFirst(0, throwOn, through, players)].flatMap(([at, meetings]) => [
      { fact: fact('count', at + 1), meetings },
      { fact: fact('quantity', at + 1), meetings },
      { fact: fact('listen', at + 1), meetings: 0.3 * meetings },
    ]),
    space: space(params, across, down),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      place === 'tape' &&
        area > 4 &&
        mind(
          'large-room',
          `${plain(area)} m² is more than most rooms have free.`,
          cellMm > 300
            ? mend('Make the cells 30 cm', params, { cellMm: 300 })
            : cells > 10
              ? mend('Make it 10 cells', params, { cells: 10 })
              : undefined,
        ),
      place === 'tape' &&
        know(
          'neighbours',
          'Hopping is loud below: on an upper floor tiptoe, or play on paper with two fingers.',
          mend('Play on paper', params, { place: 'paper' }),
        ),
      hit < 40 &&
        know(
          'hard-throws',
          `So few throws land that children wait more than they hop: ${place === 'paper' ? 'flick from nearer' : 'throw from the first cell'}.`,
        ),
    ],
    ladder: ladder(params),
  };
}

function space({ place, cellMm }: CourtParams, across: number, down: number): Space {
  if (place === 'paper') return { place: 'table', widthMm: 300, depthMm: 300 };
  return {
    place: place === 'chalk' ? 'outdoors' : 'floor',
    widthMm: across * cellMm + 600,
    depthMm: down * cellMm + 1200,
  };
}
