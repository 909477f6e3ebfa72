/** What a family is asked, and the boxes of each question on the paper slip. */

export const LEVELS = { tooEasy: 'too easy', justRight: 'just right', tooHard: 'too hard' } as const;
export type Level = keyof typeof LEVELS;

/** The questions in order, with what each box means. The first box is digit 1. */
export const SLIP_QUESTIONS = [
  { id: 'children', boxes: [1, 2, 3, 4, 5], open: true },
  { id: 'grownUps', boxes: [1, 2, 3, 4], open: true },
  { id: 'times', boxes: [1, 2, 3, 5, 8], open: true },
  { id: 'minutesEach', boxes: [5, 10, 15, 20, 30], open: true },
  { id: 'level', boxes: Object.keys(LEVELS) as Level[] },
  { id: 'missing', boxes: ['yes', 'no'] as const },
] as const;
