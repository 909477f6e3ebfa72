import { fact } from '~/core/cards/facts';
import { binomial } from '~/core/chance/binomial';
import { entries, mean, point, quantile } from '~/core/chance/pmf';
import { figure, know, levels, lineNeed, need, type Answers, type Ladder } from '~/core/games/kit';
import { count } from '~/core/words/numbers';
import type { PinParams } from '.';

export const ladder = (params: PinParams): Ladder =>
  levels(params, 'pins', [3, 4, 5, 6, 8, 10], (pins) => `Use ${pins} pins`);

/** Pins fall independently, each with the stated chance; they are set up again for every roll. */
export function reckon(params: PinParams): Answers {
  const { pins, rolls, cards, knock } = params;
  const down = binomial(pins, knock);
  const lines = rolls * cards;
  return {
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
      ...lineNeed(params, cards),
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
  };
}
