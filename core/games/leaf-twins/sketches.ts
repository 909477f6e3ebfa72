/** Small drawings of the steps; they show the numbers that the steps say. */
import { dotsIn } from '~/core/paper/cards';
import { heartOf, picture } from '~/core/paper/pictures';
import { numeral } from '~/core/paper/numerals';
import { TONE, type Sketches } from '~/core/games/kit/draw';
import type { TwinParams } from './rules';

const SHOWN = 4;
const twin = (x: number, { shape }: TwinParams, dots: boolean) => {
  const place = { x, y: 12, w: 36, h: 36 };
  const heart = heartOf(shape, place);
  return [
    picture(shape, place, { stroke: TONE.ink, strokeMm: 0.8, ...(dots ? {} : { fill: TONE.leaf }) }),
    ...(dots
      ? dotsIn(SHOWN, heart)
      : numeral(String(SHOWN), heart.x + heart.w / 2, heart.y + heart.h / 2, heart.h * 0.8)),
  ];
};
export const sketches: Sketches<TwinParams> = {
  'turn.take': (_, params) => twin(32, params, false),
  'turn.count': (_, params) => twin(32, params, true),
  'turn.lay': (_, params) => [...twin(8, params, false), ...twin(56, params, true)],
};
