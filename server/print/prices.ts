/** Prices and times of printing, as they are typed. */
import { checkForm, type Checked } from '~/core/check/check';
import { printingSchema, SUPPLY_IDS, type Printing } from '~/core/pack/cost';
import { centsIn, money } from '~/core/words/numbers';
import { textIn } from '~/server/forms';

/** Reads the form: prices are typed in dollars and kept in cents. */
export function readPrices(form: FormData): Checked<Printing> {
  const fields: Record<string, unknown> = Object.fromEntries(form);
  const wrong: [string, string][] = [];
  for (const name of [...SUPPLY_IDS.map((supply) => `${supply}Cents` as const), 'hourCents' as const]) {
    const { title, maximum } = printingSchema.properties[name];
    const cents = centsIn(textIn(form, name));
    if (cents === undefined || cents > maximum!) {
      wrong.push([name, `${title} must be an amount such as 7.50, at most ${money(maximum!)}.`]);
      delete fields[name];
    } else fields[name] = cents;
  }
  // An empty box is a mistake here: it must not become the usual value unseen.
  for (const [name, { title }] of Object.entries(printingSchema.properties))
    if (!name.endsWith('Cents') && textIn(form, name).trim() === '')
      wrong.push([name, `${title} is missing.`]);
  const checked = checkForm(printingSchema, fields);
  if (checked.ok && wrong.length === 0) return checked;
  return { ok: false, errors: { ...(checked.ok ? {} : checked.errors), ...Object.fromEntries(wrong) } };
}
