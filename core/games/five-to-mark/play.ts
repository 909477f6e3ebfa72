import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { MarkParams } from '.';
import { deckNumbers } from './reckon';
import { solve } from './solve';
import type { words } from './words';

/**
 * A new deal for every target, or new cards only for those that were used; what lies aside is mixed in again when the
 * pile is used up. `solved` is the share of targets that could be reached.
 */
export function* play(params: MarkParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const deck = deckNumbers(params);
  let solved = 0;
  let pile: number[] = [];
  let aside: number[] = [];
  let laid: number[] = [];
  for (let round = 0; round < params.rounds; round++) {
    if (params.replace === 'all' || round === 0) {
      pile = shuffled(deck, random);
      [aside, laid] = [[], []];
    }
    if (pile.length < params.laid - laid.length + 1) {
      pile.push(...shuffled(aside, random));
      aside = [];
    }
    laid.push(...pile.splice(0, params.laid - laid.length));
    const target = pile.shift()!;
    aside.push(target);
    const player = (round % params.players) + 1;
    const args = { laid: laid.join(', '), target };
    // The way with the fewest cards: pairs are tried before more, as children do.
    const [way] = solve(laid, target, params, 1).ways;
    if (way) {
      solved++;
      yield turn(player, 'play.reaches', { ...args, way: way.text }, 'play.how');
      for (const number of way.cards) laid.splice(laid.indexOf(number), 1);
      aside.push(...way.cards);
    } else yield turn(player, 'play.none', args, 'play.new');
  }
  return { solved: solved / params.rounds };
}
