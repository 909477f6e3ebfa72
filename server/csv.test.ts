import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fromCell, readRows, toCell } from './csv';

describe('a cell that a spreadsheet would run', () => {
  it.each([
    ['=1+1', "'=1+1"],
    ['  =1', "  '=1"],
    ['a;=1', "a;'=1"],
    ['a\t"@x', 'a\t"\'@x'],
    ["'=1", "''=1"],
    ['a=1', 'a=1'],
    ["a' =1", "a' =1"],
    ['', ''],
  ])('%j goes out as %j, and comes back', (text, cell) => {
    expect(toCell(text)).toBe(cell);
    expect(fromCell(cell)).toBe(text);
  });
  it('comes back the same whatever it is, and never begins a part with a sign of a formula', () => {
    const signs = fc.string({
      unit: fc.constantFrom('=', '+', '-', '@', "'", '"', ' ', ';', ',', '\t', '\n', 'a', '1'),
    });
    fc.assert(
      fc.property(signs, (text) => {
        expect(fromCell(toCell(text))).toBe(text);
        expect(toCell(text)).not.toMatch(/(?:^|[;,|\t\r\n])[\s"]*[=+\-@]/);
      }),
    );
  });
  it('takes time in the length of the cell', () => {
    // One step for each sign: a text ten times as long is no hundred times the work.
    for (const text of [
      '\t'.repeat(400_000),
      '" '.repeat(200_000),
      "'".repeat(400_000),
      ';"'.repeat(200_000),
    ])
      expect(fromCell(toCell(text))).toBe(text);
  });
});

describe('a list with a first line of thousands of names', () => {
  it('is refused before it is taken apart', () => {
    const text = `${Array.from({ length: 450_000 }, (_, i) => `c${i % 10}`).join(',')}\r\n1`;
    expect(readRows(text, { columns: ['name'], needed: ['name'], listOf: 'families' })).toMatchObject({
      ok: false,
      problem: expect.stringMatching(/first line must name the columns/) as string,
    });
  });
});
