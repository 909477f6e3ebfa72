/** What a game is made from. */
export { game, type ParamsOf } from './game';
export { BEGINS, Cards, Signs } from './knobs';
export { choices, climb, levels, signLadder } from './ladder';
export { LINES, NINE } from './nine-cells';
export * from './number-line';
export * from './parts';
export * from './pictures';
export {
  chanceFigure,
  figure,
  know,
  mend,
  mind,
  need,
  needFrom,
  practised,
  remembered,
  simulatedFigure,
  stop,
  suffices,
  type Answers,
} from './reckoning';
export { turn, type Lines } from './steps';
export * from './types';
