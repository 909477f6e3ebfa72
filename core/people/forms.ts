/** The forms of signing in and setting up. */
import { Type } from '@sinclair/typebox';
import { Line, OneOf } from '~/core/check/schema';
import { ROLE_NAMES, type Role } from './role';

export const signInSchema = Type.Object({
  name: Line(80, { title: 'Name' }),
  password: Line(200, { title: 'Password' }),
});

/** A password as it is chosen. */
export const newPassword = Type.String({
  title: 'Password',
  minLength: 12,
  maxLength: 200,
  description: 'at least 12 characters, please. A few words in a row are easy to keep in mind.',
});

export const personSchema = Type.Object({
  name: Line(80, { title: 'Name' }),
  role: OneOf<Role>(ROLE_NAMES, { title: 'Role' }),
  password: newPassword,
});

/** A password of one's own, changed or set with a link. */
export const newPasswordSchema = Type.Object({ password: newPassword });

/** A link for a new password holds for so long. */
export const LINK_HOURS = 48;
