import {
  bench,
  card,
  cardRow,
  sign,
  TONE,
  written,
  type Lines,
  type Pictures,
  type Said,
} from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { PileParams } from '.';
import { answer, cardsEach, goesOn, lined, rounds } from './rules';
import type { words } from './words';

export function steps(params: PileParams): Lines<typeof words.en> {
  const { op, faces, players, ties } = params;
  const cards = cardsEach(params);
  const [a, b] = op === 'multiply' ? [4, 3] : [8, 5];
  return [
    faces === 'remove'
      ? ['setUp.remove']
      : faces === '11-12-13'
        ? ['setUp.faces', { jack: 11, queen: 12, king: 13 }]
        : ['setUp.discard'],
    goesOn(params) ? ['setUp.deal'] : ['setUp.pile'],
    ['turn.turn', { cards, players }],
    op === 'compare'
      ? ['turn.compare', { a, b }, 'pieces']
      : [`turn.${op}`, { a, b, answer: answer(op, a, b) }, 'symbols'],
    lined(params).line > 0 &&
      (op === 'compare'
        ? ['turn.lineCompare', {}, 'drawing']
        : [op === 'add' ? 'turn.lineHop' : 'turn.lineBack', { a, b, answer: answer(op, a, b) }, 'drawing']),
    params.signs && ['turn.signs', {}, 'symbols'],
    goesOn(params) ? ['turn.under'] : ['turn.take'],
    ties === 'again' ? ['turn.again'] : ['turn.keep'],
    faces === 'discardWhenMet' && ['turn.aside'],
    goesOn(params) ? ['end.all'] : ['end.rounds', { rounds: rounds(params) }],
    ['easier.build', {}, 'pieces'],
    ['harder.more', {}, 'symbols'],
    ['sideBySide.together'],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    ['say.muchMore', { a, b }],
    ['say.part'],
    ['caution.rest'],
  ];
}

const sides = ({ a, b }: Said, between: string) => [
  ...card(14, 18, String(a)),
  sign(50, 38, between, 20, TONE.fern),
  ...card(70, 18, String(b)),
];

export const pictures: Pictures<PileParams, typeof words.en> = {
  'turn.turn': (_, { op }) => cardRow(op === 'compare' ? ['', ''] : ['', '', '', '']),
  'turn.compare': (said) => sides(said, said.a! > said.b! ? '>' : '<'),
  'turn.signs': () => [sign(20, 38, '<', 24), sign(50, 38, '=', 24), sign(80, 38, '>', 24)],
  'turn.add': ({ a, b, answer }) => [
    ...cardRow([String(a), String(b)], 4),
    ...written(`${a} + ${b} = ${answer}`, 46, 12),
  ],
  'turn.subtract': ({ a, b, answer }) => [
    ...cardRow([String(a), String(b)], 4),
    ...written(`${a} − ${b} = ${answer}`, 46, 12),
  ],
  'turn.multiply': ({ a, b, answer }) => [
    ...cardRow([String(a), String(b)], 4),
    ...written(`${a} × ${b} = ${answer}`, 46, 12),
  ],
};

/** Two piles of cards, one of them higher, each with a number on top. */
export const drawing: readonly Shape[] = [
  ...[0, 2, 4, 6, 8].flatMap((up) => card(16, 28 - up, '', TONE.wood, 22, 24)),
  ...card(16, 18, '9', TONE.straw, 22, 24),
  ...[0, 2].flatMap((up) => card(60, 28 - up, '', TONE.wood, 22, 24)),
  ...card(60, 24, '4', TONE.card, 22, 24),
  bench,
];
