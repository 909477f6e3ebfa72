/** Five to the Mark: five cards face up and one target card; reach it with two or more of the five. */
import { Type, type Static } from '@sinclair/typebox';
import { deckWithout, FACES, numbersOf, type Card } from '~/core/cards/deck';
import type { Sign } from '~/core/cards/facts';
import { Cards, OneOf, OneValue, SomeOf, Whole, YesNo } from '~/core/check/schema';
import type { FieldErrors } from '~/core/check/check';
import { climb, levels } from '../make';
import type { Ladder, Preset } from '../types';

const SIGN_NAMES: Record<Sign, string> = { '+': '+', '−': '−', '×': '×', '÷': '÷' };
/** What a joker counts. */
export const JOKER = 15;
const JOKERS = 2;

export const schema = Type.Object(
  {
    laid: Whole(4, 6, { title: 'Cards laid out', default: 5 }),
    ops: SomeOf(SIGN_NAMES, { title: 'Signs', default: ['+', '−', '×', '÷'] }),
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

/** More cards make it easier, fewer signs too. */
export function ladder(params: MarkParams): Ladder {
  const ALL: Sign[] = ['+', '−', '×', '÷'];
  const now = ALL.filter((sign) => params.ops.includes(sign));
  const fewer = now.length > 1 ? now.slice(0, -1) : undefined;
  const next = ALL.find((sign) => !now.includes(sign));
  return climb(
    {
      easier: fewer && { params: { ...params, ops: fewer }, label: `Use only ${fewer.join(' ')}` },
      harder: next && {
        params: { ...params, ops: ALL.filter((sign) => now.includes(sign) || sign === next) },
        label: `Allow ${next} too`,
      },
    },
    levels(params, 'laid', [6, 5, 4], (laid) => `Lay out ${laid} cards`),
  );
}
