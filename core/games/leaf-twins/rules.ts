import { LETTERS } from '~/core/cards/facts';
import type { TwinParams } from '.';

/** A shape and the outline it belongs on: what stands on each, and the number (or the letter's place) they share. */
export interface Twin {
  value: number;
  shape: string;
  /** Left out where the outline has dots. */
  outline?: string;
}

/** More dots than these are not counted on an outline. */
export const MOST_DOTS = 20;

/** The numbers, or the places of the letters in the alphabet, in order. */
export function twinsOf({ twins, which, count, own, letters }: TwinParams): Twin[] {
  if (twins === 'letters')
    return LETTERS.flatMap((letter, i) =>
      letters.includes(letter) ? [{ value: i + 1, shape: letter, outline: letter.toLowerCase() }] : [],
    );
  const numbers =
    which === 'own' ? [...own].sort((a, b) => a - b) : Array.from({ length: count }, (_, i) => i + 1);
  return numbers.map((value) => ({
    value,
    shape: String(value),
    ...(twins === 'numerals' ? { outline: String(value) } : {}),
  }));
}

/** The largest number there is. */
export const mostOf = (params: TwinParams): number => Math.max(...twinsOf(params).map(({ value }) => value));
