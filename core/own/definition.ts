/**
 * A game that a coordinator makes herself, from building blocks: what makes a turn, what is made of the results,
 * when it ends, the parts with a quantity rule, and the steps in both languages with the numbers as arguments.
 * The schema is the file format too: it is published as JSON Schema.
 */
import { Type, type Static } from '@sinclair/typebox';
import { Line, Numbers, OneOf, Whole } from '~/core/check/schema';
import { AGE_BANDS } from '~/core/games/kit/types';
import { materials, type MaterialId } from '~/core/materials/catalogue';

export const FORMAT = 'fern-basket own game';

export const TURN_KINDS = {
  roll: 'Roll dice',
  draw: 'Draw cards',
  spin: 'Spin a spinner',
  toss: 'Toss two-sided counters',
  show: 'Show a card',
} as const;
export const MAKES = {
  sum: 'Add the numbers',
  difference: 'Take the smaller from the larger',
  product: 'Multiply the numbers',
  compare: 'Say which is more',
  cover: 'Add them and cover a cell',
  path: 'Add them and move on a path',
  collect: 'Add them and collect as many pieces',
} as const;
export const ENDS = {
  turns: 'after a number of turns each',
  reached: 'when a player has reached a number',
  covered: 'when every cell is covered',
} as const;
export const RULES = {
  game: 'for the game',
  player: 'for each player',
  turn: 'for each turn',
  result: 'as many as the results ask for',
} as const;
export const STEP_PARTS = {
  setUp: 'Get ready',
  turn: 'Play',
  end: 'To finish',
  easier: 'Easier',
  harder: 'Harder',
  sideBySide: 'Together',
  younger: 'Little ones',
  atHome: 'At home instead',
  say: 'What you can say',
  caution: 'Take care',
} as const;
export const SHOWS = {
  none: 'in words',
  pieces: 'with pieces',
  drawing: 'drawing',
  symbols: 'with numbers',
} as const;
export const OWN_PLACES = { table: 'on a table', floor: 'on the floor', outdoors: 'outdoors' } as const;

const both = (most: number, title: string) =>
  Type.Object(
    { en: Line(most, { title: `${title}, English` }), es: Line(most, { title: `${title}, Spanish` }) },
    { additionalProperties: false, title },
  );

const usable = materials().filter(
  (material) => !['bag', 'instruction-sheet', 'shield'].includes(material.id),
);
export const OWN_MATERIALS = Object.fromEntries(
  usable.map((material) => [material.id, material.plural]),
) as Record<MaterialId, string>;

export const ownGameSchema = Type.Object(
  {
    format: Type.Literal(FORMAT, { title: 'Format' }),
    version: Type.Literal(1, { title: 'Version' }),
    name: both(60, 'Name'),
    goal: both(240, 'Goal'),
    ageBand: OneOf(AGE_BANDS, { title: 'Grade band' }),
    place: OneOf(OWN_PLACES, { title: 'Place' }),
    players: Type.Object(
      { fewest: Whole(1, 8, { title: 'Fewest players' }), most: Whole(1, 8, { title: 'Most players' }) },
      { additionalProperties: false, title: 'Players' },
    ),
    turn: Type.Object(
      {
        kind: OneOf(TURN_KINDS, { title: 'A turn' }),
        count: Whole(1, 20, { title: 'How many' }),
        from: Whole(0, 20, { title: 'Numbers from' }),
        to: Whole(1, 20, { title: 'Numbers to' }),
        copies: Whole(1, 8, { title: 'Cards of each number' }),
      },
      { additionalProperties: false, title: 'A turn' },
    ),
    make: OneOf(MAKES, { title: 'What is made of the results' }),
    cells: Numbers(0, 60, { minItems: 0, maxItems: 24 }, { title: 'Cells to cover' }),
    end: Type.Object(
      {
        when: OneOf(ENDS, { title: 'The game ends' }),
        number: Whole(1, 200, { title: 'Number of turns, or number to reach' }),
      },
      { additionalProperties: false, title: 'The end' },
    ),
    parts: Type.Array(
      Type.Object(
        {
          material: OneOf(OWN_MATERIALS, { title: 'Part' }),
          times: Whole(1, 200, { title: 'Quantity' }),
          each: OneOf(RULES, { title: 'Quantity rule' }),
        },
        { additionalProperties: false, title: 'Part' },
      ),
      { maxItems: 12, title: 'Parts' },
    ),
    steps: Type.Array(
      Type.Object(
        {
          part: OneOf(STEP_PARTS, { title: 'Step' }),
          show: OneOf(SHOWS, { title: 'Shown' }),
          en: Line(400, { title: 'English' }),
          es: Line(400, { title: 'Spanish' }),
        },
        { additionalProperties: false, title: 'Step' },
      ),
      { minItems: 3, maxItems: 40, title: 'Steps' },
    ),
  },
  {
    $id: 'own-game.schema.json',
    title: 'A game made by a coordinator',
    additionalProperties: false,
  },
);
export type OwnGame = Static<typeof ownGameSchema>;

/** The names of the numbers that may stand in a sentence, with what they say. */
export const OWN_ARGUMENTS = {
  players: 'players',
  count: 'dice, cards, spins or counters in a turn',
  from: 'smallest number',
  to: 'largest number',
  copies: 'cards of each number',
  turns: 'turns of one player',
  goal: 'number to reach',
  cells: 'cells to cover',
} as const;

/** A game to begin with: something that works, to be changed. */
export const newOwnGame = (): OwnGame => ({
  format: FORMAT,
  version: 1,
  name: { en: '', es: '' },
  goal: { en: '', es: '' },
  ageBand: 'K',
  place: 'table',
  players: { fewest: 1, most: 4 },
  turn: { kind: 'roll', count: 1, from: 1, to: 6, copies: 4 },
  make: 'collect',
  cells: [],
  end: { when: 'reached', number: 20 },
  parts: [
    { material: 'die', times: 1, each: 'game' },
    { material: 'chip', times: 1, each: 'result' },
  ],
  steps: [
    {
      part: 'setUp',
      show: 'pieces',
      en: 'Put all chips in the middle.',
      es: 'Pongan todas las fichas en medio.',
    },
    {
      part: 'turn',
      show: 'pieces',
      en: 'Roll, say the number and take as many chips.',
      es: 'Tiren, digan el número y tomen esa cantidad de fichas.',
    },
    {
      part: 'end',
      show: 'none',
      en: 'Stop when somebody has {goal}.',
      es: 'Terminen cuando alguien tenga {goal}.',
    },
  ],
});
