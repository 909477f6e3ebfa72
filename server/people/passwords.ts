/** Changing a password, and setting another one in the browser that asked for it, when a coordinator has let it. */
import { randomBytes, randomInt } from 'node:crypto';
import { createCookie } from 'react-router';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { LINK_HOURS, newPasswordSchema } from '~/core/people/forms';
import type { OneSchool } from '~/data/db';
import { findPersonByName, passwordHashOf } from '~/data/queries/people';
import { askForPassword, letSetPassword, setPassword } from '~/data/queries/sessions';
import { textIn } from '~/server/forms';
import { ownPasswordRight, tryOwnPassword } from '../limits';
import { hashPassword, passwordFits } from './password';
import { hashOf } from './session';
import { weakness } from './weak';

/**
 * What is wrong with a new password and its repetition; nothing when it may be kept. Passwords are never trimmed. `names`
 * are those of whose password it is and of their school.
 */
export function passwordFaults(form: FormData, names: readonly string[]): FieldErrors {
  const checked = checkForm(newPasswordSchema, form);
  const errors: FieldErrors = checked.ok ? {} : checked.errors;
  const weak = checked.ok ? weakness(textIn(form, 'password'), names) : undefined;
  if (weak) errors.password = weak;
  if (form.get('password') !== form.get('again')) errors.again = 'The two passwords are not the same.';
  return errors;
}

/** Changes one's own password, which takes the old one. Other sessions end. */
export async function changeOwnPassword(
  personId: string,
  form: FormData,
  session: string,
  names: readonly string[],
): Promise<FieldErrors> {
  const errors = passwordFaults(form, names);
  if (form.get('password') === form.get('old'))
    errors.password = 'This is the password you have now. Choose another one.';
  if (Object.keys(errors).length) return errors;
  const wait = await tryOwnPassword(personId);
  if (wait) return { old: `Too many tries. Please wait ${wait === 1 ? 'a minute' : `${wait} minutes`}.` };
  if (!(await passwordFits(textIn(form, 'old'), await passwordHashOf(personId))))
    return { old: 'This is not your password now.' };
  await ownPasswordRight(personId);
  const passwordHash = await hashPassword(textIn(form, 'password'));
  await setPassword({ personId, passwordHash, keep: session, by: personId });
  return {};
}

/** Which browser asks for a new password, and the number under which it does. Nobody else is told its key. */
const asking = (secure: boolean) =>
  createCookie(secure ? '__Host-fern-forgotten' : 'fern-forgotten', {
    secure,
    httpOnly: true,
    sameSite: 'lax',
    path: '/',
    maxAge: LINK_HOURS * 3600,
  });
const cookieFor = (request: Request) => asking(new URL(request.url).protocol === 'https:');
export interface Asked {
  key: string;
  number: string;
}

/** What this browser has asked for. */
export async function askedHere(request: Request): Promise<Asked | undefined> {
  const kept: unknown = await cookieFor(request).parse(request.headers.get('Cookie'));
  const [, key, number] = /^([\w-]{32})\.(\d{6})$/.exec(typeof kept === 'string' ? kept : '') ?? [];
  return key && number ? { key, number } : undefined;
}

/** Asks for a new password in this browser. A name that nobody has looks the same. Answers the cookie. */
export async function askForNewPassword(request: Request, name: string): Promise<string> {
  const key = randomBytes(24).toString('base64url');
  const number = String(randomInt(100_000, 1_000_000));
  const person = await findPersonByName(name);
  if (person)
    await askForPassword({
      tokenHash: hashOf(key),
      personId: person.id,
      number,
      expiresAt: new Date(Date.now() + LINK_HOURS * 3_600_000),
    });
  return cookieFor(request).serialize(`${key}.${number}`);
}

/** Lets the browser that asked under this number set a new password of this person. */
export const letSetNewPassword = (
  at: OneSchool,
  { personId, number, by }: { personId: string; number: string; by: string },
): Promise<'allowed' | 'number' | 'refused'> =>
  letSetPassword({
    schoolId: at.schoolId,
    personId,
    number,
    expiresAt: new Date(Date.now() + LINK_HOURS * 3_600_000),
    createdBy: by,
  });
