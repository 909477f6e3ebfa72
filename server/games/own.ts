/** Games of the school's own, as forms and files bring them in. */
import { parse, type ParseError } from 'jsonc-parser';
import type { FieldErrors } from '~/core/check/check';
import { checkOwnGame } from '~/core/own/check';
import { saveOwnGame } from '~/data/queries/games';

/** The largest file that is read: a game is a few thousand characters. */
export const MOST_BYTES = 200_000;

/** Keeps a game given as JSON text. Answers its id, or what is wrong by path; nothing is kept then. */
export async function keepOwnGame(
  text: string,
  by: { createdBy: string } | { id: string },
): Promise<{ ok: true; id: string } | { ok: false; errors: FieldErrors }> {
  let input: unknown;
  try {
    input = JSON.parse(text);
  } catch {
    return { ok: false, errors: { '': `This is not JSON: something is wrong ${whereOf(text)}.` } };
  }
  const checked = checkOwnGame(input);
  if (!checked.ok) return checked;
  const id = await saveOwnGame(checked.value, by);
  return id
    ? { ok: true, id }
    : {
        ok: false,
        errors: {
          'name.en': `There is a game called “${checked.value.name.en}” already. Choose another name.`,
        },
      };
}

/** The line and the place in it at which a JSON text breaks off. */
function whereOf(text: string): string {
  const found: ParseError[] = [];
  parse(text, found, { disallowComments: true });
  const before = text.slice(0, found[0]?.offset ?? text.length).split('\n');
  return `at line ${before.length}, character ${before.at(-1)!.length + 1}`;
}
