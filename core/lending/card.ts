/** The code on a family's card: it names nobody. Longer than a tag, so that the two are never taken for each other. */
import type { Random } from '~/core/chance/random';
import { checkedCode, isCheckedCode, plainCode, TAG_ALPHABET } from '~/core/kits/tag';

const DATA_LENGTH = 6;

/** A card's code of random characters. */
export const randomCard = (random: Random): string =>
  checkedCode(
    Array.from({ length: DATA_LENGTH }, () => TAG_ALPHABET[random.whole(0, TAG_ALPHABET.length - 1)]).join(
      '',
    ),
  );

/** As it is printed and read aloud: "K7M-4WX-9". */
export const showCard = (card: string): string => `${card.slice(0, 3)}-${card.slice(3, 6)}-${card.slice(6)}`;

/** Reads what was typed or scanned, in any case, with or without dashes; undefined where it is no card. */
export function readCard(text: string): string | undefined {
  const plain = plainCode(text);
  return plain.length === DATA_LENGTH + 1 && isCheckedCode(plain) ? plain : undefined;
}
