import { steps as list } from '~/core/games/kit/make';
import type { Step } from '~/core/games/kit/types';
import { bonds, type BondParams } from './rules';

export function steps(params: BondParams): Step[] {
  const cards = bonds(params);
  const example = cards.find(({ a, b }) => a > 0 && a !== b) ?? cards[0]!;
  return list(
    ['setUp.pile', { cards: cards.length }],
    ['turn.cover', {}],
    [
      params.cover === 'whole' ? 'turn.whole' : params.cover === 'part' ? 'turn.part' : 'turn.any',
      { ...example },
      'symbols',
    ],
    ['turn.lay', {}, 'pieces'],
    ['turn.sentences', { ...example }, 'symbols'],
    ['end.pile', {}],
    ['easier.draw', {}, 'drawing'],
    ['harder.write', {}, 'symbols'],
    ['sideBySide.team'],
    ['younger.counts', { years: 3 }],
    ['atHome.paper'],
    ['say.story', { ...example }],
    ['say.check'],
    ['caution.small', { years: 3 }],
  );
}
