import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { copyCost, pieceCents } from './cost';

const offers = [
  { material: 'cube', size: 100, priceCents: 1600 },
  { material: 'cube', size: 500, priceCents: 6000 },
];
const asked = {
  parts: [
    { material: 'cube', quantity: 60 },
    { material: 'chalk', quantity: 2 },
    { material: 'record-sheet', quantity: 12 },
  ],
  offers,
  paperCents: 300,
  wipingCents: 20,
  paperOfLoanCents: 12,
  seconds: 1800,
  hourCents: 1000,
  paperLoans: 30,
  partLoans: 60,
};

describe('what a copy costs', () => {
  it('adds up parts at their cheapest price, paper and work', () => {
    expect(pieceCents('cube', offers)).toBe(12);
    expect(pieceCents('die', offers)).toBeCloseTo(700 / 24, 9);
    expect(copyCost(asked)).toEqual({
      partsCents: 60 * 12 + 80,
      lastingCents: 720,
      paperCents: 300,
      wipingCents: 20,
      labourCents: 500,
      copyCents: 720 + 80 + 300 + 20 + 500,
      loanCents: Math.round(720 / 60 + 80 + 500 / 30) + 12,
    });
  });

  it('prints plain paper anew for every loan, and pays nobody where nobody is paid', () => {
    const plain = copyCost({ ...asked, paperOfLoanCents: 300, paperLoans: 1, hourCents: 0 });
    expect(plain.labourCents).toBe(0);
    expect(plain.loanCents).toBe(Math.round(720 / 60 + 80) + 300);
  });

  it('costs a loan no more than a copy, and more parts never less', () => {
    fc.assert(
      fc.property(
        fc.nat(200),
        fc.nat(20),
        fc.nat(5000),
        fc.boolean(),
        (cubes, chalk, paperCents, durable) => {
          const of = (n: number) =>
            copyCost({
              ...asked,
              paperLoans: durable ? 30 : 1,
              paperCents,
              paperOfLoanCents: durable ? Math.ceil(paperCents / 10) : paperCents,
              parts: [
                { material: 'cube', quantity: n },
                { material: 'chalk', quantity: chalk },
              ],
            });
          expect(of(cubes).loanCents).toBeLessThanOrEqual(of(cubes).copyCents + 1);
          expect(of(cubes + 1).copyCents).toBeGreaterThanOrEqual(of(cubes).copyCents);
        },
      ),
    );
  });
});
