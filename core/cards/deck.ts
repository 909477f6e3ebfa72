/** The usual deck of fifty-two cards, also with some missing, and decks put together. */

export const RANKS = ['A', '2', '3', '4', '5', '6', '7', '8', '9', '10', 'J', 'Q', 'K'] as const;
export type Rank = (typeof RANKS)[number];
export const SUITS = { S: '♠', H: '♥', D: '♦', C: '♣' } as const;
export type Suit = keyof typeof SUITS;
/** Rank and suit: "7H", "10D", "QS". */
export type Card = `${Rank}${Suit}`;

/** All fifty-two, suit by suit. */
export const DECK: readonly Card[] = (Object.keys(SUITS) as Suit[]).flatMap((suit) =>
  RANKS.map((rank): Card => `${rank}${suit}`),
);

export const rankOf = (card: Card): Rank => card.slice(0, -1) as Rank;
export const suitOf = (card: Card): Suit => card.slice(-1) as Suit;
/** Ace 1, two to ten as they are, jack 11, queen 12, king 13. */
export const valueOf = (card: Card): number => RANKS.indexOf(rankOf(card)) + 1;
export const isRed = (card: Card): boolean => 'HD'.includes(suitOf(card));
/** The ranks of some cards, from ace to king. */
export const ranksOf = (cards: readonly Card[]): Rank[] => {
  const there = new Set(cards.map(rankOf));
  return RANKS.filter((rank) => there.has(rank));
};
/** "7♥". */
export const isCard = (card: string): card is Card => (DECK as readonly string[]).includes(card);

export const showCard = (card: Card): string => `${rankOf(card)}${SUITS[suitOf(card)]}`;

/** The whole deck without the missing cards; a card is missing once however often it is named. */
export const deckWithout = (missing: readonly string[]): Card[] =>
  DECK.filter((card) => !missing.includes(card));

/**
 * Reads cards as a person types them: "7h, qs 10♦ K spades". Answers the cards, each once, and the pieces that are
 * none.
 */
export function readCards(text: string): { cards: Card[]; unread: string[] } {
  const cards = new Set<Card>();
  const unread: string[] = [];
  const tidy = text
    .toUpperCase()
    .replace(/\b(OF)\b/g, ' ')
    .replace(/\b(SPADES?|♠)/g, 'S')
    .replace(/\b(HEARTS?|♥)/g, 'H')
    .replace(/\b(DIAMONDS?|♦)/g, 'D')
    .replace(/\b(CLUBS?|♣)/g, 'C')
    .replace(/♠/g, 'S')
    .replace(/♥/g, 'H')
    .replace(/♦/g, 'D')
    .replace(/♣/g, 'C')
    .replace(/\bACE\b/g, 'A')
    .replace(/\bJACK\b/g, 'J')
    .replace(/\bQUEEN\b/g, 'Q')
    .replace(/\bKING\b/g, 'K')
    .replace(/\b(A|[2-9]|10|1|J|Q|K)\s+([SHDC])\b/g, '$1$2');
  for (const word of tidy.split(/[\s,;]+/).filter(Boolean)) {
    const code = word.replace(/^1([SHDC])$/, 'A$1') as Card;
    if (DECK.includes(code)) cards.add(code);
    else unread.push(word);
  }
  return { cards: DECK.filter((card) => cards.has(card)), unread };
}

/** How many cards there are of each value; values that do not occur are left out. */
export function countValues(values: readonly number[]): Map<number, number> {
  const counts = new Map<number, number>();
  for (const value of [...values].sort((a, b) => a - b)) counts.set(value, (counts.get(value) ?? 0) + 1);
  return counts;
}

/** What is done with jacks, queens and kings. */
export const FACES = {
  remove: 'Take jacks, queens and kings out',
  '11-12-13': 'Jack 11, queen 12, king 13',
} as const;

/** The numbers of a deck: jacks, queens and kings only where they count as 11, 12 and 13. */
export const numbersOf = (cards: readonly Card[], faces: string): number[] =>
  cards.map(valueOf).filter((value) => faces === '11-12-13' || value <= 10);

/**
 * Two cards drawn from the values without putting back: every unordered pair with its chance, the smaller value
 * first. Empty when there are fewer than two cards.
 */
export function pairChances(counts: ReadonlyMap<number, number>): { a: number; b: number; chance: number }[] {
  const all = [...counts.values()].reduce((x, y) => x + y, 0);
  if (all < 2) return [];
  const values = [...counts.keys()].sort((x, y) => x - y);
  const half = (all * (all - 1)) / 2;
  return values.flatMap((a, i) =>
    values.slice(i).flatMap((b) => {
      const [ca, cb] = [counts.get(a)!, counts.get(b)!];
      const ways = a === b ? (ca * (ca - 1)) / 2 : ca * cb;
      return ways > 0 ? [{ a, b, chance: ways / half }] : [];
    }),
  );
}
