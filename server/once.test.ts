import { describe, expect, it } from 'vitest';
import { forOneRequest, once } from './once';

describe('what several parts of a page ask for', () => {
  it('is looked up once for each request, and again for the next one', async () => {
    let looked = 0;
    const look = (): Promise<number> => Promise.resolve(++looked);
    const page = () =>
      forOneRequest(() => Promise.all([once('copies', look), once('copies', look), once('other', look)]));
    expect(await page()).toEqual([1, 1, 2]);
    expect(await page()).toEqual([3, 3, 4]);
    // Outside of a request nothing is remembered.
    expect([await once('copies', look), await once('copies', look)]).toEqual([5, 6]);
  });
});
