/** Modern Standard Arabic, plain. Not yet checked by a fluent reader. */
import type { Wording } from '~/core/words/reading';
import { answerHop } from './answer-hop';
import { biggerPile } from './bigger-pile';
import { blanketBoard } from './blanket-board';
import { bondTriangles } from './bond-triangles';
import { chalkOrbits } from './chalk-orbits';
import { clapACount } from './clap-a-count';
import { cupMachine } from './cup-machine';
import { doughDots } from './dough-dots';
import { family } from './family';
import { fetchThatMany } from './fetch-that-many';
import { fiveToMark } from './five-to-mark';
import { frameTrail } from './frame-trail';
import { gardenRows } from './garden-rows';
import { harvestMat } from './harvest-mat';
import { hatNumbers } from './hat-numbers';
import { leafTwins } from './leaf-twins';
import { listenAndMove } from './listen-and-move';
import { marketCups } from './market-cups';
import { matchEither } from './match-either';
import { materials } from './materials';
import { numberNests } from './number-nests';
import { pebbleCourt } from './pebble-court';
import { peekAndSay } from './peek-and-say';
import { pegSlide } from './peg-slide';
import { pinNotes } from './pin-notes';
import { print } from './print';
import { puzzleHalves } from './puzzle-halves';
import { rehearse } from './rehearse';
import { reminders } from './reminders';
import { rowCall } from './row-call';
import { shared } from './shared';
import { skylineRolls } from './skyline-rolls';
import { spotMyShape } from './spot-my-shape';
import { stackAndFind } from './stack-and-find';
import { steppingStones } from './stepping-stones';
import { storyPond } from './story-pond';
import { threeStones } from './three-stones';
import { tidePairs } from './tide-pairs';
import { tileSums } from './tile-sums';
import { trouble } from './trouble';
import { twoToneSpill } from './two-tone-spill';
import { writeTheWays } from './write-the-ways';

export const ar: Wording = {
  'answer-hop': answerHop,
  'bigger-pile': biggerPile,
  'blanket-board': blanketBoard,
  'bond-triangles': bondTriangles,
  'chalk-orbits': chalkOrbits,
  'clap-a-count': clapACount,
  'cup-machine': cupMachine,
  'dough-dots': doughDots,
  family,
  'fetch-that-many': fetchThatMany,
  'five-to-mark': fiveToMark,
  'frame-trail': frameTrail,
  'garden-rows': gardenRows,
  'harvest-mat': harvestMat,
  'hat-numbers': hatNumbers,
  'leaf-twins': leafTwins,
  'listen-and-move': listenAndMove,
  'market-cups': marketCups,
  'match-either': matchEither,
  materials,
  'number-nests': numberNests,
  'pebble-court': pebbleCourt,
  'peek-and-say': peekAndSay,
  'peg-slide': pegSlide,
  'pin-notes': pinNotes,
  print,
  'puzzle-halves': puzzleHalves,
  rehearse,
  reminders,
  'row-call': rowCall,
  shared,
  'skyline-rolls': skylineRolls,
  'spot-my-shape': spotMyShape,
  'stack-and-find': stackAndFind,
  'stepping-stones': steppingStones,
  'story-pond': storyPond,
  'three-stones': threeStones,
  'tide-pairs': tidePairs,
  'tile-sums': tileSums,
  trouble,
  'two-tone-spill': twoToneSpill,
  'write-the-ways': writeTheWays,
};
