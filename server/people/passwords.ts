/** Changing a password, and setting one with a link that a coordinator gave. */
import { randomBytes } from 'node:crypto';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { LINK_HOURS, newPasswordSchema } from '~/core/people/forms';
import type { OneSchool } from '~/data/db';
import { passwordHashOf } from '~/data/queries/people';
import { addPasswordLink, setPassword } from '~/data/queries/sessions';
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
  const weak = checked.ok ? weakness(String(form.get('password')), names) : undefined;
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
  if (!(await passwordFits(String(form.get('old') ?? ''), await passwordHashOf(personId))))
    return { old: 'This is not your password now.' };
  await ownPasswordRight(personId);
  const passwordHash = await hashPassword(String(form.get('password')));
  await setPassword({ personId, passwordHash, keep: session, by: personId });
  return {};
}

/** Makes a link with which a person sets a new password, once. Answers its key, or undefined for nobody. */
export async function givePasswordLink(
  at: OneSchool,
  personId: string,
  createdBy: string,
): Promise<string | undefined> {
  const key = randomBytes(24).toString('base64url');
  const given = await addPasswordLink({
    schoolId: at.schoolId,
    keyHash: hashOf(key),
    personId,
    expiresAt: new Date(Date.now() + LINK_HOURS * 3_600_000),
    createdBy,
  });
  return given ? key : undefined;
}
