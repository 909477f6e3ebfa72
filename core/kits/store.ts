/** The store of a school: what is on hand, and the moves that make it so. */
import { Type, type Static } from '@sinclair/typebox';
import { OneOf, Whole } from '~/core/check/schema';
import type { AtHand } from '~/core/games/shelf/catalogue';
import { isStored, type Material } from '~/core/materials/catalogue';
import { SHIPPED, type Catalogue } from '~/core/materials/school';

/** Why stock moves. Those in `LESS` take away, those in `MORE` add; a count can do either. */
export const MOVES = {
  bought: 'bought',
  counted: 'counted',
  taken: 'taken for copies',
  putBack: 'put back',
  mended: 'put into a copy',
  lost: 'lost',
  worn: 'worn out',
  givenAway: 'given away',
  corrected: 'corrected',
  undone: 'undone',
} as const;
export type MoveKind = keyof typeof MOVES;

/** Moves that somebody writes down at the store, and the way each goes. */
export const WRITTEN = { bought: 1, putBack: 1, lost: -1, worn: -1, givenAway: -1 } as const;
export type WrittenKind = keyof typeof WRITTEN;

/** More pieces of one kind than a school has. */
export const MOST_PIECES = 100_000;

export const moveSchema = Type.Object({
  kind: OneOf<WrittenKind>(
    {
      bought: 'Bought',
      putBack: 'Put back',
      lost: 'Lost',
      worn: 'Worn out',
      givenAway: 'Given away',
    },
    { title: 'What happened' },
  ),
  quantity: Whole(1, MOST_PIECES, { title: 'How many' }),
  note: Type.String({ maxLength: 120, default: '', title: 'Note' }),
});
export type WrittenMove = Static<typeof moveSchema>;

export const countSchema = Type.Object({
  counted: Whole(0, MOST_PIECES, { title: 'How many you counted' }),
});

export const placeSchema = Type.Object({
  place: Type.String({ maxLength: 80, default: '', title: 'Where it stands' }),
  reorderAt: Whole(0, MOST_PIECES, { title: 'Buy more when there are fewer than', default: 0 }),
});

export const storeOfferSchema = Type.Object({
  name: Type.String({ minLength: 1, maxLength: 80, pattern: '\\S', title: 'Name of the offer' }),
  size: Whole(1, MOST_PIECES, { title: 'Pieces in a pack' }),
  priceCents: Whole(0, 10_000_000, { title: 'Price of a pack (cents)' }),
});

/** What a store can have: not what is printed, and not what families find at home. */
export const storable = (catalogue: Catalogue = SHIPPED): Material[] => catalogue.all.filter(isStored);

/** What is on hand by material; null where there is some that nobody has counted yet. */
export type OnHand = AtHand;

/** Whether the store has so many of a material; what nobody has counted is taken to be enough. */
export const has = (onHand: OnHand, material: string, quantity: number): boolean => {
  const there = Object.hasOwn(onHand, material) ? onHand[material] : 0;
  return there === null || (there ?? 0) >= quantity;
};

/** What the store lacks for so many copies of what one copy holds. Paper is printed, not stored. */
export function shortFor(
  parts: readonly { material: string; quantity: number }[],
  copies: number,
  onHand: OnHand,
  catalogue: Catalogue = SHIPPED,
): { material: string; need: number; onHand: number; short: number }[] {
  return parts.flatMap(({ material, quantity }) => {
    if (!isStored(catalogue.of(material))) return [];
    const need = quantity * copies;
    if (has(onHand, material, need)) return [];
    const there = onHand[material] ?? 0;
    return [{ material, need, onHand: there, short: need - there }];
  });
}
