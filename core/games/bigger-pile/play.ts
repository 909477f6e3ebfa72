import { shuffled, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { PileParams } from '.';
import { answer, cardsEach, goesOn, numbers, piles, rounds } from './rules';
import type { words } from './words';

/** One round: the cards of each pile, the largest answer, the pile that has it first, and whether another has it too. */
export interface Round {
  turned: readonly (readonly number[])[];
  answer: number;
  player: number;
  tie: boolean;
}

/** A game that has gone on so long is put away. */
export const MOST_ROUNDS = 500;

/** The rounds of one play, and whether it came to its end. */
export function* roundsOfPlay(params: PileParams, random: Random): Generator<Round, boolean> {
  return yield* goesOn(params) ? untilAll(params, random) : onceThrough(params, random);
}

function round(op: PileParams['op'], players: readonly number[], turned: readonly number[][]): Round {
  let [largest, best, tie] = [-1, 0, false];
  for (let i = 0; i < turned.length; i++) {
    const now = answer(op, turned[i]![0]!, turned[i]![1] ?? 0);
    if (now > largest) [largest, best, tie] = [now, i, false];
    else if (now === largest) tie = true;
  }
  return { turned, answer: largest, player: players[best]!, tie };
}

function* onceThrough(params: PileParams, random: Random): Generator<Round, boolean> {
  const cards = shuffled(numbers(params), random);
  const each = cardsEach(params);
  const players = Array.from({ length: piles(params) }, (_, i) => i);
  for (let i = rounds(params); i > 0; i--)
    yield round(
      params.op,
      players,
      players.map(() => cards.splice(0, each)),
    );
  return true;
}

const take = (hand: number[], each: number): number[] =>
  each === 1 ? [hand.shift()!] : [hand.shift()!, hand.shift()!];

/** Taken cards go under the pile of who took them. Who cannot turn any more is done; a card left over goes along. */
function* untilAll(params: PileParams, random: Random): Generator<Round, boolean> {
  const { op, ties, players } = params;
  const each = cardsEach(params);
  const hands = Array.from({ length: players }, (): number[] => []);
  shuffled(numbers(params), random).forEach((card, i) => hands[i % players]!.push(card));
  let middle: number[] = [];
  for (let i = 0; i < MOST_ROUNDS; i++) {
    const playing: number[] = [];
    hands.forEach((hand, player) => hand.length >= each && playing.push(player));
    if (playing.length < 2) return true;
    for (const hand of hands) if (hand.length < each) middle.push(...hand.splice(0));
    const turned = playing.map((player) => take(hands[player]!, each));
    const now = round(op, playing, turned);
    yield now;
    if (now.tie && ties === 'keepOwn') playing.forEach((player, k) => hands[player]!.push(...turned[k]!));
    else {
      for (const cards of turned) middle.push(...cards);
      if (now.tie) continue;
      // In any order, as they are swept up: else two piles could turn the same cards for ever.
      hands[now.player]!.push(...shuffled(middle, random));
      middle = [];
    }
  }
  return false;
}

/** One turn is one round: every player's cards are turned, and the larger answer is named. */
export function* play(params: PileParams, random: Random): Generator<Turn<keyof typeof words.en>, Outcome> {
  let ties = 0;
  const played = roundsOfPlay(params, random);
  for (let next = played.next(); ; next = played.next()) {
    if (next.done) return { ties, ended: Number(next.value) };
    const { turned, answer: largest, player, tie } = next.value;
    const shown = turned.map((pair) => pair.join(' · ')).join('  |  ');
    if (tie) ties++;
    yield tie
      ? turn(player + 1, 'play.tie', { shown, answer: largest }, 'play.howSame')
      : turn(player + 1, 'play.most', { shown, answer: largest }, 'play.howMuch');
  }
}
