/** The numbers and words of a line, to be turned by whoever reads it: nobody types one. */
import { argumentsIn } from './inspect';
import type { Args } from './message';

/** Values with which every plural form of the languages there are is seen. */
const SAMPLES = [1, 2, 5, 11, 100];
/** An argument of a line as it can be turned: what it may be in turn; a single value where it is a word. */
export interface Turnable {
  name: string;
  values: readonly (string | number)[];
}
/** The arguments of a line with the values that they can be turned to, its own value first. */
export const turnables = (message: string, args: Args): Turnable[] =>
  argumentsIn(message).map(({ name, kind, options }) => {
    const own = args[name];
    if (kind === 'select')
      return { name, values: [...new Set([...(typeof own === 'string' ? [own] : []), ...options])] };
    if (typeof own === 'string') return { name, values: [own] };
    return { name, values: [...new Set([...(own === undefined ? [] : [own]), ...SAMPLES])] };
  });
