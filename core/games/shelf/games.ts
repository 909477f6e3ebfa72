/** The table of games, in the order of the shelf. Adding a game is adding its folder and one line here. */
import type { Game } from '~/core/games/kit/game';

const GAMES: Readonly<Record<string, () => Promise<Game>>> = {
  'two-tone-spill': () => import('~/core/games/two-tone-spill').then((m) => m.twoToneSpill),
  'peg-slide': () => import('~/core/games/peg-slide').then((m) => m.pegSlide),
  'number-nests': () => import('~/core/games/number-nests').then((m) => m.numberNests),
  'leaf-twins': () => import('~/core/games/leaf-twins').then((m) => m.leafTwins),
  'bond-triangles': () => import('~/core/games/bond-triangles').then((m) => m.bondTriangles),
  'tide-pairs': () => import('~/core/games/tide-pairs').then((m) => m.tidePairs),
  'five-to-mark': () => import('~/core/games/five-to-mark').then((m) => m.fiveToMark),
  'write-the-ways': () => import('~/core/games/write-the-ways').then((m) => m.writeTheWays),
  'bigger-pile': () => import('~/core/games/bigger-pile').then((m) => m.biggerPile),
  'hat-numbers': () => import('~/core/games/hat-numbers').then((m) => m.hatNumbers),
  'match-either': () => import('~/core/games/match-either').then((m) => m.matchEither),
  'row-call': () => import('~/core/games/row-call').then((m) => m.rowCall),
  'blanket-board': () => import('~/core/games/blanket-board').then((m) => m.blanketBoard),
  'harvest-mat': () => import('~/core/games/harvest-mat').then((m) => m.harvestMat),
  'stack-and-find': () => import('~/core/games/stack-and-find').then((m) => m.stackAndFind),
  'tile-sums': () => import('~/core/games/tile-sums').then((m) => m.tileSums),
  'skyline-rolls': () => import('~/core/games/skyline-rolls').then((m) => m.skylineRolls),
  'market-cups': () => import('~/core/games/market-cups').then((m) => m.marketCups),
  'dough-dots': () => import('~/core/games/dough-dots').then((m) => m.doughDots),
  'pin-notes': () => import('~/core/games/pin-notes').then((m) => m.pinNotes),
  'cup-machine': () => import('~/core/games/cup-machine').then((m) => m.cupMachine),
  'garden-rows': () => import('~/core/games/garden-rows').then((m) => m.gardenRows),
  'peek-and-say': () => import('~/core/games/peek-and-say').then((m) => m.peekAndSay),
  'fetch-that-many': () => import('~/core/games/fetch-that-many').then((m) => m.fetchThatMany),
  'frame-trail': () => import('~/core/games/frame-trail').then((m) => m.frameTrail),
  'story-pond': () => import('~/core/games/story-pond').then((m) => m.storyPond),
  'puzzle-halves': () => import('~/core/games/puzzle-halves').then((m) => m.puzzleHalves),
  'stepping-stones': () => import('~/core/games/stepping-stones').then((m) => m.steppingStones),
  'chalk-orbits': () => import('~/core/games/chalk-orbits').then((m) => m.chalkOrbits),
  'answer-hop': () => import('~/core/games/answer-hop').then((m) => m.answerHop),
  'pebble-court': () => import('~/core/games/pebble-court').then((m) => m.pebbleCourt),
  'three-stones': () => import('~/core/games/three-stones').then((m) => m.threeStones),
  'listen-and-move': () => import('~/core/games/listen-and-move').then((m) => m.listenAndMove),
  'spot-my-shape': () => import('~/core/games/spot-my-shape').then((m) => m.spotMyShape),
  'clap-a-count': () => import('~/core/games/clap-a-count').then((m) => m.clapACount),
};

const loaded = new Map<string, Game>();

export const GAME_IDS: readonly string[] = Object.keys(GAMES);

/** Loads the code of a game, once; undefined when there is none of this name. A page shows one or two of them. */
export async function loadGame(id: string): Promise<Game | undefined> {
  if (!loaded.has(id) && Object.hasOwn(GAMES, id)) loaded.set(id, await GAMES[id]!());
  return loaded.get(id);
}

/** A game whose code is there already. */
export const loadedGame = (id: string): Game | undefined => loaded.get(id);
