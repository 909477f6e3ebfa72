import type { Card } from '~/core/cards/deck';
import type { DeckVerdict } from '~/core/games/kit';
import type { MarketParams } from '.';
import { piles } from './reckon';

/** Both piles must have cards; a number that lacks all its cards never comes. */
export function audit(params: MarketParams, cards: readonly Card[]): DeckVerdict {
  const { cups, pieces } = piles(params, cards);
  if (cups.length === 0 || pieces.length === 0)
    return {
      verdict: 'doesNotPlay',
      note: `No ${cups.length === 0 ? 'red' : 'black'} card from ace to six is left.`,
    };
  const lacking = (of: { from: number; to: number }, have: readonly number[]): number[] =>
    Array.from({ length: of.to - of.from + 1 }, (_, i) => of.from + i).filter((n) => !have.includes(n));
  const never = [
    ...lacking(params.cups, cups).map((n) => `${n} cups`),
    ...lacking(params.pieces, pieces).map((n) => `${n} pieces`),
  ];
  return never.length
    ? {
        verdict: 'playsWithNote',
        note: `${never.join(', ')} never ${never.length === 1 ? 'comes' : 'come'}; everything else does.`,
      }
    : { verdict: 'plays', note: 'Every number can come.' };
}
