/**
 * Which games stand at the tables of an evening: such as are likely just right for the children that come, done within
 * a round, of different skills; one to move about, one that can be joined late, and no two noisy ones side by side.
 * Chosen exactly, by whole numbers.
 */
import { atMost, entries, type Pmf } from '~/core/chance/pmf';
import type { AgeBand } from '~/core/games/kit/types';
import { chanceOf, posterior } from '~/core/listening/level';
import { solve, type Condition, type Terms } from '~/core/solver/milp';
import { listed } from '~/core/words/numbers';

/** A game with a setting, as a table would have it. */
export interface TableGame {
  id: string;
  gameId: string;
  name: string;
  /** What it asks, in school years. */
  demand: number;
  /** Minutes of one play. */
  minutes: Pmf;
  skills: readonly string[];
  quiet: boolean;
  /** It is played on the floor or outdoors: children move. */
  moves: boolean;
  /** Each plays for itself: who comes late begins at once. */
  joinLate: boolean;
}
/** So many children of a grade are expected. */
export interface Expected {
  band: AgeBand;
  children: number;
}
export interface TablesAsked {
  games: readonly TableGame[];
  expected: readonly Expected[];
  tables: number;
  roundMinutes: number;
}

export interface Chosen {
  game: TableGame;
  /** The share of the children for whom it is likely just right. */
  justRight: number;
  /** The chance that a play ends within a round. */
  inTime: number;
  why: string;
}
export interface TablesFound {
  /** In the order in which they stand: noisy ones have a quiet one between them. */
  tables: Chosen[];
  /** What could not be had, each in a sentence. */
  lacks: string[];
}

/** How likely a demand is just right, over the children that come; their grade is all that is known of them. */
export function fitOf(demand: number, expected: readonly Expected[]): number {
  const all = expected.reduce((sum, { children }) => sum + children, 0);
  if (all === 0) return 0;
  return expected.reduce((sum, { band, children }) => {
    const right = posterior({ band, answers: [] }, 0.1).reduce(
      (total, { level, weight }) => total + weight * chanceOf('justRight', level, demand),
      0,
    );
    return sum + (right * children) / all;
  }, 0);
}

/** A play that ends sooner than this share of a round leaves children waiting, unless it is played again. */
const SHORT = 0.25;
/** What counts: that it is right, that it ends in time, that it fills the round. */
const WEIGHTS = { right: 100, inTime: 40, fills: 15 };
/** No more than so many tables practise the same thing first of all. */
const SAME_SKILL = 2;
/** Below this a game is not put on a table: it would be broken off every other time. */
const LEAST_IN_TIME = 0.5;

interface Rated extends Omit<Chosen, 'why'> {
  score: number;
}
function rate(game: TableGame, expected: readonly Expected[], roundMinutes: number): Rated {
  const justRight = fitOf(game.demand, expected);
  const inTime = Math.min(1, atMost(game.minutes, roundMinutes));
  const fills = entries(game.minutes).reduce(
    (sum, [minutes, chance]) => sum + (minutes >= SHORT * roundMinutes ? chance : 0),
    0,
  );
  return {
    game,
    justRight,
    inTime,
    score: WEIGHTS.right * justRight + WEIGHTS.inTime * inTime + WEIGHTS.fills * fills,
  };
}

/** Wishes in the order in which they are given up where all of them cannot be had. */
const WISHES = ['joinLate', 'moves', 'skills', 'quiet'] as const;
type Wish = (typeof WISHES)[number];
const LACKS: Readonly<Record<Wish, string>> = {
  joinLate: 'No game at these tables can be joined late: let who comes late watch one play.',
  moves: 'No game at these tables is for moving about.',
  skills: 'More than two tables practise the same thing.',
  quiet: 'Two noisy tables stand side by side: put a wall, a rug or a corridor between them.',
};

const names = (pick: (one: Rated) => boolean, rated: readonly Rated[]): Terms =>
  new Map(rated.flatMap((one, i) => (pick(one) ? [[`game ${i}`, 1] as const] : [])));

