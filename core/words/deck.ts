/** Cards as a person says them in English. */
import type { Rank } from '~/core/cards/deck';
import { listed } from './numbers';

const RANK_NAMES: Record<Rank, string> = {
  A: 'aces',
  '2': 'twos',
  '3': 'threes',
  '4': 'fours',
  '5': 'fives',
  '6': 'sixes',
  '7': 'sevens',
  '8': 'eights',
  '9': 'nines',
  '10': 'tens',
  J: 'jacks',
  Q: 'queens',
  K: 'kings',
};

/** "tens, jacks and queens". */
export const rankNames = (ranks: readonly Rank[]): string => listed(ranks.map((rank) => RANK_NAMES[rank]));
