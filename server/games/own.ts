/** Games of the school's own, as forms and files bring them in. */
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
  } catch (error) {
    return { ok: false, errors: { '': `This is not JSON: ${whereOf(text, error as Error)}` } };
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

/** The line and column at which a JSON text breaks off, as far as the parser tells. */
function whereOf(text: string, error: Error): string {
  const at = Number(/position (\d+)/.exec(error.message)?.[1] ?? NaN);
  if (!Number.isFinite(at)) return `${error.message.split('\n')[0]}.`;
  const before = text.slice(0, at).split('\n');
  return `something is wrong at line ${before.length}, character ${before.at(-1)!.length + 1}.`;
}
