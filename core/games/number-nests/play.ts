import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { NestParams } from '.';
import { allCards } from './reckon';
import type { words } from './words';

/** The shuffled cards one after the other, each to its nest or beside the nests. */
export function* play(params: NestParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  let count = 0;
  for (const { a, b } of shuffled(allCards(params), random)) {
    const answer = a + b;
    const home = answer >= params.from && answer <= params.to;
    yield turn(
      (count++ % params.players) + 1,
      home ? 'play.home' : 'play.stray',
      { a, b, answer },
      count % 3 === 0 ? 'play.check' : 'play.how',
    );
  }
}
