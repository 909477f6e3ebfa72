import { DIE, entries, nFold } from '~/core/chance/pmf';
import { climb, levels, type Ladder } from '~/core/games/kit';
import type { StoneParams } from '.';

/** One roll with its chances. */
export const roll = ({ dice }: Pick<StoneParams, 'dice'>) => entries(nFold(DIE, dice));

export const pathMm = ({ length, stoneMm, gapMm }: StoneParams): number =>
  length * stoneMm + (length - 1) * gapMm;

export const ladder = (params: StoneParams): Ladder =>
  climb(
    levels(params, 'length', [5, 10, 20, 30], (length) => `A path to ${length}`),
    levels(params, 'dice', [1, 2], (dice) => (dice === 1 ? 'Roll one die' : 'Roll two dice')),
  );
