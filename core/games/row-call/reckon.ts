import { countValues } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { simulatePlays, type Effort } from '~/core/chance/simulate';
import { figure, know, mend, mind, need, simulatedFigure, type Answers } from '~/core/games/kit';
import { inGames, plain, share } from '~/core/words/numbers';
import type { RowParams } from '.';
import { play } from './play';
import { callsAvailable, GRID, ladder, numbers } from './rules';

export function reckon(params: RowParams, effort: Effort): Answers {
  const { players, callFrom } = params;
  const cards = numbers(params);
  const available = callsAvailable(params, cards.length);
  const simulated = simulatePlays((random) => play(params, random), effort);
  const { finished, calls, tie } = simulated.of;
  const chance = finished!.mean;
  const met = simulated.of.turns!.mean * (1 + players * (GRID / 40));
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
        `${inGames(chance)} before the cards to call run out.`,
      ),
      ...simulatedFigure(
        'calls.mean',
        'Calls until then',
        calls,
        'calls',
        'The average of the games that finish.',
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
      `Take jacks, queens and kings out${callFrom === 'rest' ? '' : ' of both decks; backs of two colours help'}.`,
    ],
    turns: simulated.turns,
    practice: [...countValues(cards)].map(([value, count]) => ({
      fact: fact('quantity', value),
      meetings: (met * count) / cards.length,
    })),
    players: { fewest: 2, most: 4, alone: false },
    notices: [
      chance < 0.9 &&
        mind(
          'often-unfinished',
          callFrom === 'rest'
            ? `${players} players and one deck leave ${available} cards to call: ${share(1 - chance)} games never finish. Use a second deck to call from.`
            : `${share(1 - chance)} games never finish.`,
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
