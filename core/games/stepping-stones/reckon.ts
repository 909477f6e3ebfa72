import { fact } from '~/core/cards/facts';
import { pathTurns, stuck, turnsUntilFirst, visitsUntilFirst, walk } from '~/core/chance/markov';
import { entries, first, map, mean, quantile } from '~/core/chance/pmf';
import { simulatePlays, type Effort } from '~/core/chance/simulate';
import {
  chanceFigure,
  figure,
  know,
  mend,
  mind,
  need,
  practised,
  stop,
  type Answers,
  type Practised,
  type Space,
} from '~/core/games/kit';
import { capital, plain, shareOf } from '~/core/words/numbers';
import type { StoneParams } from '.';
import { crowded, isApart, ladder, PAIRS, pathMm, race, rollAt, wholeWay } from './rules';

/** Turns of one player, and the chance to arrive at all: a Markov chain over the stones, exact. */
export const walkOf = (params: StoneParams) =>
  pathTurns(rollAt(params), params.length, params.finish, params.back !== 'none');

export function reckon(params: StoneParams, effort: Effort): Answers {
  const { length, dice, finish, back, players, place, stoneMm, stones } = params;
  const { turns, arrives } = walkOf(params);
  const always = arrives > 1 - 1e-6;
  const firstHome = first(turns, players);
  const path = pathMm(params);
  const reach = pathTurns(rollAt(params), length, 'reach', back !== 'none').turns;
  const raced = crowded(params) ? simulated(params, effort) : undefined;
  const whole = raced?.turns ?? turnsUntilFirst(turns, players);
  return {
    figures: [
      ...(always
        ? [
            figure(
              'turns.mean',
              'Turns of one player',
              mean(turns),
              'turns',
              `The exact average over ${length} stones${back === 'none' ? '' : ' and back'}${raced ? ', alone on the path' : ''}.`,
            ),
            figure('turns.p50', 'Half are home by', quantile(turns, 0.5), 'turns', 'For one player.'),
            figure('turns.p90', '90 in 100 are home by', quantile(turns, 0.9), 'turns', 'For one player.'),
            figure(
              'firstHome.mean',
              'First one home after',
              raced ? raced.rounds.mean : mean(firstHome),
              'rounds',
              raced
                ? `The first of ${players} players, who go further when a stone is taken.`
                : `The first of ${players} ${players === 1 ? 'player' : 'players'}; exact.`,
              raced?.rounds.error,
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
      ...(place === 'felt' && stones !== 'numbers'
        ? [need(stones === 'childDots' ? 'dot-card' : 'number-card', length, 'One to lay on each stone.')]
        : []),
      ...(place === 'table' && stones !== 'numbers' ? [need('pencil', 1, 'For the blank stones.')] : []),
    ],
    prep: [
      place === 'felt'
        ? `Lay ${length} felt stones in a curve and tape each down on all sides: ${plain(path / 1000)} m in all.`
        : place === 'chalk'
          ? `Chalk ${length} stones: ${plain(path / 1000)} m in all.`
          : 'Print the table path and tape its sheets together.',
    ],
    turns: whole,
    setUpMinutes: (place === 'table' ? 1 : 5) + (stones === 'numbers' ? 0 : Math.ceil(length / 6)),
    practice: [
      ...(raced?.practice ?? practice(params)),
      // Whoever lays or writes the numbers meets each of them once.
      ...(stones === 'numbers'
        ? []
        : Array.from({ length }, (_, i) => ({
            fact: fact(stones === 'childDots' ? 'count' : 'quantity', i + 1),
            meetings: 1,
          }))),
    ],
    space: space(params),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      !always &&
        stop(
          'cannot-arrive',
          `${arrives <= 0 ? 'Nobody arrives' : `${capital(shareOf(1 - arrives, 'player'))} never arrive`}: with ${dice} dice nobody can roll 1, which the last stone asks for.`,
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
    simulated: raced,
  };
}

/** Races in which a stone that is taken sends on: their length, and what is met in them. */
function simulated(params: StoneParams, effort: Effort) {
  const met: Practised[] = [];
  const { turns, plays, seed } = simulatePlays(function* (random) {
    for (const { from, to, steps, dice } of race(params, random)) {
      const [b, a] = [...dice].sort((x, y) => x - y);
      met.push(...factsOf(params, from, to, isApart(params, from) ? [a!, b!] : steps, 1));
      yield;
    }
  }, effort);
  // A round is over when its last player has rolled, or when the game has ended.
  const rounds = map(turns, (n) => Math.ceil(n / params.players));
  const average = mean(rounds);
  const variance = entries(rounds).reduce((total, [n, p]) => total + p * (n - average) ** 2, 0);
  return {
    turns,
    plays,
    seed,
    rounds: { mean: average, error: Math.sqrt(variance / plays) },
    practice: practised(met).map((one) => ({ ...one, meetings: one.meetings / plays })),
  };
}

/** What a move practises: the roll, and the way from stone to stone. On the way home stones are read backwards. */
function factsOf(
  { length }: StoneParams,
  from: number,
  to: number,
  rolled: number | readonly [number, number],
  meetings: number,
): Practised[] {
  return [
    typeof rolled === 'number'
      ? { fact: fact('count', rolled), meetings: meetings / 2 }
      : { fact: fact('subtract', ...rolled), meetings },
    ...(to === from
      ? []
      : from < length
        ? [{ fact: fact('add', from, to - from), meetings }]
        : [{ fact: fact('subtract', 2 * length - from, to - from), meetings }]),
  ];
}

/** Each turn: the roll is counted, and added to (or on the way back taken from) the number stood on. */
function practice(params: StoneParams): Practised[] {
  const { length, finish, players } = params;
  const total = wholeWay(params);
  const rolls = rollAt(params);
  // Who is on the way when the first is home goes no further.
  const visits = visitsUntilFirst(
    0,
    (at) => rolls(at).map(([n, p]) => [walk(at, n, length, finish), p] as const),
    (at) => at === total || stuck(rolls(at), at, length, finish),
    players,
  );
  return [...visits].flatMap(([at, times]) =>
    isApart(params, at)
      ? PAIRS.flatMap(({ a, b, chance }) =>
          factsOf(params, at, walk(at, a - b, length, finish), [a, b], times * chance),
        )
      : rolls(at).flatMap(([n, p]) => factsOf(params, at, walk(at, n, length, finish), n, times * p)),
  );
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
