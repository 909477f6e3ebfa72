import { fact } from '~/core/cards/facts';
import { binomial } from '~/core/chance/binomial';
import { entries, mean, point, quantile } from '~/core/chance/pmf';
import { count } from '~/core/words/numbers';
import { figure, know, need, reckoned } from '~/core/games/kit/make';
import type { Assumptions, Reckoning } from '~/core/games/kit/types';
import { ladder, type PinParams } from './rules';

/** Pins fall independently, each with the stated chance; they are set up again for every roll. */
export function reckon(params: PinParams, assumptions: Assumptions): Reckoning {
  const { pins, rolls, cards, knock } = params;
  const down = binomial(pins, knock);
  const lines = rolls * cards;
  return reckoned({
    assumptions,
    figures: [
      figure('facts', 'Different facts', pins + 1, 'facts', `${pins} − 0 to ${pins} − ${pins}.`),
      figure(
        'lines',
        'Lines to write',
        lines,
        'lines',
        `${count(rolls, 'roll')} on ${cards === 1 ? 'one card' : `each of ${cards} cards`}.`,
      ),
      figure(
        'spread.mean',
        'Pins that fall',
        mean(down),
        'pins',
        `The average of one roll when each pin falls ${Math.round(knock * 100)} times in 100.`,
      ),
      figure(
        'spread.p90',
        '90 in 100 rolls knock down at most',
        quantile(down, 0.9),
        'pins',
        'Under the same assumption.',
      ),
    ],
    parts: [
      need('pin', pins, 'Set up again for every roll.'),
      need('ball', 1, 'Wider than a small ball, and soft.'),
      need('score-strip', cards, `Three columns, ${rolls} lines; both sides of a half card.`),
      need('pencil', 1, 'For the one who writes.'),
    ],
    prep: [
      `Print and cut ${cards} score ${cards === 1 ? 'strip' : 'strips'}.`,
      'Mark the line to roll from, three steps away.',
    ],
    turns: point(lines),
    practice: entries(down).map(([fallen, chance]) => ({
      fact: fact('subtract', pins, fallen),
      meetings: lines * chance,
    })),
    space: { place: 'floor', widthMm: 1200, depthMm: 3500 },
    players: { fewest: 1, most: Math.max(1, cards), alone: true },
    notices: [
      knock >= 0.8 &&
        know(
          'few-facts',
          'So near, nearly all pins fall every time and the same facts come again. Take one step back.',
        ),
      pins > 6 &&
        know(
          'set-up-time',
          `Setting up ${pins} pins takes longer than rolling: mark their places with dots.`,
        ),
    ],
    ladder: ladder(params),
  });
}
