import { deckWithout } from '~/core/cards/deck';
import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { keptCards, pairing, targetOf, worth, type TideParams } from './rules';

export function steps(params: TideParams): Step[] {
  const target = targetOf(params);
  const cards = deckWithout(params.missing);
  const kept = keptCards(params, cards);
  const { hand } = params;
  const leftover = pairing(
    kept.map((card) => worth(card, params)!),
    target,
    params.setSize,
  ).leftover.length;
  const least = Math.min(...kept.map((card) => worth(card, params)!).filter((value) => value > 0));
  const own = target === undefined ? 7 : Math.max(least, Math.ceil(target / 2) - 1);
  const wanted = target === undefined ? 7 : target - own;
  const number = target ?? 0;
  return list(
    ['setUp.keep', { kept: kept.length, same: target === undefined ? 'yes' : 'no', target: number }],
    params.zeroCard !== 'none' && target !== undefined && ['setUp.zero', { card: params.zeroCard, zero: 0 }],
    leftover > 0 && ['setUp.leftover', { leftover }],
    params.ownDecks ? ['setUp.video', { hand }] : ['setUp.deal', { hand }],
    target === undefined ? ['turn.laySame'] : ['turn.lay', { target, a: own, b: wanted }, 'symbols'],
    params.setSize === 'twoOrThree' && target !== undefined && ['turn.threes', { target }],
    ['turn.ask', { own, wanted }],
    params.ownDecks ? ['turn.video', { wanted }] : ['turn.give', {}],
    params.drawnPair === 'now' ? ['turn.drawNow', {}] : ['turn.drawLater', {}],
    params.refill === 0 ? ['turn.out', {}] : ['turn.refill', { refill: params.refill }],
    ['end.all', {}],
    ['easier.open', {}],
    ['harder.picture', {}],
    ['sideBySide.team'],
    ['younger.helper', { years: 3 }],
    ['atHome.deck'],
    target === undefined ? ['say.same', { own }] : ['say.hands', { own, target }],
    ['say.how'],
    ['caution.rest'],
  );
}
