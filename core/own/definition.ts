/**
 * A game that a coordinator makes herself, from building blocks: what makes a turn, what is made of the results,
 * when it ends, the parts with a quantity rule, and the steps in both languages with the numbers as arguments.
 * The schema is the file format too: it is published as JSON Schema.
 */
import { Type, type Static } from '@sinclair/typebox';
import type { FieldErrors } from '~/core/check/check';
import { Line, Numbers, OneOf, Whole } from '~/core/check/schema';
import { AGE_BANDS } from '~/core/games/types';
import { materials } from '~/core/kits/materials';
import { argumentsOf, digitsIn } from '~/core/words/inspect';
import { format } from '~/core/words/message';
import { tooMuch } from './cost';
import { expected, results } from './reckon';

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
export const OWN_MATERIALS = Object.fromEntries(usable.map((material) => [material.id, material.plural]));

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

/** Most dice, cards or spins in one turn; counters may be more. */
const MOST_RESULTS = 3;

/**
 * What no schema can say about a definition of the right shape: whether it makes a game, and whether its sentences
 * name the numbers they should. Keys are paths with dots. Runs in the browser too, where Ajv may not.
 */
export const ownFaults = (own: OwnGame): FieldErrors => ({ ...ruleFaults(own), ...wordFaults(own) });

function ruleFaults(own: OwnGame): FieldErrors {
  const { turn, make, end, cells, players } = own;
  const errors: FieldErrors = {};
  if (players.fewest > players.most)
    errors['players.most'] = `Most players must be at least ${players.fewest}.`;
  if (turn.kind !== 'toss' && turn.from > turn.to)
    errors['turn.to'] = `Numbers to must be at least ${turn.from}.`;
  if (turn.kind === 'toss' && turn.count < 2) errors['turn.count'] = 'Toss at least 2 counters.';
  if (turn.kind !== 'toss' && turn.count > MOST_RESULTS)
    errors['turn.count'] = `At most ${MOST_RESULTS} in one turn: more are too many to add in the head.`;
  if (turn.kind === 'show' && turn.count > 1) errors['turn.count'] = 'One card is shown at a time.';
  if (turn.kind === 'draw' && turn.count > (turn.to - turn.from + 1) * turn.copies)
    errors['turn.count'] = 'There are fewer cards than are drawn in a turn.';
  if (
    (make === 'difference' || make === 'compare' || make === 'product') &&
    turn.kind !== 'toss' &&
    turn.count < 2
  )
    errors['turn.count'] = 'This takes at least 2 numbers in a turn.';
  if (make === 'difference' && turn.kind !== 'toss' && turn.count > 2)
    errors['turn.count'] = 'A difference is between 2 numbers.';
  if (end.when === 'covered' && make !== 'cover')
    errors['end.when'] = 'Only a game with cells to cover can end so.';
  if (end.when === 'reached' && make !== 'path' && make !== 'collect')
    errors['end.when'] = 'Only a path or a collection can reach a number.';
  if (make === 'cover' && cells.length === 0) errors.cells = 'Name the cells to cover.';
  if (Object.keys(errors).length) return errors;
  const possible = results(own, own.turn.count);
  const never = cells.filter((cell) => !possible.has(cell));
  if (make === 'cover' && never.length)
    errors.cells = `No turn gives ${[...new Set(never)].join(', ')}: ${never.length === 1 ? 'this cell' : 'these cells'} could never be covered.`;
  if (end.when === 'reached' && expected(own, own.turn.count) <= 0)
    errors['turn.to'] = 'Every turn gives 0: nothing could ever be reached.';
  if (Object.keys(errors).length) return errors;
  const { count } = turn;
  // The knobs of the bench begin where the game was made; the number of players is the largest there is.
  return tooMuch(own, { players: players.most, count, number: end.number, cells });
}

function wordFaults(own: OwnGame): FieldErrors {
  const errors: FieldErrors = {};
  const known = Object.keys(OWN_ARGUMENTS);
  // A name is plain text: braces and figures in it are meant as they stand.
  for (const language of ['en', 'es'] as const)
    if (own.name[language].trim() === '')
      errors[`name.${language}`] = `Name, ${language === 'en' ? 'English' : 'Spanish'}, must not be empty.`;
  const check = (path: string, title: string, pair: { en: string; es: string }): void => {
    const found: string[][] = [];
    for (const language of ['en', 'es'] as const) {
      const at = `${path}${language}`;
      if (pair[language].trim() === '') {
        errors[at] = `${title}, ${language === 'en' ? 'English' : 'Spanish'}, must not be empty.`;
        continue;
      }
      let names: string[];
      try {
        names = argumentsOf(pair[language]);
      } catch {
        errors[at] =
          `${title}: a brace is open or closed where it should not be. Write numbers as {players}.`;
        return;
      }
      found.push(names);
      if (!canBeSaid(pair[language], language))
        errors[at] = `${title}: this cannot be said for every number. Write numbers plainly, as {players}.`;
      const strange = names.filter((name) => !known.includes(name));
      if (strange.length)
        errors[at] =
          `${title}: there is no number called {${strange[0]}}. The numbers are ${known.map((name) => `{${name}}`).join(', ')}.`;
      const digits = digitsIn(pair[language]);
      if (digits.length)
        errors[at] =
          `${title}: write “${digits[0]}” as one of the numbers ({count}, {goal} …) or as a word, so that it stays right when the game is changed.`;
    }
    if (
      found.length === 2 &&
      !errors[`${path}en`] &&
      !errors[`${path}es`] &&
      found[0]!.join() !== found[1]!.join()
    )
      errors[`${path}es`] =
        `${title}: both languages must name the same numbers (${found[0]!.map((name) => `{${name}}`).join(', ') || 'none'} in English, ${found[1]!.map((name) => `{${name}}`).join(', ') || 'none'} in Spanish).`;
  };
  check('goal.', 'Goal', own.goal);
  own.steps.forEach((step, i) => check(`steps.${i}.`, `Step ${i + 1}`, step));
  for (const part of ['setUp', 'turn', 'end'] as const)
    if (!own.steps.some((step) => step.part === part))
      errors.steps ??= `A step “${STEP_PARTS[part]}” is missing.`;
  return errors;
}

/** Whether a sentence comes out for small and large numbers, whatever plurals and forms of numbers are in it. */
function canBeSaid(message: string, language: 'en' | 'es'): boolean {
  const names = [...Object.keys(OWN_ARGUMENTS), ...argumentsOf(message)];
  try {
    for (const number of [0, 1, 2, 11, 200])
      format(message, language, Object.fromEntries(names.map((name) => [name, number])));
    return true;
  } catch {
    return false;
  }
}

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
