import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { PondParams } from '.';
import { cardsOf } from './reckon';
import type { words } from './words';

export function* play(params: PondParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  const cards = shuffled(cardsOf(params), random);
  for (let i = 0; i < params.stories * params.players; i++) {
    const { a, b } = cards[i % cards.length]!;
    yield turn(
      (i % params.players) + 1,
      'play.story',
      { a, b, answer: a + b },
      i % 2 ? 'play.part' : 'play.tell',
      { a },
    );
  }
}
