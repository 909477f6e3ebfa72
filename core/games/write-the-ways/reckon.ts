import { fact, SIGNS } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, mend, mind, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { ladder, sentences, type WaysParams } from './rules';

/** More ways than this are a long list. */
const MANY = 24;

export function reckon(params: WaysParams, assumptions: Assumptions): Reckoning {
  const all = sentences(params);
  const bySign = params.ops
    .map((sign) => `${all.filter((one) => one.sign === sign).length} with ${sign}`)
    .join(', ');
  const highest = params.ops.includes('+') && !params.ops.includes('−') && params.upTo < params.target;
  return reckoned({
    assumptions,
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
  });
}
