/** The shelf: every game there is. Adding a game is adding its folder and one line here. */
import { answerHop } from '~/core/games/answer-hop';
import { biggerPile } from '~/core/games/bigger-pile';
import { blanketBoard } from '~/core/games/blanket-board';
import { bondTriangles } from '~/core/games/bond-triangles';
import { chalkOrbits } from '~/core/games/chalk-orbits';
import { clapACount } from '~/core/games/clap-a-count';
import { cupMachine } from '~/core/games/cup-machine';
import { doughDots } from '~/core/games/dough-dots';
import { fetchThatMany } from '~/core/games/fetch-that-many';
import { fiveToMark } from '~/core/games/five-to-mark';
import { frameTrail } from '~/core/games/frame-trail';
import { harvestMat } from '~/core/games/harvest-mat';
import { hatNumbers } from '~/core/games/hat-numbers';
import { leafTwins } from '~/core/games/leaf-twins';
import { listenAndMove } from '~/core/games/listen-and-move';
import { marketCups } from '~/core/games/market-cups';
import { matchEither } from '~/core/games/match-either';
import { numberNests } from '~/core/games/number-nests';
import { pebbleCourt } from '~/core/games/pebble-court';
import { peekAndSay } from '~/core/games/peek-and-say';
import { pegSlide } from '~/core/games/peg-slide';
import { pinNotes } from '~/core/games/pin-notes';
import { puzzleHalves } from '~/core/games/puzzle-halves';
import { rowCall } from '~/core/games/row-call';
import { skylineRolls } from '~/core/games/skyline-rolls';
import { spotMyShape } from '~/core/games/spot-my-shape';
import { stackAndFind } from '~/core/games/stack-and-find';
import { steppingStones } from '~/core/games/stepping-stones';
import { storyPond } from '~/core/games/story-pond';
import { threeStones } from '~/core/games/three-stones';
import { tidePairs } from '~/core/games/tide-pairs';
import { tileSums } from '~/core/games/tile-sums';
import { twoToneSpill } from '~/core/games/two-tone-spill';
import { writeTheWays } from '~/core/games/write-the-ways';
import type { Game } from '~/core/games/kit/game';

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
