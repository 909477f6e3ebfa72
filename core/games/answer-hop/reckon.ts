import { apply, fact, SIGNS, type Sign } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import { figure, know, mend, mind, need, signLadder, type Answers, type Ladder } from '~/core/games/kit';
import type { HopParams } from '.';

/** Cells of the calculator in a row. */
export const COLUMNS = 4;

export const ALL_DIGITS = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9];

export const faults = (params: HopParams): FieldErrors =>
  Object.values(waysTo(params)).every((list) => list.length === 0)
    ? { ops: 'No target can be hopped with these digits and signs.' }
    : {};

export interface Hop {
  a: number;
  sign: Sign;
  b: number;
}

/** Every sentence for each target: one-digit numbers, exact division by a number other than zero. */
export function waysTo({ digits, ops, to }: Pick<HopParams, 'digits' | 'ops' | 'to'>): Record<number, Hop[]> {
  const ways: Record<number, Hop[]> = {};
  for (let target = 1; target <= to; target++) ways[target] = [];
  for (const sign of Object.keys(SIGNS) as Sign[]) {
    if (!ops.includes(sign)) continue;
    for (const a of digits)
      for (const b of digits) {
        const answer = apply(sign, a, b);
        if (answer !== undefined) ways[answer]?.push({ a, sign, b });
      }
  }
  return ways;
}

export const ladder = (params: HopParams): Ladder => signLadder(params);

const FEW = 3;

export function reckon(params: HopParams): Answers {
  const { digits, ops, cellMm } = params;
  const ways = Object.entries(waysTo(params)).map(([target, list]) => ({ target: Number(target), list }));
  const possible = ways.filter(({ list }) => list.length > 0);
  const hardest = ways.reduce((a, b) => (b.list.length < a.list.length ? b : a));
  const hard = possible.filter(({ list }) => list.length <= FEW);
  const never = ways.filter(({ list }) => list.length === 0).map(({ target }) => target);
  const highest = possible.at(-1)!.target;
  const cells = digits.length + ops.length + 1;
  const rows = Math.ceil(cells / COLUMNS);
  return {
    figures: [
      ...ways.map(({ target, list }) =>
        figure(
          `ways.${target}`,
          `Ways to ${target}`,
          list.length,
          'sentences',
          list.length ? `Such as ${list[0]!.a} ${list[0]!.sign} ${list[0]!.b}.` : 'There is none.',
        ),
      ),
      figure(
        'fewestWays',
        'Target with the fewest ways',
        hardest.target,
        '',
        `${hardest.list.length} ${hardest.list.length === 1 ? 'sentence' : 'sentences'}.`,
      ),
    ],
    parts: [
      need('chalk', 1, 'One stick draws the calculator.'),
      need('plan', 1, 'The calculator with its measures.'),
    ],
    prep: [
      `Chalk ${cells} cells of ${cellMm / 10} cm: ${digits.length} digits, ${ops.length} ${ops.length === 1 ? 'sign' : 'signs'} and the = sign.`,
    ],
    turns: point(possible.length),
    setUpMinutes: 8,
    practice: possible.flatMap(({ list }) =>
      list.map(({ a, sign, b }) => ({ fact: fact(SIGNS[sign], a, b), meetings: 1 / list.length })),
    ),
    space: { place: 'outdoors', widthMm: COLUMNS * cellMm, depthMm: rows * cellMm },
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      hard.length > 0 &&
        know(
          'hard-targets',
          `The hard ones: ${hard.map(({ target, list }) => `${target} (${list[0]!.a} ${list[0]!.sign} ${list[0]!.b})`).join(', ')}.`,
        ),
      never.length > 0 &&
        mind(
          'never',
          `${never.join(', ')} cannot be hopped with these digits and signs.`,
          highest >= 3 && never.every((target) => target > highest)
            ? mend(`Stop at ${highest}`, params, { to: highest })
            : undefined,
        ),
    ],
    ladder: ladder(params),
  };
}
