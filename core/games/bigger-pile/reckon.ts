import { deckWithout, pairChances } from '~/core/cards/deck';
import { fact, type Fact } from '~/core/cards/facts';
import { point, quantile } from '~/core/chance/pmf';
import { simulatePlays, type Effort } from '~/core/chance/simulate';
import {
  chanceFigure,
  figure,
  know,
  lineNeed,
  lineNotice,
  mend,
  mind,
  need,
  simulatedFigure,
  type Answers,
  type Practised,
} from '~/core/games/kit';
import { capital, count as many, shareOf } from '~/core/words/numbers';
import type { PileParams } from '.';
import { MOST_ROUNDS, roundsOfPlay } from './play';
import { answer, goesOn, ladder, lined, numbers, perRound, piles, rounds, values } from './rules';

/** Chance that two players have the same answer in the first round; exact, without putting back. */
export function tieChance(counts: ReadonlyMap<number, number>, op: PileParams['op']): number | undefined {
  const all = [...counts.values()].reduce((a, b) => a + b, 0);
  if (op === 'compare')
    return all < 2
      ? undefined
      : [...counts.values()].reduce((total, n) => total + n * (n - 1), 0) / (all * (all - 1));
  if (all < 4) return undefined;
  let tie = 0;
  for (const first of pairChances(counts)) {
    const left = new Map(counts);
    left.set(first.a, left.get(first.a)! - 1);
    left.set(first.b, left.get(first.b)! - 1);
    const same = pairChances(left)
      .filter(({ a, b }) => answer(op, a, b) === answer(op, first.a, first.b))
      .reduce((total, one) => total + one.chance, 0);
    tie += first.chance * same;
  }
  return tie;
}

/** Fewer rounds than this are hardly a game. */
const FEW = 5;

/** The first change with which there are rounds enough. */
function longer(params: PileParams) {
  const changes: [string, Partial<PileParams>][] = [
    ['Play with two', { players: 2 }],
    ['Use a whole deck', { missing: [] }],
    ['Play with two and a whole deck', { players: 2, missing: [] }],
  ];
  const found = changes.find(([, change]) => rounds({ ...params, ...change }) >= FEW);
  return found && mend(found[0], params, found[1]);
}

export function reckon(params: PileParams, effort: Effort): Answers {
  const { op, faces, ties, signs, missing } = params;
  const long = goesOn(params) ? untilAll(params, effort) : undefined;
  const counts = values(params);
  const inDeck = deckWithout(missing).length;
  const playable = numbers(params).length;
  const kept = faces === 'discardWhenMet' ? inDeck : playable;
  const count = rounds(params);
  const pairs = pairChances(counts);
  const answers = op === 'compare' ? [...counts.keys()] : pairs.map(({ a, b }) => answer(op, a, b));
  const tie = tieChance(counts, op);
  const facts = long?.practice ?? practice(params, count);
  const whole = rounds({ ...params, missing: [] });
  const over = playable - count * perRound(params);
  const largest = Math.max(...answers);
  return {
    figures: [
      figure(
        'kept',
        'Cards kept',
        kept,
        'cards',
        faces === 'remove'
          ? 'Ace to ten.'
          : faces === '11-12-13'
            ? 'The whole deck.'
            : `The whole deck; ${playable} of them are numbers.`,
      ),
      ...(long
        ? long.figures
        : [
            figure(
              'rounds',
              'Rounds',
              count,
              'rounds',
              `${playable} number cards, ${perRound(params)} in a round${over ? `; ${over} are left over` : ''}.`,
            ),
          ]),
      ...(tie === undefined
        ? []
        : [chanceFigure('tie.chance', 'Equal answers', tie, 'two players, first round, exact.')]),
      figure('answer.min', 'Smallest answer', Math.min(...answers), '', 'Of the cards in this deck.'),
      figure('answer.max', 'Largest answer', largest, '', 'Of the cards in this deck.'),
      ...(op === 'add'
        ? [figure('counters', 'Counters', largest, 'counters', 'To build the largest sum.')]
        : []),
      figure(
        'distinctFacts',
        'Different facts',
        facts.length,
        'facts',
        op === 'compare'
          ? 'Pairs of numbers that can meet, order aside.'
          : 'Pairs of numbers that one player can turn, order aside.',
      ),
    ],
    parts: [
      need('card-deck', 1, 'One for all.'),
      ...(signs ? [need('sign-card', 3, 'One each of <, = and >.')] : []),
      ...lineNeed(lined(params), params.players),
      ...(op === 'add' ? [need('two-colour-counter', largest, 'To build the largest sum.')] : []),
    ],
    prep: [
      faces === 'remove'
        ? `Take jacks, queens and kings out; keep ${kept} cards.`
        : faces === '11-12-13'
          ? 'Keep all cards; write 11, 12 and 13 on a slip for jack, queen and king.'
          : 'Keep all cards; picture cards are put aside when they come.',
    ],
    turns: long?.simulated.turns ?? point(Math.max(1, count)),
    setUpMinutes: 1,
    practice: facts,
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      long !== undefined &&
        quantile(long.simulated.turns, 0.9) > LONG &&
        mind(
          'goes-on',
          `${
            long.ended < MOST
              ? `${capital(shareOf(1 - long.ended, 'game'))} have no end after ${MOST_ROUNDS} rounds`
              : `One in ten of these games has more than ${quantile(long.simulated.turns, 0.9)} rounds`
          }: set a clock, or go through the deck once.`,
          mend('Once through the deck', params, { until: 'deck' }),
        ),
      missing.length > 0 &&
        long === undefined &&
        know(
          'cards-missing',
          `${missing.length === 1 ? 'One card is' : `${missing.length} cards are`} missing: ${
            count === whole
              ? `there are ${many(whole, 'round')} all the same`
              : `${many(count, 'round')} instead of ${whole}`
          }.`,
          mend('Use a whole deck', params, { missing: [] }),
        ),
      long === undefined &&
        count < FEW &&
        mind(
          'few-rounds',
          `Only ${count} ${count === 1 ? 'round' : 'rounds'}: the game is over before it has begun.`,
          longer(params),
        ),
      tie !== undefined &&
        tie > 0.15 &&
        (ties === 'again'
          ? know(
              'many-ties',
              'Equal answers are common here: turning again makes them the best moment of the game.',
            )
          : know(
              'ties-pass-by',
              'Equal answers are common here. Turning again makes them the best moment of the game; nothing is lost.',
              mend('Turn again', params, { ties: 'again' }),
            )),
      lineNotice(lined(params), op === 'add' ? largest : Math.max(...counts.keys())),
      know(
        'no-fight',
        'Say “which is more”, not who beats whom. Together against the game: how many rounds until a double comes?',
      ),
    ],
    ladder: ladder(params),
    simulated: long?.simulated,
  };
}

