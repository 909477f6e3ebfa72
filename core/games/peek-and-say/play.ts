import { shuffled, type Random } from '~/core/chance/random';
import { turn } from '~/core/games/kit/make';
import type { Turn } from '~/core/games/kit/types';
import { cardsOf, type PeekParams } from './rules';

export function* play(params: PeekParams, random: Random): Generator<Turn, void> {
  for (const [i, card] of shuffled(cardsOf(params), random).entries()) {
    const player = (i % params.players) + 1;
    const [a, b] = card.groups;
    yield b === undefined
      ? turn(player, 'play.one', { number: a! }, 'play.how')
      : turn(player, 'play.two', { a: a!, b, answer: a! + b }, 'play.part', { a: a! });
  }
}
