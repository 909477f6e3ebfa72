import { apply, fact, SIGNS, type Sign } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import type { FieldErrors } from '~/core/check/check';
import { figure, levels, mend, mind, need, type Answers, type Ladder } from '~/core/games/kit';
import type { WaysParams } from '.';

export const faults = (params: WaysParams): FieldErrors =>
  sentences(params).length === 0
    ? { target: 'No sentence with these signs and numbers makes this target.' }
    : {};

export interface Sentence {
  a: number;
  b: number;
  sign: Sign;
}

/** Every sentence of two numbers up to `upTo` whose answer is the target; exact division, nothing below zero. */
export function sentences({ target, ops, order, upTo, zero }: WaysParams): Sentence[] {
  const least = zero ? 0 : 1;
  const found: Sentence[] = [];
  for (const sign of Object.keys(SIGNS) as Sign[]) {
    if (!ops.includes(sign)) continue;
    const turns = sign === '+' || sign === '×';
    for (let a = least; a <= upTo; a++)
      for (let b = least; b <= upTo; b++)
        if (apply(sign, a, b) === target && (order === 'ordered' || !turns || a <= b))
          found.push({ a, b, sign });
  }
  return found;
}

/** Targets along the ladder; the numbers of a sentence grow with the target. */
export function ladder(params: WaysParams): Ladder {
  const { easier, harder } = levels(
    params,
    'target',
    [4, 5, 6, 8, 10, 12, 15, 20],
    (target) => `Make ${target}`,
  );
  const upTo = Math.max(params.upTo, Number(harder?.params.target ?? 0));
  return { easier, harder: harder && { ...harder, params: { ...harder.params, upTo } } };
}

/** More ways than this are a long list. */
const MANY = 24;

export function reckon(params: WaysParams): Answers {
  const all = sentences(params);
  const bySign = params.ops
    .map((sign) => `${all.filter((one) => one.sign === sign).length} with ${sign}`)
    .join(', ');
  const highest = params.ops.includes('+') && !params.ops.includes('−') && params.upTo < params.target;
  return {
    figures: [
      figure(
        'ways',
        'Sentences',
        all.length,
        'sentences',
        `${bySign}; numbers ${params.zero ? 0 : 1} to ${params.upTo}, ${params.order === 'ordered' ? 'order counts' : 'order does not count'}.`,
      ),
    ],
    parts: [
      need('record-sheet', params.players, 'One for each player, with every way on the back to tick.'),
      need('pencil', params.players, 'One for each player.'),
      need('two-colour-counter', params.target, 'To lay the target and part it.'),
    ],
    turns: point(all.length),
    setUpMinutes: 1,
    practice: all.map(({ a, b, sign }) => ({ fact: fact(SIGNS[sign], a, b), meetings: 1 })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      all.length > MANY &&
        mind(
          'many-ways',
          `${all.length} ways are a long list. Stop when it is enough, and keep the sheet for tomorrow.`,
          params.order === 'ordered' && sentences({ ...params, order: 'unordered' }).length <= MANY
            ? mend('Write turned sentences once', params, { order: 'unordered' })
            : undefined,
        ),
      highest &&
        mind(
          'numbers-too-small',
          `With numbers up to ${params.upTo} some sums of ${params.target} cannot be written.`,
          mend(`Use numbers up to ${params.target}`, params, { upTo: params.target }),
        ),
    ],
    ladder: ladder(params),
  };
}
