import { shuffled, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { DoughParams } from '.';
import { played, sentences } from './reckon';
import type { words } from './words';

/** Each player draws from the shuffled cards; no card comes twice to one player. */
export function* play(params: DoughParams, random: Random): Generator<Turn<keyof typeof words.en>, void> {
  const piles = Array.from({ length: params.players }, () => shuffled(sentences(params), random));
  for (let card = 0; card < played(params); card++)
    for (const [player, pile] of piles.entries()) {
      const { a, b } = pile[card]!;
      yield turn(
        player + 1,
        'play.squash',
        { a, b, answer: a - b },
        a === b ? 'play.none' : b === 0 ? 'play.all' : 'play.left',
      );
    }
}
