/** `npm run -s reckon -- <game-id> '<params as JSON>'`: the reckoning as JSON. Exit code 2 for bad input. */
import { FULL } from '~/core/chance/simulate.ts';
import { findGame, SHELF } from '~/core/games/shelf/index.ts';
import { check } from '~/core/games/kit/check.ts';
import { assume } from '~/core/games/kit/types.ts';

function refuse(line: string): never {
  console.error(line);
  process.exit(2);
}

const [id, text = '{}', ...rest] = process.argv.slice(2);
const list = SHELF.map((game) => game.id).join(', ');
if (!id) refuse(`Usage: npm run -s reckon -- <game> '<params as JSON>'. The games are: ${list}.`);
if (rest.length) refuse(`Give the parameters as one JSON text in quotes: '{"counters": 6}'.`);
const game = findGame(id);
if (!game) refuse(`There is no game called "${id}". The games are: ${list}.`);
let input: unknown;
try {
  input = JSON.parse(text);
} catch (error) {
  refuse(`The parameters are not JSON: ${(error as Error).message.split('\n')[0]}`);
}
const checked = check(game, input);
if (!checked.ok) refuse(Object.values(checked.errors).join(' '));
console.log(
  JSON.stringify(
    { game: id, params: checked.value.params, ...checked.value.reckon(assume('g1'), FULL) },
    null,
    2,
  ),
);
