import { describe, expect, it } from 'vitest';
import { printingSchema, USUAL_PRINTING, type Printing } from '~/core/pack/cost';
import { readPrices } from './prices';

const typed = (change: Record<string, string> = {}): FormData => {
  const form = new FormData();
  for (const [name, value] of Object.entries(USUAL_PRINTING))
    form.set(name, name.endsWith('Cents') ? (value / 100).toFixed(2) : String(value));
  for (const [name, value] of Object.entries(change)) form.set(name, value);
  return form;
};
const wrong = (change: Record<string, string>) => {
  const read = readPrices(typed(change));
  return read.ok ? {} : read.errors;
};

describe('prices as they are typed', () => {
  it('come back as they were shown', () => {
    expect(readPrices(typed())).toEqual({ ok: true, value: USUAL_PRINTING });
  });

  it('are dollars with a point, a comma or neither, and are kept in cents', () => {
    for (const [text, cents] of [
      ['7', 700],
      [' 7.5 ', 750],
      ['7,05', 705],
      ['$7.50', 750],
      ['0', 0],
      ['1000.00', 100_000],
    ] as const)
      expect(readPrices(typed({ paperCents: text }))).toMatchObject({
        ok: true,
        value: { paperCents: cents },
      });
  });

  it('are refused in a sentence when they are no amount, too high or below nothing', () => {
    for (const text of ['', 'seven', '-7', '7.505', '1e3', '1000.01', '7.5.0'])
      expect(wrong({ cardCents: text })).toEqual({
        cardCents: 'Price of a pack of card stock must be an amount such as 7.50, at most $1,000.00.',
      });
  });

  it('need every number beside them, and name all that is wrong at once', () => {
    expect(wrong({ pouchSize: '', cutSeconds: '7.5', durableLoans: '0', clothCents: 'x' })).toEqual({
      pouchSize: 'Pouches in a box is missing.',
      cutSeconds: 'Seconds for a straight cut must be a whole number from 0 to 3600.',
      durableLoans: 'Loans that a laminated part lasts must be from 1 to 200.',
      clothCents: 'Price of a pack of cloths must be an amount such as 7.50, at most $1,000.00.',
    });
    // Never does an empty box become the usual value unseen.
    for (const name of Object.keys(printingSchema.properties) as (keyof Printing)[])
      expect(Object.keys(wrong({ [name]: '  ' }))).toEqual([name]);
    expect(Object.keys((readPrices(new FormData()) as { errors: object }).errors).sort()).toEqual(
      Object.keys(printingSchema.properties).sort(),
    );
  });
});
