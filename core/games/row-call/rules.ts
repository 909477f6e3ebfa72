/** Row Call: cards in a 3 × 3 grid, a caller turns cards; turn yours over; the first line wins. */
import { Type, type Static } from '@sinclair/typebox';
import { deckWithout, numbersOf, type Card } from '~/core/cards/deck';
import { OneOf, Whole } from '~/core/check/schema';
import { Cards } from '~/core/games/kit/knobs';
import type { FieldErrors } from '~/core/check/check';
import { choices, climb, remembered } from '~/core/games/kit/make';
import { NINE } from '~/core/games/kit/nine-cells';
import type { Ladder, Preset } from '~/core/games/kit/types';

export const GRID = NINE;
export const schema = Type.Object(
  {
    players: Whole(2, 4, { title: 'Players', default: 2 }),
    callFrom: OneOf(
      { rest: 'What is left of the deck', secondDeck: 'A second deck' },
      { title: 'Call from', default: 'rest' },
    ),
    turn: OneOf(
      { all: 'Turn all that match', one: 'Turn one that matches' },
      {
        title: 'Several cards of the called number',
        description: 'Both schools are played.',
        default: 'all',
      },
    ),
    win: OneOf({ line: 'A line of three', full: 'All nine' }, { title: 'To finish', default: 'line' }),
    missing: Cards({ title: 'Cards this deck lacks' }),
  },
  { additionalProperties: false },
);
export type RowParams = Static<typeof schema>;

const base: RowParams = { players: 2, callFrom: 'rest', turn: 'all', win: 'line', missing: [] };
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  change: Partial<RowParams>,
): Preset<RowParams> => ({
  id,
  name,
  school: change.turn === 'one' ? 'one match is turned' : 'all matches are turned',
  ageBand,
  params: { ...base, ...change },
});
export const presets: readonly Preset<RowParams>[] = [
  preset('two', 'two players, one deck', 'preK', {}),
  preset('three-second', 'three players, a deck to call from', 'K', { players: 3, callFrom: 'secondDeck' }),
  preset('full', 'all nine, a deck to call from', 'K', { callFrom: 'secondDeck', win: 'full' }),
  preset('two-one', 'two players, a deck to call from', 'K', { turn: 'one', callFrom: 'secondDeck' }),
];

/** Ace to ten of the deck. */
export const numbersFrom = (cards: readonly Card[]): number[] => numbersOf(cards, 'remove');
export const numbers = remembered((params: RowParams): number[] => numbersFrom(deckWithout(params.missing)));

/** Cards there are to call, from so many number cards. The second deck is a whole one. */
export const callsAvailable = ({ players, callFrom }: RowParams, cards: number): number =>
  callFrom === 'rest' ? cards - GRID * players : 40;

export const faults = (params: RowParams): FieldErrors => {
  const left = callsAvailable(params, numbers(params).length);
  const short = numbers(params).length < GRID * params.players || left < 1;
  return short
    ? {
        missing: `${numbers(params).length} number cards are left; ${params.players} grids take ${GRID * params.players}, and some are needed to call.`,
      }
    : {};
};

export const about = ({ win }: RowParams) => ({ win });
export const subject = ({ win }: RowParams): string =>
  win === 'line' ? 'three in a line' : 'all nine cards';
export const ladder = (params: RowParams): Ladder =>
  climb(
    choices(params, 'win', [
      ['line', 'Finish with a line'],
      ['full', 'Finish with all nine'],
    ]),
    choices(params, 'turn', [
      ['all', 'Turn all that match'],
      ['one', 'Turn one that matches'],
    ]),
  );
