/**
 * `npm run new-game -- even-ladder`: the folder of a game that compiles and keeps the laws of the shelf, to be changed into
 * what it shall be. It stands on the shelf at once; its lines are said in English until somebody words them.
 */
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { Trouble } from './lib/say.ts';

const SHELF = 'core/games/shelf/games.ts';
const OWED = 'core/words/owed.ts';

/** The files of a game, by their names. `Title` is its name, `small` and `Large` are its names in the code. */
const files = (id: string, small: string, large: string, title: string): Record<string, string> => ({
  'index.ts': `/** ${title}: roll a die, and say the number and some more. */
import { Whole } from '~/core/check/schema';
import { game, type ParamsOf } from '~/core/games/kit';
import { play } from './play';
import { reckon } from './reckon';
import { drawing, pictures, steps } from './steps';
import { words } from './words';

const knobs = {
  more: Whole(0, 5, { title: 'How many more', default: 1 }),
  rounds: Whole(3, 12, { title: 'Rounds', default: 5 }),
  players: Whole(1, 4, { title: 'Players', default: 2 }),
};
export type ${large}Params = ParamsOf<typeof knobs>;

export const ${small} = game({
  words,
  family: 'call',
  traits: { places: ['table', 'floor', 'rainyDay'], noReading: true },
  knobs,
  presets: [
    { id: 'one-more', name: 'one more', ageBand: 'K' },
    { id: 'two-more', name: 'two more', ageBand: 'g1', params: { more: 2 } },
  ],
  drawing,
  reckon,
  play,
  steps,
  pictures,
  about: ({ more }) => ({ more }),
  subject: ({ more }) => \`numbers and \${more} more\`,
});
`,
  'reckon.ts': `import { fact } from '~/core/cards/facts';
import { point } from '~/core/chance/pmf';
import { figure, levels, need, type Answers } from '~/core/games/kit';
import type { ${large}Params } from '.';

/** The faces of a die. */
export const FACES = [1, 2, 3, 4, 5, 6] as const;

/** What the game needs, how long it takes and what it practises. Every face comes in one of six rolls. */
export function reckon(params: ${large}Params): Answers {
  const { more, rounds, players } = params;
  const rolls = rounds * players;
  return {
    figures: [
      figure('answer.max', 'Largest answer', FACES.at(-1)! + more, '', 'The largest face and so many more.'),
      figure('rolls', 'Rolls of one play', rolls, 'rolls', 'Each player once in a round.'),
    ],
    parts: [need('die', 1, 'It goes round.')],
    turns: point(rolls),
    setUpMinutes: 1,
    practice: FACES.map((face) => ({ fact: fact('add', face, more), meetings: rolls / FACES.length })),
    players: { fewest: 1, most: 4, alone: true },
    ladder: levels(params, 'more', [0, 1, 2, 3, 5], (level) => \`Say \${level} more\`),
  };
}
`,
  'play.ts': `import { pick, type Random } from '~/core/chance/random';
import { turn, type Turn } from '~/core/games/kit';
import type { ${large}Params } from '.';
import { FACES } from './reckon';
import type { words } from './words';

/** Each player rolls once in a round. */
export function* play(
  { more, rounds, players }: ${large}Params,
  random: Random,
): Generator<Turn<keyof typeof words.en>, void> {
  for (let i = 0; i < rounds * players; i++) {
    const a = pick(FACES, random);
    yield turn((i % players) + 1, 'play.roll', { a, more, answer: a + more }, 'play.how');
  }
}
`,
  'steps.ts': `import { bench, die, sign, TONE, written, type Lines, type Pictures } from '~/core/games/kit';
import type { Shape } from '~/core/paper/sheet';
import type { ${large}Params } from '.';
import type { words } from './words';

/** The steps, with the numbers of an example. */
export function steps({ more, rounds }: ${large}Params): Lines<typeof words.en> {
  const a = 4;
  return [
    ['setUp.sit'],
    ['turn.roll', { a }],
    ['turn.say', { a, more, answer: a + more }, 'symbols'],
    ['end.rounds', { rounds }],
    ['easier.touch'],
    ['harder.hide'],
    ['sideBySide.calm'],
    ['younger.rolls', { years: 3 }],
    ['atHome.dice'],
    ['say.how'],
    ['caution.small', { years: 3 }],
  ];
}

export const pictures: Pictures<${large}Params, typeof words.en> = {
  'turn.roll': ({ a }) => die(36, 14, 28, a!, TONE.wood),
  'turn.say': ({ a, more, answer }) => written(\`\${a} + \${more} = \${answer}\`),
};

/** A die, and what is said. */
export const drawing: readonly Shape[] = [
  ...die(38, 8, 24, 4, TONE.wood),
  sign(50, 46, '4 + 1 = 5', 12),
  bench,
];
`,
  'words.ts': `import { source } from '~/core/words/reading';
import { shared } from '~/core/words/shared';

export const words = source('${id}', {
  ...shared('sideBySide.calm', 'younger.rolls', 'atHome.dice', 'say.how', 'caution.small', 'play.how'),
  name: '${title}',
  goal: 'Roll a die, and say the number and {more} more.',
  'setUp.sit': 'Sit together, the die in the middle.',
  'turn.roll': 'Roll the die. Say how many dots you see: {a}.',
  'turn.say': 'Say the number and {more} more: “{a} and {more} make {answer}.”',
  'end.rounds': 'Stop after {rounds} rounds.',
  'easier.touch': 'Touch every dot, and count on with your fingers.',
  'harder.hide': 'Cover the die before you say it.',
  'play.roll': 'Player {player} rolls {a}: “{a} and {more} make {answer}.”',
});
`,
  [`${id}.test.ts`]: `import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { inTurn, numbersIn, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { figuresOf } from '~/core/games/kit/testing';
import { ${small} } from '.';

holdsTheShelfLaws(${small}, { gives: [['answer.max rolls']] });

describe('${title}', () => {
  it('has its figures', () => {
    expect(figuresOf(${small}, { more: 2, rounds: 5, players: 2 })).toEqual({ 'answer.max': 8, rolls: 10 });
  });

  it('adds what it says it adds, the players in turn', () => {
    for (const { turns } of plays(${small}, { more: 3, players: 3 }, 8)) {
      expect(inTurn(turns, 3)).toBe(true);
      for (const turn of turns) {
        const [a = 0, answer] = numbersIn(turn, 'a', 'answer');
        expect(answer).toBe(a + 3);
      }
    }
  });

  it('meets each sum as often as it says', () => {
    const met = (turn: Parameters<typeof numbersIn>[0]) => {
      const [a = 0, more] = numbersIn(turn, 'a', 'more');
      return [fact('add', a, more)];
    };
    expect(strangeMeetings(${small}, { more: 2 }, ['add'], met, 400)).toEqual([]);
  });
});
`,
});

