import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { PeekParams } from '.';
import { cardsOf } from './reckon';
import type { words } from './words';

export function* play(params: PeekParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  for (const [i, card] of shuffled(cardsOf(params), random).entries()) {
    const player = (i % params.players) + 1;
    const [a, b] = card.groups;
    yield b === undefined
      ? turn(player, 'play.one', { number: a! }, 'play.how')
      : turn(player, 'play.two', { a: a!, b, answer: a! + b }, 'play.part', { a: a! });
  }
}
