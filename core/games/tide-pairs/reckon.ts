import { deckWithout, ranksOf, showCard } from '~/core/cards/deck';
import { rankNames } from '~/core/words/deck';
import { fact, type Fact } from '~/core/cards/facts';
import { point, quantile } from '~/core/chance/pmf';
import { simulatePlays, type Effort } from '~/core/chance/simulate';
import {
  figure,
  know,
  mend,
  mind,
  need,
  simulatedFigure,
  stop,
  type Answers,
  type Practised,
} from '~/core/games/kit';
import { count as inWords, inGames, listed } from '~/core/words/numbers';
import type { TideParams } from '.';
import { play } from './play';
import { dealt, keptCards, ladder, pairing, partner, spareCards, targetOf, worth } from './rules';

/** Below this share of games the loose ends are worth a notice. */
const HALF = 0.5;

export function reckon(params: TideParams, effort: Effort): Answers {
  const { players, ownDecks, hand } = params;
  const target = targetOf(params);
  const cards = deckWithout(params.missing);
  const kept = keptCards(params, cards);
  const values = kept.map((card) => worth(card, params)!);
  const { pairs, leftover } = pairing(values, target, params.setSize);
  const spare = spareCards(params, kept);
  const out = ranksOf(cards.filter((card) => !kept.includes(card)));
  const dealable = dealt(params) <= kept.length;
  const simulated = dealable ? simulatePlays((random) => play(params, random), effort) : undefined;
  const paired = simulated?.of.paired;
  const each = ownDecks ? ', in each deck' : '';
  return {
    figures: [
      figure('kept', 'Cards kept', kept.length, 'cards', `Those that have a partner${each}.`),
      figure(
        'removed',
        'Cards taken out',
        cards.length - kept.length,
        'cards',
        out.length ? `The ${rankNames(out)} have no partner${each}.` : `Every card has a partner${each}.`,
      ),
      figure('pairs', 'Pairs', pairs, 'pairs', `The most that these cards can make${each}.`),
      figure(
        'leftover',
        'Cards left over',
        leftover.length,
        'cards',
        leftover.length
          ? `No partner is left for ${listed(leftover.map(String))}.`
          : params.setSize === 'twoOrThree' && 2 * pairs < kept.length
            ? 'Every card can pair, or be one of three.'
            : 'Every card can pair.',
      ),
      figure(
        'dealable',
        'Can be dealt',
        dealable ? 1 : 0,
        '',
        `${ownDecks ? hand : `${players} hands of ${hand}`} from ${kept.length} cards.`,
      ),
      ...simulatedFigure(
        'turns.mean',
        'Turns of one game',
        simulated?.of.turns,
        'turns',
        'All players together, asking at random.',
      ),
      ...(simulated
        ? [
            figure(
              'turns.p90',
              '90 in 100 games end by',
              quantile(simulated.turns, 0.9),
              'turns',
              'All players together.',
            ),
          ]
        : []),
      ...simulatedFigure(
        'allPaired.chance',
        'Every pair is found',
        paired,
        'of 1',
        paired ? `${inGames(paired.mean)}; in others, cards that belong together stay apart.` : '',
      ),
    ],
    parts: [need('card-deck', ownDecks ? players : 1, ownDecks ? 'One for each player.' : 'One for all.')],
    prep: [
      out.length
        ? `Take the ${rankNames(out)} out of ${ownDecks ? 'each' : 'the'} deck; keep ${inWords(kept.length, 'card')}.`
        : `Keep all ${inWords(kept.length, 'card')}${ownDecks ? ' of each deck' : ''}.`,
    ],
    turns: simulated?.turns ?? point(1),
    practice: simulated ? practice(values, target, simulated.of.turns!.mean) : [],
    players: { fewest: 2, most: 5, alone: false },
    notices: [
      !dealable &&
        stop(
          'not-dealable',
          `${players} hands of ${hand} take ${dealt(params)} cards, and only ${kept.length} are kept.`,
          fewer(params, kept.length),
        ),
      leftover.length > 0 &&
        mind(
          'leftover',
          `${leftover.length === 1 ? 'One card' : `${leftover.length} cards`} (${listed(leftover.map(String))}) can never pair. Take ${leftover.length === 1 ? 'it' : 'them'} out before you deal, so that everything pairs.`,
          mend(`Take ${spare.map(showCard).join(', ')} out`, params, {
            missing: [...params.missing, ...spare],
          }),
        ),
      paired !== undefined &&
        paired.mean < HALF &&
        mind(
          'pairs-stay-apart',
          params.setSize === 'twoOrThree'
            ? `${inGames(1 - paired.mean)} some cards are left over: a set of three uses up cards that would have been pairs.`
            : `${inGames(1 - paired.mean)} some pairs are never found: a player who is done cannot be asked.`,
          together(params, effort),
        ),
      params.zeroCard !== 'none' &&
        target !== undefined &&
        know(
          'zero-card',
          `Say “zero” for the ${params.zeroCard === 'jack' ? 'jacks' : 'queens'} from the first round on.`,
        ),
    ],
    ladder: ladder(params),
    simulated,
  };
}

/** The first change with which all pairs are found in at least half of the games. */
function together(params: TideParams, effort: Effort) {
  const changes: [string, Partial<TideParams>][] = [
    ['Make the target with two cards only', { setSize: 'two' }],
    ['Draw 5 when a hand runs out', { refill: 5 }],
  ];
  const works = (change: Partial<TideParams>): boolean =>
    simulatePlays((random) => play({ ...params, ...change }, random), { ...effort, progress: undefined }).of
      .paired!.mean >= HALF;
  const found = changes.find(
    ([, change]) =>
      Object.entries(change).some(([name, value]) => params[name as keyof TideParams] !== value) &&
      works(change),
  );
  return found && mend(found[0], params, found[1]);
}

/** The largest number of players, or the smaller hand, that can be dealt. */
function fewer(params: TideParams, kept: number) {
  if (params.hand === 7 && 5 * (params.ownDecks ? 1 : params.players) <= kept)
    return mend('Deal 5 cards each', params, { hand: 5 });
  const players = Math.floor(kept / 5);
  return !params.ownDecks && players >= 2
    ? mend(`Play with ${players}`, params, { players, hand: 5 })
    : undefined;
}

/** Each turn asks for one partner: the missing part of the target, or the same number again. */
function practice(values: readonly number[], target: number | undefined, turns: number): Practised[] {
  const ask = (value: number): Fact =>
    target === undefined ? fact('compare', value, value) : fact('missing', value, target);
  const askable = values.filter((value) => values.includes(partner(value, target)));
  return askable.map((value) => ({ fact: ask(value), meetings: turns / askable.length }));
}