/** Puts a line before the end of a table. Throws Trouble where there is no such table. */
function addLine(file: string, end: string, line: string): void {
  const text = readFileSync(file, 'utf8');
  const at = text.lastIndexOf(end);
  if (at < 0)
    throw new Trouble(`${file} has no table that ends with “${end.trim()}”.`, 'Add the line by hand.');
  writeFileSync(file, text.slice(0, at) + line + text.slice(at));
}

try {
  const [id = ''] = process.argv.slice(2);
  if (!/^[a-z]+(-[a-z]+)+$/.test(id))
    throw new Trouble(
      'A game is called by two words or more, in small letters and with hyphens.',
      'npm run new-game -- even-ladder',
    );
  const folder = `core/games/${id}`;
  if (existsSync(folder)) throw new Trouble(`${folder} is there already.`, 'Choose another name.');
  const parts = id.split('-');
  const large = parts.map((part) => part[0]!.toUpperCase() + part.slice(1)).join('');
  const small = large[0]!.toLowerCase() + large.slice(1);
  const title = parts.map((part) => part[0]!.toUpperCase() + part.slice(1)).join(' ');
  mkdirSync(folder);
  for (const [name, text] of Object.entries(files(id, small, large, title)))
    writeFileSync(`${folder}/${name}`, text);
  addLine(
    SHELF,
    '};\n\nconst loaded',
    `  '${id}': () => import('~/core/games/${id}').then((m) => m.${small}),\n`,
  );
  addLine(OWED, '};\n', `  '${id}': EVERY,\n`);
  console.log(`${folder} is there, and stands on the shelf as “${title}”.`);
  console.log(
    `Its laws: npm test -- unit ${folder}. Its lines in other languages: ${OWED} lists what is owed.`,
  );
} catch (error) {
  if (!(error instanceof Trouble)) throw error;
  console.error(`${error.message} ${error.todo}`);
  process.exit(1);
}
