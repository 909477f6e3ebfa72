import type { Card } from '~/core/cards/deck';
import type { DeckVerdict } from '~/core/games/kit';
import type { PileParams } from '.';
import { goesOn, numbersFrom, numbers, perRound, rounds } from './rules';

/** A few missing cards cost rounds, nothing else. */
export function audit(params: PileParams, cards: readonly Card[]): DeckVerdict {
  const count = numbersFrom(params, cards).length;
  const now = Math.floor(count / perRound(params));
  const usual = rounds({ ...params, missing: [] });
  const over = count - now * perRound(params);
  if (now < 1)
    return {
      verdict: 'doesNotPlay',
      note: `${count} number cards are left; one round takes ${perRound(params)}.`,
    };
  const all = numbers({ ...params, missing: [] }).length;
  if (goesOn(params))
    return count === all
      ? { verdict: 'plays', note: `${count} number cards, as in a whole deck.` }
      : {
          verdict: 'playsWithNote',
          note: `${count} number cards instead of ${all}: it plays on with them.`,
        };
  if (now === usual && over === 0) return { verdict: 'plays', note: `${now} rounds, as with a whole deck.` };
  const fewer =
    now < usual
      ? `${usual - now} ${usual - now === 1 ? 'round' : 'rounds'} fewer: ${now}`
      : now > usual
        ? `${now} rounds, ${now - usual} more than usual`
        : `${now} rounds, as usual`;
  return {
    verdict: now === usual ? 'plays' : 'playsWithNote',
    note: over
      ? `${fewer}. ${over === 1 ? 'One card stays' : `${over} cards stay`} in the box.`
      : `${fewer}.`,
  };
}
