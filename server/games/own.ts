/** Games of the school's own, as forms and files bring them in. */
import type { FieldErrors } from '~/core/check/check';
import type { OwnGame } from '~/core/own/definition';
import type { SchoolHandle } from '~/data/db';
import type { Saving, Stale } from '~/data/queries/changes';
import { addOwnGame, changeOwnGame } from '~/data/queries/games';
import { readOutside, TooMuch } from '../outside';
import type { ReadOwn } from './read';

type Refused = { ok: false; errors: FieldErrors; stale?: Stale<OwnGame> };
async function readOwnGame(text: string): Promise<ReadOwn> {
  try {
    return await readOutside('ownGame', text);
  } catch (error) {
    if (!(error instanceof TooMuch)) throw error;
    return { ok: false, errors: { '': 'This asks for more work than a game does. Nothing was read.' } };
  }
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
  const read = await readOwnGame(text);
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
  const read = await readOwnGame(text);
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
