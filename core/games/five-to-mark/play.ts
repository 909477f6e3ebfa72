import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { MarkParams } from '.';
import { deckNumbers } from './reckon';
import { layout, solve } from './solve';
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
    const way = firstWay(laid, target, params);
    if (way) {
      solved++;
      yield turn(player, 'play.reaches', { ...args, way: way.text }, 'play.how');
    } else yield turn(player, 'play.none', args, 'play.new');
  }
  return { solved: solved / params.rounds };
}

/** A shortest way, or undefined. Pairs are tried before more cards, as children do. */
function firstWay(laid: readonly number[], target: number, params: MarkParams) {
  const values = layout(laid, params);
  for (let size = 2; size <= laid.length; size++)
    for (let mask = 1; mask < 2 ** laid.length; mask++) {
      if (mask.toString(2).replaceAll('0', '').length !== size || !values.values(mask).has(target)) continue;
      const cards = laid.filter((_, i) => mask & (1 << i));
      const way = solve(cards, target, params, 1).ways.find((one) => one.cards.length === size);
      if (way) return way;
    }
  return undefined;
}
