/** The id under which a stored game is known in addresses and variants. */
export const ownGameId = (id: string): string => `own-${id}`;
/** The stored id in such a game id, or undefined. */
export const storedId = (gameId: string): string | undefined =>
  gameId.startsWith('own-') ? gameId.slice(4) : undefined;
