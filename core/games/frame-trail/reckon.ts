import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import {
  choices,
  climb,
  figure,
  know,
  lineNeed,
  lineNotice,
  mend,
  mind,
  need,
  type Answers,
  type Ladder,
} from '~/core/games/kit';
import { count } from '~/core/words/numbers';
import type { TrailParams } from '.';

/** Every sentence there is: a + b ≤ max with a, b ≥ 1; a − b with 1 ≤ b ≤ a ≤ max. Both on one frame begin with a + b. */
export const sentences = ({ max, op }: Pick<TrailParams, 'max' | 'op'>): { a: number; b: number }[] => {
  const list: { a: number; b: number }[] = [];
  for (let a = 1; a <= max; a++)
    for (let b = 1; b <= (op === 'subtract' ? a : max - a); b++) list.push({ a, b });
  return list;
};

/** The signs of the sentences. */
export const signsOf = (op: TrailParams['op']): ('+' | '−')[] =>
  op === 'both' ? ['+', '−'] : [op === 'add' ? '+' : '−'];

/** Problems of one problem sheet. */
export const ON_SHEET = 8;

/** Ten-frames that one problem takes. */
export const framesEach = ({ max }: Pick<TrailParams, 'max'>): number => max / 10;

export const ladder = (params: TrailParams): Ladder =>
  climb(
    choices(params, 'op', [
      ['add', 'Add'],
      ['subtract', 'Take away'],
      ['both', 'Add, and take the same away'],
    ]),
    choices(params, 'max', [
      [10, 'Numbers to 10'],
      [20, 'Numbers to 20'],
    ]),
  );

export function reckon(params: TrailParams): Answers {
  const { max, op, problems, signs, problemSheets } = params;
  const all = sentences(params);
  const frames = problems * framesEach(params);
  const pages = Math.ceil(frames / params.frames);
  return {
    figures: [
      figure(
        'frames',
        'Ten-frames',
        frames,
        'frames',
        `${count(problems, 'problem')}, ${count(framesEach(params), 'frame')} each; ${count(pages, 'page')} of ${params.frames}.`,
      ),
      figure(
        'counters',
        'Counters',
        max,
        'counters',
        'A full frame; they are taken off before the next problem.',
      ),
      figure(
        'problemsAvailable',
        'Different sentences',
        all.length,
        'sentences',
        op === 'subtract'
          ? `a − b with 1 ≤ b ≤ a ≤ ${max}.`
          : `a + b up to ${max}, each at least 1${op === 'both' ? '; each is taken back' : ''}.`,
      ),
    ],
    parts: [
      need('two-colour-counter', max, 'A full frame: one color for each number.'),
      need('frame-card', frames, 'The trail, one problem after the other.'),
      need('sentence-card', Math.min(problems, all.length), 'The sentence cards of the trail.'),
      ...(signs ? [need('operation-card', signsOf(op).length + 1, 'The signs and =.')] : []),
      ...lineNeed(params, params.players),
      ...(problemSheets
        ? [
            need('record-sheet', problemSheets, `${ON_SHEET} problems on each, in a mixture of their own.`),
            need('pencil', 1, 'For the problem sheets.'),
          ]
        : []),
    ],
    prep: [
      `Print ${pages} ${pages === 1 ? 'page' : 'pages'} of frames and ${Math.min(problems, all.length)} sentence cards.`,
    ],
    turns: point(problems),
    setUpMinutes: 1,
    practice: all.flatMap(({ a, b }) =>
      (op === 'both' ? [fact('add', a, b), fact('subtract', a + b, b)] : [fact(op, a, b)]).map((one) => ({
        fact: one,
        meetings: problems / all.length,
      })),
    ),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      problems > all.length &&
        mind(
          'sentences-repeat',
          `There are only ${all.length} different sentences.`,
          mend(`Make it ${all.length} problems`, params, { problems: all.length }),
        ),
      lineNotice(params, max),
      problems > 16 && know('long-trail', `${problems} problems are a long trail: lay out half today.`),
    ],
    ladder: ladder(params),
  };
}
