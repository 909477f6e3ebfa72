import { MOVES, type MoveKind } from '~/core/kits/store';

/** A move in a few words: "bought 40", "lost 3 (down the drain)". */
export function moveWords({
  kind,
  quantity,
  leaves,
  note,
}: {
  kind: MoveKind;
  quantity: number;
  leaves: number;
  note: string;
}): string {
  const said =
    kind === 'counted'
      ? `counted ${leaves}${quantity === 0 ? ', as expected' : quantity > 0 ? `, ${quantity} more than expected` : `, ${-quantity} fewer than expected`}`
      : kind === 'undone' || kind === 'corrected'
        ? `${MOVES[kind]} (${quantity > 0 ? '+' : '−'}${Math.abs(quantity)})`
        : `${MOVES[kind]} ${Math.abs(quantity)}`;
  return note ? `${said} (${note})` : said;
}
