import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { MarkParams } from '.';
import { deckNumbers } from './reckon';
import { solve } from './solve';
import type { words } from './words';

/** A new deal for every target. `solved` is the share of targets that could be reached. */
export function* play(params: MarkParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const deck = deckNumbers(params);
  let solved = 0;
  for (let round = 0; round < params.rounds; round++) {
    const cards = shuffled(deck, random);
    const laid = cards.slice(0, params.laid);
    const target = cards[params.laid]!;
    const player = (round % params.players) + 1;
    const args = { laid: laid.join(', '), target };
    // The way with the fewest cards: pairs are tried before more, as children do.
    const [way] = solve(laid, target, params, 1).ways;
    if (way) {
      solved++;
      yield turn(player, 'play.reaches', { ...args, way: way.text }, 'play.how');
    } else yield turn(player, 'play.none', args, 'play.new');
  }
  return { solved: solved / params.rounds };
}
