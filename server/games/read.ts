/** A game of a school's own as JSON text. */
import { parse, type ParseError } from 'jsonc-parser';
import type { FieldErrors } from '~/core/check/check';
import { readJson } from '~/core/check/keepable';
import { checkOwnGame } from '~/core/own/check';
import type { OwnGame } from '~/core/own/definition';

/** The largest file that is read: a game is a few thousand characters. */
export const MOST_BYTES = 200_000;

export type ReadOwn = { ok: true; value: OwnGame } | { ok: false; errors: FieldErrors };

/** Reads a game given as JSON text. Answers what is wrong by path. */
export function readOwnGame(text: string): ReadOwn {
  const whole = (sentence: string): ReadOwn => ({ ok: false, errors: { '': sentence } });
  if (text.length > MOST_BYTES) return whole('This is too large to be one game. Nothing was read.');
  let input: unknown;
  try {
    input = readJson(text);
  } catch (error) {
    return whole(
      error instanceof RangeError
        ? 'This is nested too deeply, or has too many parts, to be a game. Nothing was read.'
        : `This is not JSON: something is wrong ${whereOf(text)}.`,
    );
  }
  return checkOwnGame(input);
}

/** The line and the place in it at which a JSON text breaks off. */
function whereOf(text: string): string {
  const found: ParseError[] = [];
  parse(text, found, { disallowComments: true });
  const before = text.slice(0, found[0]?.offset ?? text.length).split('\n');
  return `at line ${before.length}, character ${before.at(-1)!.length + 1}`;
}
