/** Puzzle Halves: two picture parts fit with their answer; each puzzle has a different cut, so it checks itself. */
import { Type, type Static } from '@sinclair/typebox';
import { fitting } from '~/core/paper/packing';
import { PAPERS } from '~/core/paper/sheet';
import { OneOf, Whole } from '~/core/check/schema';
import { levels } from '~/core/games/kit/make';
import type { Ladder, Preset } from '~/core/games/kit/types';

/** One puzzle before it is cut, in mm. */
export const PUZZLE_MM = { w: 180, h: 58 };
/** Two picture parts and the answer. */
export const PIECES = 3;

export const schema = Type.Object(
  {
    max: Whole(3, 10, { title: 'Largest answer', default: 5 }),
    count: Whole(2, 20, { title: 'Puzzles', default: 8 }),
    paper: OneOf({ letter: PAPERS.letter.name, a4: PAPERS.a4.name }, { title: 'Paper', default: 'letter' }),
    players: Whole(1, 4, { title: 'Players', default: 1 }),
  },
  { additionalProperties: false },
);
export type PuzzleParams = Static<typeof schema>;

const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  max: number,
  count: number,
): Preset<PuzzleParams> => ({
  id,
  name,
  ageBand,
  params: { max, count, paper: 'letter', players: 1 },
});
export const presets: readonly Preset<PuzzleParams>[] = [
  preset('five', 'answers to 5', 'preK', 5, 6),
  preset('ten', 'answers to 10', 'K', 10, 10),
];

/** Every puzzle there can be: two parts of at least one, their sum at most max, the larger part first. */
export const possible = ({ max }: Pick<PuzzleParams, 'max'>): { a: number; b: number }[] => {
  const list: { a: number; b: number }[] = [];
  for (let answer = 2; answer <= max; answer++)
    for (let b = 1; b <= answer / 2; b++) list.push({ a: answer - b, b });
  return list;
};

/** The puzzles that are printed, spread evenly over the answers; they begin again when there are not enough. */
export function puzzles(params: PuzzleParams): { a: number; b: number }[] {
  const all = possible(params);
  return Array.from({ length: params.count }, (_, i) =>
    params.count <= all.length ? all[Math.floor((i * all.length) / params.count)]! : all[i % all.length]!,
  );
}

export const perSheet = ({ paper }: Pick<PuzzleParams, 'paper'>): number =>
  fitting(PUZZLE_MM, PAPERS[paper], 4).count;
export const about = ({ max }: PuzzleParams) => ({ max });
export const subject = ({ max }: PuzzleParams): string => `picture sums to ${max}`;
export const ladder = (params: PuzzleParams): Ladder =>
  levels(params, 'max', [3, 4, 5, 6, 8, 10], (max) => `Answers to ${max}`);
