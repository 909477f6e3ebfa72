import { expect, it } from 'vitest';
import { grouped } from './grouped';

it('puts members together by their key, in the order in which they come', () => {
  const groups = grouped([3, 1, 4, 1, 5, 9, 2, 6], (n) => n % 2);
  expect([...groups]).toEqual([
    [1, [3, 1, 1, 5, 9]],
    [0, [4, 2, 6]],
  ]);
  expect(grouped([], String).size).toBe(0);
});
