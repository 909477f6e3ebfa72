/** Five to the Mark: five cards face up and one target card; reach it with two or more of the five. */
import { Type, type Static } from '@sinclair/typebox';
import { deckWithout, FACES, numbersOf, type Card } from '~/core/cards/deck';
import { OneOf, OneValue, Whole, YesNo } from '~/core/check/schema';
import { Cards } from '~/core/games/kit/knobs';
import type { FieldErrors } from '~/core/check/check';
import { climb, levels } from '~/core/games/kit/make';
import { signLadder, Signs } from '~/core/games/kit/signs';
import type { Ladder, Preset } from '~/core/games/kit/types';

/** What a joker counts. */
export const JOKER = 15;
const JOKERS = 2;

export const schema = Type.Object(
  {
    laid: Whole(4, 6, { title: 'Cards laid out', default: 5 }),
    ops: Signs(['+', '−', '×', '÷']),
    faces: OneOf(
      { numbers: 'Numbers only, ace to ten', '11-12-13': FACES['11-12-13'] },
      { title: 'Picture cards', default: 'numbers' },
    ),
    jokers: OneValue(
      [
        ['none', 'No jokers'],
        ['15', 'Two jokers, 15 each'],
      ],
      { title: 'Jokers', default: 'none' },
    ),
    whole: YesNo({
      title: 'Whole numbers only',
      description: 'No step goes below zero or leaves a remainder.',
      default: true,
    }),
    rounds: Whole(1, 20, { title: 'Targets in one game', default: 6 }),
    players: Whole(1, 4, { title: 'Players', default: 2 }),
    missing: Cards({ title: 'Cards this deck lacks' }),
  },
  { additionalProperties: false },
);
export type MarkParams = Static<typeof schema>;

export const faults = (params: MarkParams): FieldErrors => {
  const deck = deckNumbers(params);
  return deck.length <= params.laid
    ? { missing: `${deck.length} cards are left; ${params.laid} cards and a target take ${params.laid + 1}.` }
    : {};
};

const base: MarkParams = {
  laid: 5,
  ops: ['+', '−', '×', '÷'],
  faces: 'numbers',
  jokers: 'none',
  whole: true,
  rounds: 6,
  players: 2,
  missing: [],
};
const preset = (
  id: string,
  name: string,
  ageBand: Preset['ageBand'],
  school: string,
  change: Partial<MarkParams>,
): Preset<MarkParams> => ({ id, name, school, ageBand, params: { ...base, ...change } });
const NUMBERS = 'picture cards are put away';
const PICTURES = 'picture cards count';
export const presets: readonly Preset<MarkParams>[] = [
  preset('all', 'five cards, all signs', 'g3', NUMBERS, {}),
  preset('sums', 'five cards, + and −', 'g2', NUMBERS, { ops: ['+', '−'] }),
  preset('add', 'six cards, + only', 'g1', NUMBERS, { laid: 6, ops: ['+'], rounds: 4 }),
  preset('pictures', 'five cards, all signs', 'g3', PICTURES, { faces: '11-12-13' }),
  preset('jokers', 'six cards, jokers are 15', 'g3', PICTURES, { laid: 6, faces: '11-12-13', jokers: '15' }),
];

/** The numbers of the deck that is played with, jokers at the end. */
export const deckNumbers = (
  { faces, jokers, missing }: Pick<MarkParams, 'faces' | 'jokers' | 'missing'>,
  cards: readonly Card[] = deckWithout(missing),
): number[] => [
  ...numbersOf(cards, faces),
  ...(jokers === '15' ? new Array<number>(JOKERS).fill(JOKER) : []),
];

export const about = ({ laid }: MarkParams) => ({ laid });
export const subject = ({ laid }: MarkParams): string => `${laid} cards to a target`;

/** Fewer signs make it easier, and more cards on the table. */
export const ladder = (params: MarkParams): Ladder =>
  climb(
    signLadder(params),
    levels(params, 'laid', [6, 5, 4], (laid) => `Lay out ${laid} cards`),
  );
