/** The rows of the probe, smaller: each attack fails where it finds something lost. */
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { Field } from './field';
import { TRIALS } from './rows';

let field: Field;
beforeAll(async () => {
  field = await Field.open('probe-test');
}, 300_000);
afterAll(async () => {
  await field?.close();
}, 60_000);

describe('two servers on one database', () => {
  it.each(Object.entries(TRIALS))(
    'lose nothing: %s',
    async (_, { run, test }) => {
      const { lost, tried } = await run(field, test);
      expect(lost, lost.slice(0, 12).join('\n')).toEqual([]);
      expect(tried).toBeGreaterThan(0);
    },
    240_000,
  );
});
