/** Games of the school's own, as forms and files bring them in. */
import { parse, type ParseError } from 'jsonc-parser';
import type { FieldErrors } from '~/core/check/check';
import { readJson } from '~/core/check/keepable';
import { checkOwnGame } from '~/core/own/check';
import type { OwnGame } from '~/core/own/definition';
import type { SchoolHandle } from '~/data/db';
import type { Saving, Stale } from '~/data/queries/changes';
import { addOwnGame, changeOwnGame } from '~/data/queries/games';

/** The largest file that is read: a game is a few thousand characters. */
export const MOST_BYTES = 200_000;

type Refused = { ok: false; errors: FieldErrors; stale?: Stale<OwnGame> };
type Read = { ok: true; value: OwnGame } | Refused;

/** Reads a game given as JSON text. Answers what is wrong by path. */
function readOwnGame(text: string): Read {
  const whole = (sentence: string): Refused => ({ ok: false, errors: { '': sentence } });
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

const nameTaken = (own: OwnGame): Refused => ({
  ok: false,
  errors: { 'name.en': `There is a game called “${own.name.en}” already. Choose another name.` },
});

/** Keeps a new game. Answers its id, or what is wrong; nothing is kept then. */
export async function keepOwnGame(
  at: SchoolHandle,
  text: string,
  createdBy: string,
): Promise<{ ok: true; id: string } | Refused> {
  const read = readOwnGame(text);
  if (!read.ok) return read;
  const id = await addOwnGame(at, read.value, createdBy);
  return id ? { ok: true, id } : nameTaken(read.value);
}

/** Changes a game that was opened on a version of it. */
export async function changeOwn(
  at: SchoolHandle,
  id: string,
  text: string,
  openedOn: number,
  personId: string,
): Promise<Extract<Saving<OwnGame>, { ok: true }> | Refused> {
  const read = readOwnGame(text);
  if (!read.ok) return read;
  const saved = await changeOwnGame(at, id, read.value, openedOn, personId);
  if (saved === undefined) return nameTaken(read.value);
  if (saved === 'gone')
    return {
      ok: false,
      errors: { '': 'This game was put away meanwhile, so it was not changed. Your text is still here.' },
    };
  if (saved === 'follows')
    return {
      ok: false,
      errors: {
        '': 'This game follows another school and is changed there. Stop following it first; your text is still here.',
      },
    };
  return saved.ok ? saved : { ok: false, errors: {}, stale: saved.stale };
}

/** The line and the place in it at which a JSON text breaks off. */
function whereOf(text: string): string {
  const found: ParseError[] = [];
  parse(text, found, { disallowComments: true });
  const before = text.slice(0, found[0]?.offset ?? text.length).split('\n');
  return `at line ${before.length}, character ${before.at(-1)!.length + 1}`;
}
