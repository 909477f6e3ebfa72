/** The shelf: every game there is. Adding a game is adding its folder and one line here. */
import { answerHop } from './answer-hop';
import { biggerPile } from './bigger-pile';
import { blanketBoard } from './blanket-board';
import { bondTriangles } from './bond-triangles';
import { chalkOrbits } from './chalk-orbits';
import { clapACount } from './clap-a-count';
import { cupMachine } from './cup-machine';
import { doughDots } from './dough-dots';
import { fetchThatMany } from './fetch-that-many';
import { fiveToMark } from './five-to-mark';
import { frameTrail } from './frame-trail';
import { harvestMat } from './harvest-mat';
import { hatNumbers } from './hat-numbers';
import { leafTwins } from './leaf-twins';
import { listenAndMove } from './listen-and-move';
import { marketCups } from './market-cups';
import { matchEither } from './match-either';
import { numberNests } from './number-nests';
import { pebbleCourt } from './pebble-court';
import { peekAndSay } from './peek-and-say';
import { pegSlide } from './peg-slide';
import { pinNotes } from './pin-notes';
import { puzzleHalves } from './puzzle-halves';
import { rowCall } from './row-call';
import { skylineRolls } from './skyline-rolls';
import { spotMyShape } from './spot-my-shape';
import { stackAndFind } from './stack-and-find';
import { steppingStones } from './stepping-stones';
import { storyPond } from './story-pond';
import { threeStones } from './three-stones';
import { tidePairs } from './tide-pairs';
import { tileSums } from './tile-sums';
import { twoToneSpill } from './two-tone-spill';
import { writeTheWays } from './write-the-ways';
import { closedGame } from '~/core/own/closed';
import { ownFaults, type OwnGame } from '~/core/own/definition';
import { ownGame } from '~/core/own/game';
import type { Game } from './types';

export const SHELF: readonly Game[] = [
  twoToneSpill,
  pegSlide,
  numberNests,
  leafTwins,
  bondTriangles,
  tidePairs,
  fiveToMark,
  writeTheWays,
  biggerPile,
  hatNumbers,
  matchEither,
  rowCall,
  blanketBoard,
  harvestMat,
  stackAndFind,
  tileSums,
  skylineRolls,
  marketCups,
  doughDots,
  pinNotes,
  cupMachine,
  peekAndSay,
  fetchThatMany,
  frameTrail,
  storyPond,
  puzzleHalves,
  steppingStones,
  chalkOrbits,
  answerHop,
  pebbleCourt,
  threeStones,
  listenAndMove,
  spotMyShape,
  clapACount,
];

/** The game with this id, or undefined. */
export const findGame = (id: string): Game | undefined => SHELF.find((game) => game.id === id);

/** The game with this id. Throws RangeError when there is none. */
export function gameOf(id: string): Game {
  const game = findGame(id);
  if (!game)
    throw new RangeError(
      `There is no game called "${id}". The games are: ${SHELF.map((one) => one.id).join(', ')}.`,
    );
  return game;
}

/** A game as a variant names it: one of the shelf, or one of the school's own with its definition. */
export interface GameRef {
  gameId: string;
  own?: OwnGame | null;
}

const opened = new Map<string, Game>();
const MOST_OPENED = 200;

/**
 * The game that a variant is of. One that cannot be opened (rules that do not hold any more, a game that is not on
 * the shelf) is stood in for by one that says so: a single broken game takes no list down.
 */
export function gameFor({ gameId, own }: GameRef): Game {
  if (!own) return findGame(gameId) ?? closedGame(gameId, gameId, 'no game of the shelf has this name.');
  const key = `${gameId} ${JSON.stringify(own)}`;
  const known = opened.get(key);
  if (known) return known;
  if (opened.size >= MOST_OPENED) opened.clear();
  const game = openOwn(own, gameId);
  opened.set(key, game);
  return game;
}

function openOwn(own: OwnGame, gameId: string): Game {
  const names = own.name as Partial<OwnGame['name']> | undefined;
  const name = typeof names?.en === 'string' && names.en.trim() ? names.en : 'A game of your own';
  const { closed } = own as { closed?: unknown };
  if (typeof closed === 'string') return closedGame(gameId, name, closed);
  try {
    const [fault] = Object.values(ownFaults(own));
    return fault ? closedGame(gameId, name, fault) : ownGame(own, gameId);
  } catch {
    return closedGame(gameId, name, 'its rules cannot be read.');
  }
}
