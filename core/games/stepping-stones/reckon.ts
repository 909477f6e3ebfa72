import { fact } from '~/core/cards/facts';
import { pathTurns, stuck, turnsUntilFirst, visitsUntilFirst, walk } from '~/core/chance/markov';
import { first, mean, quantile } from '~/core/chance/pmf';
import {
  chanceFigure,
  figure,
  know,
  mend,
  mind,
  need,
  stop,
  type Answers,
  type Practised,
  type Space,
} from '~/core/games/kit';
import { capital, plain, shareOf } from '~/core/words/numbers';
import type { StoneParams } from '.';
import { ladder, pathMm, roll } from './rules';

/** Turns of one player, and the chance to arrive at all: a Markov chain over the stones, exact. */
export const walkOf = (params: StoneParams) =>
  pathTurns(roll(params), params.length, params.finish, params.back === 'subtract');

export function reckon(params: StoneParams): Answers {
  const { length, dice, finish, back, players, place, stoneMm } = params;
  const { turns, arrives } = walkOf(params);
  const always = arrives > 1 - 1e-6;
  const firstHome = first(turns, players);
  const path = pathMm(params);
  const reach = pathTurns(roll(params), length, 'reach', back === 'subtract').turns;
  const whole = turnsUntilFirst(turns, players);
  return {
    figures: [
      ...(always
        ? [
            figure(
              'turns.mean',
              'Turns of one player',
              mean(turns),
              'turns',
              `The exact average over ${length} stones${back === 'subtract' ? ' and back' : ''}.`,
            ),
            figure('turns.p50', 'Half are home by', quantile(turns, 0.5), 'turns', 'For one player.'),
            figure('turns.p90', '90 in 100 are home by', quantile(turns, 0.9), 'turns', 'For one player.'),
            figure(
              'firstHome.mean',
              'First one home after',
              mean(firstHome),
              'rounds',
              `The first of ${players} ${players === 1 ? 'player' : 'players'}; exact.`,
            ),
          ]
        : [
            chanceFigure(
              'arrives.chance',
              'A player arrives',
              arrives,
              `who stands one stone before the end cannot roll ${dice === 1 ? '1' : 'a single 1'} with ${dice} dice.`,
            ),
          ]),
      figure(
        'pathMm',
        'Length of the path',
        path,
        'mm',
        `${length} stones of ${stoneMm} mm and ${length - 1} gaps of ${params.gapMm} mm.`,
      ),
    ],
    parts: [
      need('die', dice, 'Rolled in turns.'),
      ...(place === 'felt' ? [need('floor-stone', length, 'One for each number.')] : []),
      ...(place === 'chalk'
        ? [
            need('chalk', Math.ceil(length / 10), 'About ten stones a stick.'),
            need('plan', 1, 'With the measures.'),
          ]
        : []),
      ...(place === 'table'
        ? [need('path', 1, 'Printed.'), need('token', players, 'One for each player.')]
        : []),
    ],
    prep: [
      place === 'felt'
        ? `Lay ${length} felt stones in a curve and tape each down on all sides: ${plain(path / 1000)} m in all.`
        : place === 'chalk'
          ? `Chalk ${length} stones: ${plain(path / 1000)} m in all.`
          : 'Print the table path and tape its sheets together.',
    ],
    turns: whole,
    setUpMinutes: place === 'table' ? 1 : 5,
    practice: practice(params),
    space: space(params),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      !always &&
        stop(
          'cannot-arrive',
          `${arrives <= 0 ? 'Nobody arrives' : `${capital(shareOf(1 - arrives, 'player'))} never arrive`}: ''}: with ${dice} dice nobody can roll 1, which the last stone asks for.`,
          mend('Let a roll pass the last stone', params, { finish: 'reach' }),
        ),
      always &&
        finish === 'exact' &&
        mean(turns) - mean(reach) > 1.5 &&
        mind(
          'waiting-at-the-end',
          `Waiting for the exact roll takes ${plain(mean(turns) - mean(reach))} turns more on average. A short wait is a joke, a long one is not.`,
          mend('Let a roll pass the last stone', params, { finish: 'reach' }),
        ),
      place === 'table' &&
        path > 1300 &&
        mind(
          'long-for-a-table',
          `${plain(path / 1000)} m is long for a table.`,
          mend('Make the stones 40 mm, side by side', params, { stoneMm: 40, gapMm: 0 }),
        ),
      place !== 'table' &&
        stoneMm < 200 &&
        mind(
          'small-stones',
          `A stone of ${stoneMm} mm is small for two feet.`,
          mend('Make the stones 300 mm', params, { stoneMm: 300 }),
        ),
      place !== 'table' &&
        params.gapMm > 250 &&
        mind(
          'wide-gaps',
          `Gaps of ${params.gapMm} mm are wide for short legs.`,
          mend('Make the gaps 100 mm', params, { gapMm: 100 }),
        ),
      length >= 20 &&
        dice === 1 &&
        back === 'none' &&
        know(
          'slow-path',
          `With one die a path to ${length} takes a while: for small children evenings of ten stones are better than one of ${length}.`,
        ),
    ],
    ladder: ladder(params),
  };
}

/** Each turn: the roll is counted, and added to (or on the way back taken from) the number stood on. */
function practice(params: StoneParams): Practised[] {
  const { length, finish, back, players } = params;
  const rolls = roll(params);
  const total = back === 'subtract' ? 2 * length : length;
  // Who is on the way when the first is home goes no further.
  const visits = visitsUntilFirst(
    0,
    (at) => rolls.map(([n, p]) => [walk(at, n, length, finish), p] as const),
    (at) => at === total || stuck(rolls, at, length, finish),
    players,
  );
  const list: Practised[] = [];
  for (const [at, times] of visits)
    for (const [n, p] of rolls) {
      const to = walk(at, n, length, finish);
      const meetings = times * p;
      list.push({ fact: fact('count', n), meetings: meetings / 2 });
      if (to === at) continue;
      // On the way home the stones are read backwards: from the last one, taking away.
      list.push(
        at < length
          ? { fact: fact('add', at, to - at), meetings }
          : { fact: fact('subtract', 2 * length - at, to - at), meetings },
      );
    }
  return list;
}

function space(params: StoneParams): Space {
  const path = pathMm(params);
  const { place, stoneMm } = params;
  if (place === 'table') return { place: 'table', widthMm: Math.min(path, 1200), depthMm: 400 };
  // A path is laid in two bends when it is long.
  const bends = path > 4000 ? 3 : 1;
  return {
    place: place === 'chalk' ? 'outdoors' : 'floor',
    widthMm: Math.ceil(path / bends / 100) * 100,
    depthMm: bends * stoneMm + (bends - 1) * 400 + 600,
  };
}
