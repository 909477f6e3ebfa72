import { shuffled, type Random } from '~/core/chance/random';
import { turn } from '~/core/games/kit/make';
import type { Turn } from '~/core/games/kit/types';
import { cardsOf, type PondParams } from './rules';

export function* play(params: PondParams, random: Random): Generator<Turn, void> {
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