function conditionsFor(rated: readonly Rated[], tables: number, wishes: readonly Wish[]): Condition[] {
  const conditions: Condition[] = [{ terms: names(() => true, rated), is: '=', bound: tables }];
  // The same game stands at one table only, whatever its setting.
  for (const gameId of new Set(rated.map(({ game }) => game.gameId)))
    conditions.push({ terms: names(({ game }) => game.gameId === gameId, rated), is: '<=', bound: 1 });
  if (wishes.includes('moves'))
    conditions.push({ terms: names(({ game }) => game.moves, rated), is: '>=', bound: 1 });
  if (wishes.includes('joinLate'))
    conditions.push({ terms: names(({ game }) => game.joinLate, rated), is: '>=', bound: 1 });
  if (wishes.includes('quiet'))
    conditions.push({
      terms: names(({ game }) => !game.quiet, rated),
      is: '<=',
      bound: Math.ceil(tables / 2),
    });
  if (wishes.includes('skills'))
    for (const skill of new Set(rated.map(({ game }) => game.skills[0] ?? '')))
      conditions.push({
        terms: names(({ game }) => (game.skills[0] ?? '') === skill, rated),
        is: '<=',
        bound: SAME_SKILL,
      });
  return conditions;
}

/** Noisy ones at every other place, the quiet between them. */
function inOrder(chosen: readonly Rated[]): Rated[] {
  const noisy = chosen.filter(({ game }) => !game.quiet);
  const quiet = chosen.filter(({ game }) => game.quiet);
  const row: Rated[] = [];
  while (noisy.length || quiet.length) {
    const next = noisy.length >= quiet.length ? (noisy.shift() ?? quiet.shift()) : quiet.shift();
    if (next) row.push(next);
    const other = next?.game.quiet ? noisy.shift() : quiet.shift();
    if (other) row.push(other);
  }
  return row;
}
const sideBySide = (row: readonly Rated[]): boolean =>
  row.some(({ game }, i) => i > 0 && !game.quiet && !row[i - 1]!.game.quiet);

const why = ({ game, justRight, inTime }: Rated): string =>
  [
    `${Math.round(justRight * 100)} in 100 children find it just right, as their grades go; ${Math.round(inTime * 100)} in 100 plays end within a round`,
    listed([
      ...(game.moves ? ['children move about'] : []),
      ...(game.joinLate ? ['it can be joined late'] : []),
      ...(game.quiet ? [] : ['it is noisy']),
    ]),
  ]
    .filter(Boolean)
    .join('; ') + '.';

/** The games for so many tables. Throws RangeError where there are fewer games than tables. */
export async function gamesForTables({
  games,
  expected,
  tables,
  roundMinutes,
}: TablesAsked): Promise<TablesFound> {
  const rated = games
    .map((game) => rate(game, expected, roundMinutes))
    .filter(({ inTime }) => inTime >= LEAST_IN_TIME);
  const kinds = new Set(rated.map(({ game }) => game.gameId)).size;
  if (kinds < tables)
    throw new RangeError(
      `There are ${kinds} games that end within ${roundMinutes} minutes, and ${tables} tables: longer rounds or fewer tables would help.`,
    );
  const whole = new Map(rated.map((_, i) => [`game ${i}`, 1] as const));
  const aim: Terms = new Map(rated.map(({ score }, i) => [`game ${i}`, score] as const));
  for (let given = 0; given <= WISHES.length; given++) {
    const wishes = WISHES.slice(given);
    const solved = await solve({
      direction: 'max',
      aim,
      conditions: conditionsFor(rated, tables, wishes),
      whole,
    });
    if (solved.status === 'infeasible') continue;
    const row = inOrder(rated.filter((_, i) => solved.values.get(`game ${i}`) === 1));
    const missing = (wish: Wish): boolean =>
      wish === 'joinLate'
        ? !row.some(({ game }) => game.joinLate)
        : wish === 'moves'
          ? !row.some(({ game }) => game.moves)
          : wish === 'quiet'
            ? sideBySide(row)
            : row.some(
                (one) =>
                  row.filter(({ game }) => (game.skills[0] ?? '') === (one.game.skills[0] ?? '')).length >
                  SAME_SKILL,
              );
    return {
      tables: row.map((one) => ({
        game: one.game,
        justRight: one.justRight,
        inTime: one.inTime,
        why: why(one),
      })),
      lacks: WISHES.filter(missing).map((wish) => LACKS[wish]),
    };
  }
  throw new RangeError('No choice of games is possible for these tables.');
}
