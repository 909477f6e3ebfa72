import { countValues } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { simulatePlays, type Effort, type Estimate } from '~/core/chance/simulate';
import {
  figure,
  know,
  mend,
  mind,
  need,
  simulatedFigure,
  type Answers,
  type Practised,
} from '~/core/games/kit';
import { capital, count, inGames, plain, shareOf } from '~/core/words/numbers';
import type { RowParams } from '.';
import { play } from './play';
import { callsAvailable, GRID, ladder, numbers, SECOND_DECK } from './rules';

export function reckon(params: RowParams, effort: Effort): Answers {
  const { players, callFrom } = params;
  const cards = numbers(params);
  const available = callsAvailable(params, cards.length);
  const simulated = simulatePlays((random) => play(params, random), effort);
  const { finished, calls, tie } = simulated.of;
  const chance = finished!.mean;
  const which =
    params.turn === 'all'
      ? ''
      : ` Of several, ${{ fullest: 'the one in the fullest line', any: 'any of them', reading: 'the first, as one reads,' }[params.choose]} is turned.`;
  const unfinished = chance <= 0 ? 'no game ever finishes' : `${shareOf(1 - chance, 'game')} never finish`;
  return {
    figures: [
      figure(
        'callsAvailable',
        'Cards to call',
        available,
        'cards',
        callFrom === 'rest'
          ? `${cards.length} number cards less ${players} grids of ${GRID}.`
          : 'The ace to ten of the second deck.',
      ),
      ...simulatedFigure(
        'finish.chance',
        'Somebody finishes',
        finished,
        'of 1',
        `${inGames(chance)} before the cards to call run out.${which}`,
      ),
      ...simulatedFigure(
        'calls.mean',
        'Calls until then',
        calls,
        'calls',
        `The average of the games that finish.${which}`,
      ),
      ...simulatedFigure(
        'tie.chance',
        'Two finish together',
        tie,
        'of 1',
        'On the same call; they are glad together.',
      ),
    ],
    parts: [
      need(
        'card-deck',
        callFrom === 'rest' ? 1 : 2,
        callFrom === 'rest' ? 'One for the grids and the calls.' : 'One for the grids, one to call from.',
      ),
    ],
    prep: [
      `Take jacks, queens and kings out${callFrom === 'rest' ? '' : ' of both decks; backs of two colors help'}.`,
    ],
    turns: simulated.turns,
    practice: practice(params, cards, simulated.of),
    players: { fewest: 2, most: 4, alone: false },
    notices: [
      chance < 0.9 &&
        mind(
          'often-unfinished',
          callFrom === 'rest'
            ? `${players} players and one deck leave ${count(available, 'card')} to call: ${unfinished}. Use a second deck to call from.`
            : `${capital(unfinished)}.`,
          callFrom === 'rest'
            ? mend('Call from a second deck', params, { callFrom: 'secondDeck' })
            : params.turn === 'one'
              ? mend('Turn all that match', params, { turn: 'all' })
              : undefined,
        ),
      calls &&
        calls.mean > 20 &&
        know(
          'long-calling',
          `About ${plain(calls.mean)} calls are long for the youngest: let them be the caller.`,
        ),
    ],
    ladder: ladder(params),
    simulated,
  };
}

/** A number is met when it is called, and again on each card that is turned. */
function practice(
  { callFrom }: RowParams,
  cards: readonly number[],
  { turns, matched }: Record<string, Estimate>,
): Practised[] {
  const laid = [...countValues(cards)];
  const rest = callFrom === 'rest';
  // The called card of one deck lies in no grid itself; a second deck has four of each.
  const called = new Map(rest ? laid : [...countValues(SECOND_DECK)]);
  const turnedOn = new Map(laid.map(([value, count]) => [value, rest ? count * (count - 1) : 4 * count]));
  const part = (of: ReadonlyMap<number, number>, value: number): number =>
    (of.get(value) ?? 0) /
    Math.max(
      1,
      [...of.values()].reduce((a, b) => a + b, 0),
    );
  return [...called.keys()].map((value) => ({
    fact: fact('quantity', value),
    meetings: turns!.mean * part(called, value) + matched!.mean * part(turnedOn, value),
  }));
}
