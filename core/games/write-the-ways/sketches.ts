/** Small drawings of the steps; they show the numbers that the steps say. */
import { groupsApart, written, type Sketches } from '~/core/games/kit/draw';
import type { WaysParams } from './rules';

export const sketches: Sketches<WaysParams> = {
  'setUp.target': ({ target }) => written(String(target), 30, 34),
  'turn.say': ({ a, b }) => groupsApart(a!, b!),
  'turn.write': (_, { target, ops }) =>
    ops.includes('+')
      ? [
          ...written(`${Math.floor(target / 2)} + ${Math.ceil(target / 2)} = ${target}`, 18, 14),
          ...written(`1 + ${target - 1} = ${target}`, 42, 14),
        ]
      : written(`${target + 1} − 1 = ${target}`),
};
