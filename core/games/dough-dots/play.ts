import { shuffled, type Random } from '~/core/chance/random';
import { turn } from '~/core/games/kit/make';
import type { Turn } from '~/core/games/kit/types';
import { played, sentences, type DoughParams } from './rules';

/** Each player draws from the shuffled cards; no card comes twice to one player. */
export function* play(params: DoughParams, random: Random): Generator<Turn, void> {
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
