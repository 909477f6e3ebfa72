import type { FieldErrors } from '~/core/check/check';
import { TextBox } from '~/app/ui/fields/TextBox';

/** A new password, typed twice. */
export const NewPasswordFields = ({
  label = 'New password',
  again = 'The new password again',
  errors,
  autoFocus,
}: {
  label?: string;
  again?: string;
  errors: FieldErrors;
  autoFocus?: boolean;
}) => (
  <>
    <TextBox
      name="password"
      label={label}
      inputType="password"
      autoComplete="new-password"
      error={errors.password}
      hint="At least 12 characters; a few words in a row are fine."
      autoFocus={autoFocus}
    />
    <TextBox
      name="again"
      label={again}
      inputType="password"
      autoComplete="new-password"
      error={errors.again}
    />
  </>
);
