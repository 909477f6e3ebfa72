import { TextBox } from './fields/TextBox';

/** In a form that gives somebody a way in: one's own password, where it was not typed a moment ago. */
export const OnceMore = ({ proven, error }: { proven: boolean; error?: string | undefined }) =>
  proven && !error ? null : (
    <TextBox
      name="confirm"
      label="Your own password, once more"
      inputType="password"
      autoComplete="current-password"
      error={error}
    />
  );