/** More than the largest number on a card. */
const NUMBERS = 100;
/** So many of the games have to end, so that one can say by when. */
const MOST = 0.9;
/** So many rounds are more than an evening has. */
const LONG = 60;

/** Plays until one has all cards: how long they are, and what is met in them. */
function untilAll(params: PileParams, effort: Effort) {
  const { op } = params;
  /** How often the smaller number met the larger one, in the order in which they met first. */
  const met = new Map<number, number>();
  const meet = (a: number, b: number, meetings: number): void => {
    const key = a < b ? a * NUMBERS + b : b * NUMBERS + a;
    met.set(key, (met.get(key) ?? 0) + meetings);
  };
  const simulated = simulatePlays(function* (random) {
    const played = roundsOfPlay(params, random);
    for (let next = played.next(); ; next = played.next()) {
      if (next.done) return { ended: Number(next.value) };
      const { turned } = next.value;
      for (let i = 0; i < turned.length; i++) {
        const [a, b] = turned[i]!;
        if (op !== 'compare') meet(a!, b!, 1);
        else for (let k = 0; k < i; k++) meet(a!, turned[k]![0]!, 1 / (turned.length - 1));
      }
      yield;
    }
  }, effort);
  const { turns, plays, of } = simulated;
  const ended = of.ended!.mean;
  return {
    simulated,
    ended,
    practice: [...met].map(([key, meetings]) => ({
      fact: factOf(op, Math.floor(key / NUMBERS), key % NUMBERS),
      meetings: meetings / plays,
    })),
    figures: [
      ...simulatedFigure(
        'rounds.mean',
        'Rounds',
        of.turns,
        'rounds',
        ended < 1
          ? `Until one player has all cards, or the game is put away after ${MOST_ROUNDS}.`
          : 'Until one player has all cards.',
      ),
      // Where many games do not end at all, nobody can say by when most of them do.
      ...(ended >= MOST
        ? [
            figure(
              'rounds.p90',
              '90 in 100 games end by',
              quantile(turns, 0.9),
              'rounds',
              'Of the same plays.',
            ),
          ]
        : []),
      chanceFigure(
        'ends.chance',
        'It comes to an end',
        ended,
        `somebody has all cards within ${MOST_ROUNDS} rounds.`,
        of.ended!.error,
      ),
    ],
  };
}

/** What is worked out with two cards, the smaller number first. */
const factOf = (op: PileParams['op'], a: number, b: number): Fact =>
  op === 'compare'
    ? fact('compare', a, b)
    : op === 'subtract'
      ? fact('subtract', b, a)
      : fact(op === 'add' ? 'add' : 'multiply', a, b);

/** Facts met in one play: each player's pair, or the comparison of the piles. */
function practice(params: PileParams, count: number): Practised[] {
  const { op } = params;
  const each = count * (op === 'compare' ? piles(params) / 2 : piles(params));
  return pairChances(values(params)).map(({ a, b, chance }) => ({
    fact: factOf(op, a, b),
    meetings: each * chance,
  }));
}
