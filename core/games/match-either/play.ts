import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { MatchParams } from '.';
import { deck, type ColourCard } from './rules';
import type { words } from './words';

const MOST_TURNS = 500;

/**
 * Each player lays a card that follows, or draws one (and lays it when it follows). Ends when a hand is empty, or
 * when the pile is and nobody can follow. `finished` is 1 when a hand became empty.
 */
export function* play(params: MatchParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const pile = shuffled(deck(params), random);
  const hands = Array.from({ length: params.players }, () => pile.splice(0, params.hand));
  let top = pile.shift()!;
  let stuck = 0;
  const follows = (card: ColourCard): boolean => card.colour === top.colour || card.number === top.number;
  for (let count = 0; count < MOST_TURNS && stuck < params.players; count++) {
    const player = count % params.players;
    const mine = hands[player]!;
    let at = mine.findIndex(follows);
    if (at < 0 && pile.length > 0) {
      mine.push(pile.shift()!);
      if (follows(mine.at(-1)!)) at = mine.length - 1;
      stuck = 0;
    } else if (at < 0) stuck++;
    if (at < 0) {
      yield turn(player + 1, 'play.draws', { number: top.number }, 'play.look');
      continue;
    }
    stuck = 0;
    const [card] = mine.splice(at, 1);
    const by = card!.number === top.number ? 'play.number' : 'play.colour';
    top = card!;
    yield turn(player + 1, by, { number: top.number }, 'play.why');
    if (mine.length === 0) return { finished: 1 };
  }
  return { finished: 0 };
}
