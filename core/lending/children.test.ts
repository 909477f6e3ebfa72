import { describe, expect, it } from 'vitest';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { bandIn, childrenText, levelOf, readChildren } from './children';
import { checkFamily, NEW_FAMILY } from './families';

describe('children of a family', () => {
  it('are read as people write them, and written in one way', () => {
    const read = readChildren('A., grade 1\nBo, K; Mia ,pre-K\n\n');
    expect(read).toEqual({
      ok: true,
      children: [
        { name: 'A.', band: 'g1' },
        { name: 'Bo', band: 'K' },
        { name: 'Mia', band: 'preK' },
      ],
    });
    const text = read.ok ? childrenText(read.children) : '';
    expect(text).toBe('A., grade 1\nBo, kindergarten\nMia, pre-K');
    expect(readChildren(text)).toEqual(read);
    expect(readChildren('')).toEqual({ ok: true, children: [] });
  });

  it('know the grades in every way that they are written here', () => {
    for (const [band, name] of Object.entries(AGE_BANDS)) expect([name, bandIn(name)]).toEqual([name, band]);
    const ways: [string, AgeBand | undefined][] = [
      ['1', 'g1'],
      ['1st grade', 'g1'],
      ['Gr. 2', 'g2'],
      ['2nd', 'g2'],
      ['3rd', 'g3'],
      ['grade 4', 'g3'],
      ['Pre-K', 'preK'],
      ['KINDERGARTEN', 'K'],
      ['grade 12', undefined],
      ['six years', undefined],
      ['', undefined],
    ];
    for (const [text, band] of ways) expect([text, bandIn(text)]).toEqual([text, band]);
  });

  it('are no more than a nickname and a grade', () => {
    const problem = (text: string) => {
      const read = readChildren(text);
      return read.ok ? '' : read.problem;
    };
    expect(problem('Ana Maria Vela, grade 1')).toMatch(/nickname or an initial is enough/);
    expect(problem('A')).toMatch(/a comma, and the grade/);
    expect(problem('A., born 2019-02-03')).toMatch(/a comma, and the grade/);
    expect(problem(', K')).toMatch(/nickname/);
    expect(problem('A, K\n'.repeat(9))).toBe('There is room for 8 children.');
  });

  it('tell where a family stands', () => {
    expect(levelOf([])).toBeUndefined();
    expect(
      levelOf([
        { name: 'A', band: 'g1' },
        { name: 'B', band: 'g3' },
      ]),
    ).toBe(3);
  });
});

describe('a family', () => {
  it('is checked with its children and languages, each wrong one in a sentence', () => {
    const family = { ...NEW_FAMILY, name: 'Family Tern' };
    expect(checkFamily({ ...family, speaks: 'español; tigrinya, es', children: 'A,1' })).toEqual({
      ok: true,
      value: { ...family, speaks: 'Spanish, Tigrinya', children: 'A, grade 1' },
    });
    expect(checkFamily({ ...family, speaks: 'Klingonish' })).toMatchObject({
      ok: false,
      errors: { speaks: expect.stringMatching(/Klingonish/) as string },
    });
    expect(checkFamily({ ...family, channel: 'pigeon' })).toMatchObject({ ok: false });
    // A form or a file of the time before names none of it.
    expect(checkFamily({ name: 'Family Tern', language: 'en' })).toEqual({ ok: true, value: family });
  });
});
