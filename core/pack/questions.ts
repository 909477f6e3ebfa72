/** What a family is asked, and the boxes of each question on the paper slip. */

export const LEVELS = { tooEasy: 'too easy', justRight: 'just right', tooHard: 'too hard' } as const;
export type Level = keyof typeof LEVELS;

export interface SlipQuestion {
  id: 'children' | 'grownUps' | 'times' | 'minutesEach' | 'level' | 'missing';
  boxes: readonly (number | Level | 'yes' | 'no')[];
  /** The last box stands for that many and more. */
  open?: boolean;
  /** The game that is asked about, by its place in the bag. */
  game?: number;
}

/** The questions about a bag with so many games, in order, with what each box means. The first box is digit 1. */
export const slipQuestions = (games: number): SlipQuestion[] => [
  { id: 'children', boxes: [1, 2, 3, 4, 5], open: true },
  { id: 'grownUps', boxes: [1, 2, 3, 4], open: true },
  { id: 'times', boxes: [1, 2, 3, 5, 8], open: true },
  { id: 'minutesEach', boxes: [5, 10, 15, 20, 30], open: true },
  ...Array.from({ length: games }, (_, game): SlipQuestion => ({
    id: 'level',
    boxes: Object.keys(LEVELS) as Level[],
    game,
  })),
  { id: 'missing', boxes: ['yes', 'no'] },
];
