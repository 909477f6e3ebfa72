import { expect, it } from 'vitest';
import { clock } from './clock';

it('writes a moment in the words of a language, by one format for the same parts', () => {
  const noon = new Date('2026-03-01T12:00:00Z');
  const parts = { day: 'numeric', month: 'short', timeZone: 'UTC' } as const;
  expect(clock('en-US', parts).format(noon)).toBe('Mar 1');
  expect(clock('es', parts).format(noon)).toBe('1 mar');
  expect(clock('en-US', { ...parts })).toBe(clock('en-US', parts));
  expect(clock('en-US', { ...parts, timeZone: 'Asia/Tokyo' })).not.toBe(clock('en-US', parts));
  expect(() => clock('en-US', { timeZone: 'Nowhere/At_all' })).toThrow(RangeError);
});
