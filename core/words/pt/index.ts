/** Portuguese, as far as it is worded. */
import type { Wording } from '~/core/words/reading';
import { family } from './family';
import { print } from './print';
import { trouble } from './trouble';

export const pt: Wording = {
  family,
  print,
  trouble,
};
