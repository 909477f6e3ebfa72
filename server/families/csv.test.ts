import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { childrenText } from '~/core/lending/children';
import { NEW_FAMILY, sameName, type FamilyFields } from '~/core/lending/families';
import Papa from 'papaparse';
import { visible } from '~/core/check/keepable';
import { familiesFromCsv, familiesToCsv } from './csv';

const text = fc
  .string({ unit: fc.constantFrom(...'ab Ñé,";|\'=+-@\n0＝'), maxLength: 12 })
  .map((value) => visible(value));
const families = fc
  .uniqueArray(
    fc.record({
      name: text.filter((name) => /\S/.test(name)),
      language: fc.constantFrom('en', 'es', 'ar', 'pt'),
      speaks: fc.constantFrom('', 'Spanish', 'Spanish, Tigrinya'),
      children: fc
        .array(
          fc.record({
            name: fc.string({ unit: fc.constantFrom(...'aÑé.=+-@'), minLength: 1, maxLength: 8 }),
            band: fc.constantFrom('preK' as const, 'K' as const, 'g1' as const, 'g3' as const),
          }),
          { maxLength: 4 },
        )
        .map(childrenText),
      group: text,
      reach: text,
      channel: fc.constantFrom('paper', 'message', 'mail', 'never'),
      weekly: fc.boolean(),
      underThree: fc.boolean(),
      allergens: text,
      pictures: fc.boolean(),
    }),
    { selector: (family) => sameName(family.name), maxLength: 8, minLength: 1 },
  )
  .map((list) => list as FamilyFields[]);

const read = (csv: string, existing: string[] = []) => {
  const result = familiesFromCsv(csv, existing);
  if (!result.ok) throw new Error(result.problem);
  return result.rows;
};

describe('families as CSV', () => {
  it('come back as they went', () => {
    fc.assert(
      fc.property(families, (list) => {
        expect(read(familiesToCsv(list)).map((row) => row.family)).toEqual(list);
      }),
    );
  });

  it('answer 2,000 broken files with a sentence, or with rows that each say what is wrong', () => {
    const piece = fc.constantFrom(
      'name,language',
      'name;language',
      'Family A,en',
      '"Family B,es',
      ',,,',
      'x\u0000y',
      '\ufeffname',
      'Family C,Klingon,"A., grade 99"',
      '\r',
      '"',
      'name,language,weekly\nFamily D,en,perhaps',
    );
    fc.assert(
      fc.property(
        fc.array(fc.oneof(piece, fc.string({ maxLength: 30 })), { maxLength: 12 }),
        fc.constantFrom('\n', '\r\n', '\r', ';'),
        (parts, end) => {
          const result = familiesFromCsv(parts.join(end), ['Family A']);
          if (!result.ok) expect(result.problem).toMatch(/[.!?]$/);
          else
            for (const row of result.rows)
              expect([row.family === undefined, typeof row.problem]).toEqual([
                row.problem !== undefined,
                row.problem === undefined ? 'undefined' : 'string',
              ]);
        },
      ),
      { numRuns: 2000 },
    );
  });

  it('write no cell that a spreadsheet would run', () => {
    const csv = familiesToCsv([
      { ...NEW_FAMILY, name: '=1+1', reach: '+555', children: '=A, grade 1\n+B, pre-K' },
    ]);
    expect(csv).toContain(`'=1+1,en,,"'=A, grade 1; '+B, pre-K",,'+555,paper,no,no,`);
    expect(csv.split('\r\n')).toHaveLength(3);
  });

  it('write no cell that runs in a program that cuts cells at another sign', () => {
    fc.assert(
      fc.property(families, (list) => {
        const csv = familiesToCsv(list);
        for (const delimiter of [',', ';', '|', '\t'])
          for (const row of Papa.parse<string[]>(csv, { delimiter }).data)
            for (const cell of row) expect(cell.replace(/^[\s"]+/, '')).not.toMatch(/^[=+\-@\uff1d]/);
      }),
    );
    const csv = familiesToCsv([
      { ...NEW_FAMILY, name: 'Family Auk; =1+1', reach: 'a;@SUM(1)', allergens: 'x|-2' },
    ]);
    expect(csv).toContain("Family Auk; '=1+1,en,,,,a;'@SUM(1),paper,no,no,x|'-2");
  });

  it('come in from a list of the time before children and classes were kept', () => {
    const [row] = read('name,language,reach,underThree,allergens\r\nFamily Tern,es,555,yes,latex\r\n');
    expect(row!.family).toEqual({
      ...NEW_FAMILY,
      name: 'Family Tern',
      language: 'es',
      reach: '555',
      underThree: true,
      allergens: 'latex',
    });
    expect(read('name,language,children\r\nFamily Tern,es,"Ana Maria, grade 1"\r\n')[0]!.problem).toMatch(
      /nickname or an initial/,
    );
  });

  it('say of every bad row why, and keep the good ones', () => {
    const rows = read(
      [
        'name,language,underThree',
        'Family Tern,English,yes',
        ',es,no',
        'Family Auk,Klingon,no',
        'Family Puffin,Español,maybe',
        'Family Dunlin,en,',
        'family  TERN,en,',
        'Family Skua,pt,no,extra',
        `${'x'.repeat(81)},en,no`,
      ].join('\n'),
      ['Family Dunlin'],
    );
    expect(rows.map((row) => [row.row, Boolean(row.family)])).toEqual([
      [2, true],
      [3, false],
      [4, false],
      [5, false],
      [6, false],
      [7, false],
      [8, false],
      [9, false],
    ]);
    expect(rows[0]!.family).toMatchObject({ language: 'en', underThree: true });
    expect(rows.slice(1).map((row) => row.problem)).toEqual([
      'Family name: write how the family wants to be called, such as Family Dunlin.',
      expect.stringContaining('Klingon'),
      expect.stringContaining('maybe'),
      'A family of this name is there already.',
      'The same name stands in line 2.',
      'This line has more cells than the first one.',
      'Family name has room for 80 characters.',
    ]);
  });

  it('refuse a file that is not such a list, in words', () => {
    const problem = (csv: string) => {
      const result = familiesFromCsv(csv, []);
      return result.ok ? '' : result.problem;
    };
    expect(problem('surname;tongue\nx;y')).toContain('Missing: name, language');
    expect(problem('name,language\n')).toContain('no families');
    expect(problem('\u0000\u0001')).toContain('not a text file');
    expect(problem(`name,language\n${'a,en\n'.repeat(2001)}`)).toContain('2001 rows');
  });

  it('read a byte order mark and semicolons', () => {
    expect(read('\uFEFFname;language\nFamily Tern;es')[0]!.family).toMatchObject({
      name: 'Family Tern',
      language: 'es',
    });
  });
});
