import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import type { SpotParams } from './rules';

export function steps({ clues, rounds }: SpotParams): Step[] {
  return list(
    ['setUp.choose', {}],
    [
      'turn.clue',
      { shape: clues.includes('shape') ? 'yes' : 'no', colour: clues.includes('colour') ? 'yes' : 'no' },
    ],
    clues.includes('number') && ['turn.number', { corners: 4 }],
    ['turn.guess', {}],
    ['turn.hint', {}],
    ['end.found', { rounds }],
    ['easier.two', {}],
    ['harder.not', {}],
    ['sideBySide.team', {}],
    ['younger.point', { years: 2 }],
    ['atHome.anywhere', {}],
    ['say.why', {}],
    ['say.part'],
    ['caution.rest'],
  );
}
