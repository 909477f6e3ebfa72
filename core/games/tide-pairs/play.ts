import { pick, shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { TideParams } from '.';
import { mostPairs, pairing, partner, playedValues, targetOf } from './rules';
import type { words } from './words';

/** A game that runs on longer than this has run dry: nobody can ask for anything that is there. */
const MOST_TURNS = 600;

/** Where three cards that make the sum are in a hand, the last first. */
function threeIn(mine: readonly number[], sum: number): [number, number, number] | undefined {
  if (mine.length < 3) return undefined;
  const most = Math.max(...mine);
  for (let i = 0; i < mine.length; i++)
    for (let j = i + 1; j < mine.length; j++) {
      const third = sum - mine[i]! - mine[j]!;
      if (third < 0 || third > most) continue;
      const k = mine.indexOf(third, j + 1);
      if (k >= 0) return [k, j, i];
    }
  return undefined;
}

/**
 * One play. Each player lays what can be laid, asks all others for the partner of one of the own cards, and draws
 * when nobody has it. In a play with own decks the asked card is taken from the asker's own pile, when somebody
 * else holds it up. Ends when no cards are left that could still meet. Outcome: `paired` is 1 when as many pairs
 * were laid as the cards allow.
 */
export function* play(params: TideParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  const { players, ownDecks, setSize } = params;
  const target = targetOf(params);
  const { hand } = params;
  const values = playedValues(params);
  const piles = Array.from({ length: ownDecks ? players : 1 }, () => shuffled(values, random));
  const pileOf = (player: number): number[] => piles[ownDecks ? player : 0]!;
  const hands = Array.from({ length: players }, (_, player) => pileOf(player).splice(0, hand));
  const possible = mostPairs(params) * piles.length;
  let laid = 0;
  let threes = 0;

  const take = (cards: number[], value: number): boolean => {
    const at = cards.indexOf(value);
    if (at >= 0) cards.splice(at, 1);
    return at >= 0;
  };
  const layPairs = (mine: number[]): void => {
    for (let i = 0; i < mine.length; i++) {
      const value = mine[i]!;
      const j = mine.indexOf(partner(value, target), i + 1);
      if (j < 0) continue;
      mine.splice(j, 1);
      mine.splice(i, 1);
      laid++;
      i = -1;
    }
    if (setSize === 'twoOrThree' && target !== undefined) layThrees(mine, target);
  };
  const layThrees = (mine: number[], sum: number): void => {
    for (let three = threeIn(mine, sum); three; three = threeIn(mine, sum)) {
      for (const at of three) mine.splice(at, 1);
      threes++;
    }
  };
  const canPair = (cards: readonly number[]): boolean =>
    cards.some((value, i) => cards.indexOf(partner(value, target), i + 1) >= 0);
  const draws = (player: number): boolean =>
    pileOf(player).length > 0 && (hands[player]!.length > 0 || params.refill > 0);
  /** Whether anybody can still draw a card, or lay some: the pile of a player who is done is out of the game. */
  const alive = (): boolean =>
    hands.some((_, player) => draws(player)) ||
    (ownDecks ? hands.some(canPair) : canPair(hands.flat())) ||
    (setSize === 'twoOrThree' && target !== undefined && hands.some((mine) => threeIn(mine, target)));

  let turns = 0;
  for (let player = 0; turns < MOST_TURNS && alive(); player = (player + 1) % players) {
    const mine = hands[player]!;
    const pile = pileOf(player);
    if (mine.length === 0) {
      const drawn = pile.splice(0, params.refill);
      // Who is done waits.
      if (drawn.length === 0) continue;
      mine.push(...drawn);
    }
    layPairs(mine);
    if (mine.length === 0) {
      turns++;
      yield turn(player + 1, 'play.laysAll', {});
      continue;
    }
    // A card that only ever is one of three is asked for with nobody.
    const askable = mine.filter((value) => values.includes(partner(value, target)));
    if (askable.length === 0) {
      turns++;
      const drawn = pile.shift();
      if (drawn !== undefined) mine.push(drawn);
      if (drawn !== undefined && params.drawnPair === 'now') layPairs(mine);
      yield turn(player + 1, 'play.only', {});
      continue;
    }
    const own = pick(askable, random);
    const wanted = partner(own, target);
    const others = hands.filter((cards) => cards !== mine);
    const asked = params.ask === 'one' ? [pick(others, random)] : others;
    const giver = asked.find((cards) => cards.includes(wanted));
    turns++;
    if (ownDecks) {
      if (giver && take(pile, wanted)) {
        take(mine, own);
        laid++;
        yield turn(player + 1, 'play.gets', { own, wanted }, 'play.sum', {
          own,
          wanted,
          whole: own + wanted,
        });
        continue;
      }
    } else {
      if (giver) {
        take(giver, wanted);
        take(mine, own);
        laid++;
        yield turn(player + 1, 'play.gets', { own, wanted }, 'play.sum', {
          own,
          wanted,
          whole: own + wanted,
        });
        continue;
      }
    }
    const drawn = pile.shift();
    if (drawn === undefined) {
      yield turn(player + 1, 'play.asks', { own, wanted }, 'play.missing', { own });
      continue;
    }
    mine.push(drawn);
    if (params.drawnPair === 'now') layPairs(mine);
    yield turn(player + 1, 'play.draws', { own, wanted }, 'play.missing', { own });
  }
  // A three uses up cards that might have been pairs: all is paired when nothing is left that could pair.
  const rest = [...hands.flat(), ...piles.flat()];
  const done = threes > 0 ? pairing(rest, target).pairs === 0 && rest.length <= 1 : laid === possible;
  return { paired: done ? 1 : 0 };
}
