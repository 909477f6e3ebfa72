import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { count } from '~/core/words/numbers';
import { figure, know, mend, mind, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { framesEach, ladder, sentences, type TrailParams } from './rules';

export function reckon(params: TrailParams, assumptions: Assumptions): Reckoning {
  const { max, op, problems } = params;
  const all = sentences(params);
  const frames = problems * framesEach(params);
  const pages = Math.ceil(frames / params.frames);
  return reckoned({
    assumptions,
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
        op === 'add' ? `a + b up to ${max}, each at least 1.` : `a − b with 1 ≤ b ≤ a ≤ ${max}.`,
      ),
    ],
    parts: [
      need('two-colour-counter', max, 'A full frame: one colour for each number.'),
      need('frame-card', frames, 'The trail, one problem after the other.'),
      need('picture-card', Math.min(problems, all.length), 'The sentence cards of the trail.'),
    ],
    prep: [
      `Print ${pages} ${pages === 1 ? 'page' : 'pages'} of frames and ${Math.min(problems, all.length)} sentence cards.`,
    ],
    turns: point(problems),
    setUpMinutes: 1,
    practice: all.map(({ a, b }) => ({ fact: fact(op, a, b), meetings: problems / all.length })),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      problems > all.length &&
        mind(
          'sentences-repeat',
          `There are only ${all.length} different sentences.`,
          mend(`Make it ${all.length} problems`, params, { problems: all.length }),
        ),
      problems > 16 && know('long-trail', `${problems} problems are a long trail: lay out half today.`),
    ],
    ladder: ladder(params),
  });
}
