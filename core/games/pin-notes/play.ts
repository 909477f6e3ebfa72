import type { Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { PinParams } from '.';
import type { words } from './words';

export function* play(
  { pins, rolls, cards, knock }: PinParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, Outcome> {
  let fallen = 0;
  for (let count = 0; count < rolls * cards; count++) {
    let down = 0;
    for (let pin = 0; pin < pins; pin++) if (random.chance(knock)) down++;
    fallen += down;
    yield turn(
      (count % cards) + 1,
      'play.roll',
      { pins, down, answer: pins - down },
      down === 0 ? 'play.none' : down === pins ? 'play.all' : 'play.standing',
    );
  }
  return { down: fallen / (rolls * cards) };
}
