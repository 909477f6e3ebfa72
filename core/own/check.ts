/** A definition from a form or a file: first its shape, then whether it makes a game. */
import { checkJson, type Checked } from '~/core/check/check';
import { unkeepable, visible } from '~/core/check/keepable';
import { newOwnGame, ownGameSchema, type OwnGame } from './definition';
import { ownFaults } from './faults';

/** Answers the definition, or one sentence for each place that is wrong, by its path with dots. */
export function checkOwnGame(input: unknown): Checked<OwnGame> {
  const checked = checkJson(ownGameSchema, unkeepable(input) ? input : seen(input));
  if (!checked.ok) return checked;
  const errors = ownFaults(checked.value);
  return Object.keys(errors).length ? { ok: false, errors } : checked;
}

/** A stored definition as a form can show it: as it is, or begun anew under its name where its shape is not right. */
export function showable(stored: OwnGame): { definition: OwnGame; whole: boolean } {
  const checked = checkJson(ownGameSchema, stored);
  if (checked.ok) return { definition: checked.value, whole: true };
  const name = stored.name as Partial<OwnGame['name']> | undefined;
  const text = (value: unknown): string => (typeof value === 'string' ? value : '');
  return {
    definition: { ...newOwnGame(), name: { en: text(name?.en), es: text(name?.es) } },
    whole: false,
  };
}

/** The same value with its texts as they can be seen. */
function seen(value: unknown): unknown {
  if (typeof value === 'string') return visible(value);
  if (Array.isArray(value)) return value.map(seen);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, seen(inner)]));
}
