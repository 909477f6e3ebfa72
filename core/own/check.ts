/** A definition from a form or a file: first its shape, then whether it makes a game. */
import { checkJson, type Checked } from '~/core/check/check';
import { ownFaults, ownGameSchema, type OwnGame } from './definition';

/** Answers the definition, or one sentence for each place that is wrong, by its path with dots. */
export function checkOwnGame(input: unknown): Checked<OwnGame> {
  const checked = checkJson(ownGameSchema, input);
  if (!checked.ok) return checked;
  const errors = ownFaults(checked.value);
  return Object.keys(errors).length ? { ok: false, errors } : checked;
}
