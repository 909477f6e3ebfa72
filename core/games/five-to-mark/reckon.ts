import { ALL_SIGNS } from '~/core/games/kit/knobs';
import { countValues, deckWithout, numbersOf, type Card } from '~/core/cards/deck';
import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import type { Effort } from '~/core/chance/simulate';
import type { FieldErrors } from '~/core/check/check';
import {
  chanceFigure,
  climb,
  figure,
  know,
  levels,
  mend,
  mind,
  need,
  signLadder,
  type Answers,
  type Figure,
  type Ladder,
  type Practised,
} from '~/core/games/kit';
import { onlyShare, shareOf } from '~/core/words/numbers';
import type { MarkParams } from '.';
import { oddsOf, type Odds } from './enumerate';

/** What a joker counts. */
export const JOKER = 15;

const JOKERS = 2;

export const faults = (params: MarkParams): FieldErrors => {
  const deck = deckNumbers(params);
  return deck.length <= params.laid
    ? { missing: `${deck.length} cards are left; ${params.laid} cards and a target take ${params.laid + 1}.` }
    : {};
};

/** The numbers of the deck that is played with, jokers at the end. */
export const deckNumbers = (
  { faces, jokers, missing }: Pick<MarkParams, 'faces' | 'jokers' | 'missing'>,
  cards: readonly Card[] = deckWithout(missing),
): number[] => [
  ...numbersOf(cards, faces),
  ...(jokers === '15' ? new Array<number>(JOKERS).fill(JOKER) : []),
];

/** Fewer signs make it easier, and more cards on the table. */
export const ladder = (params: MarkParams): Ladder =>
  climb(
    signLadder(params),
    levels(params, 'laid', [6, 5, 4], (laid) => `Lay out ${laid} cards`),
  );

const FEW = 0.6;

/** With fractions, six cards reach so many values that reckoning them would fill the memory of a laptop. */
const tooMany = ({ laid, whole }: MarkParams): boolean => !whole && laid > 5;

/** The chances are exact over all deals, and wait for a deep effort. */
export function reckon(params: MarkParams, effort: Effort): Answers {
  const { laid, ops, whole, rounds, players } = params;
  const deck = deckNumbers(params);
  const odds = effort.deep && !tooMany(params) ? oddsOf(deck, laid, ops, whole, effort.progress) : undefined;
  const sizes = Array.from({ length: laid - 1 }, (_, i) => i + 2);
  return {
    figures: odds ? figures(odds, deck.length, laid, params.replace) : [],
    parts: [need('card-deck', 1, `${deck.length} cards are played with.`)],
    prep: [
      params.faces === 'numbers'
        ? 'Take jacks, queens and kings out.'
        : 'Say what jack, queen and king count: 11, 12, 13.',
      ...(params.jokers === '15' ? ['Keep two jokers in: each counts 15.'] : []),
    ],
    turns: point(rounds),
    setUpMinutes: 2,
    practice: practice(params, deck, rounds),
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      odds &&
        odds.solvable < FEW &&
        mind(
          'often-unsolvable',
          `${onlyShare(odds.solvable, 'target')} can be reached. Say so beforehand, and turn a new target without blame.`,
          easier(params, deck),
        ),
      tooMany(params) &&
        know(
          'not-reckoned',
          'How many targets can be reached is not reckoned for six cards with fractions: there are too many ways.',
          mend('Lay out 5 cards', params, { laid: 5 }),
        ),
      !whole &&
        know('fractions', 'Steps may give fractions and numbers below zero: for children who know them.'),
      players > 2 &&
        know('who-speaks', 'With more than two, let each child write a way before anybody speaks.'),
    ],
    ladder: ladder(params),
    pending:
      odds || tooMany(params) ? [] : ['solvable.chance', ...sizes.map((k) => `fewest.${k}`), 'hardestTarget'],
  };
}

/** The first change with which most targets can be reached. */
function easier(params: MarkParams, deck: readonly number[]) {
  const { laid, ops, whole } = params;
  const changes: [string, Partial<MarkParams>][] = [
    ...[5, 6]
      .filter((cards) => cards > laid && cards < deck.length)
      .map((cards): [string, Partial<MarkParams>] => [`Lay out ${cards} cards`, { laid: cards }]),
    ['Allow all four signs', { ops: ALL_SIGNS }],
  ];
  const found = changes.find(([, change]) => {
    const so = { ...params, ...change };
    return !tooMany(so) && oddsOf(deck, so.laid, so.ops, whole).solvable >= FEW;
  });
  return (
    found &&
    (found[1].ops !== undefined && ops.length === ALL_SIGNS.length
      ? undefined
      : mend(found[0], params, found[1]))
  );
}

function figures(odds: Odds, cards: number, laid: number, replace: MarkParams['replace']): Figure[] {
  const [hardest, chance] = [...odds.byTarget].reduce((a, b) => (b[1] < a[1] - 1e-12 ? b : a));
  return [
    chanceFigure(
      'solvable.chance',
      'The target can be reached',
      odds.solvable,
      `exact over all deals of ${laid} and a target from ${cards} cards, ${odds.layouts} different layouts${replace === 'used' ? '; of the first target, since the cards that stay are those nobody needed' : ''}.`,
    ),
    ...Object.entries(odds.fewest).map(([k, value]) =>
      chanceFigure(
        `fewest.${k}`,
        `Takes ${k} cards`,
        value,
        `the shortest way has ${k} cards; of all deals.`,
      ),
    ),
    figure(
      'hardestTarget',
      'Hardest target',
      hardest,
      '',
      `It is reached least often, in ${shareOf(chance, 'deal')}.`,
    ),
  ];
}

/** What is tried first: each target asks for two cards that make it, with every sign allowed. */
function practice({ ops }: MarkParams, deck: readonly number[], rounds: number): Practised[] {
  const counts = countValues(deck);
  const values = [...counts.keys()];
  const list: Practised[] = [];
  for (const target of values)
    for (const a of values)
      for (const b of values) {
        // Three cards of one deck: what lies there cannot be drawn again.
        const weight =
          counts.get(target)! *
          (counts.get(a)! - Number(a === target)) *
          (counts.get(b)! - Number(b === target) - Number(a === b));
        if (weight <= 0) continue;
        if (ops.includes('+') && a + b === target) list.push({ fact: fact('add', a, b), meetings: weight });
        if (ops.includes('−') && a - b === target)
          list.push({ fact: fact('subtract', a, b), meetings: weight });
        if (ops.includes('×') && a * b === target)
          list.push({ fact: fact('multiply', a, b), meetings: weight });
        if (ops.includes('÷') && a === b * target)
          list.push({ fact: fact('divide', a, b), meetings: weight });
      }
  const all = list.reduce((total, one) => total + one.meetings, 0);
  return list.map((one) => ({ ...one, meetings: (one.meetings / all) * rounds }));
}
