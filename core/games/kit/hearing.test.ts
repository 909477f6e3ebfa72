import { describe, expect, it } from 'vitest';
import { fact, type Operation } from '~/core/cards/facts';
import { FAMILY_WORDS } from '~/core/words/family';
import { ENGLISH, say } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { hearing } from './hearing';

const met = (op: Operation, a: number, b: number, meetings: number) => ({ fact: fact(op, a, b), meetings });

describe('what might be heard', () => {
  it('tells of what is met most often, with a fact of middling size', () => {
    expect(
      hearing([met('add', 1, 1, 2), met('add', 2, 6, 4), met('add', 9, 9, 2), met('subtract', 9, 4, 9)]),
    ).toEqual([
      { id: 'hear.subtract', args: { a: 9, b: 4, wrong: 6 } },
      { id: 'hear.add', args: { a: 6, b: 2 } },
    ]);
  });

  it('leaves out what is rare, and a slip that would be right by chance', () => {
    expect(hearing([met('add', 3, 5, 100), met('count', 4, 0, 2)]).map(({ id }) => id)).toEqual(['hear.add']);
    // 2 and 2 are 4 either way; 3 tens and 3 ones can not change places; nothing is left of 5 − 5.
    expect(hearing([met('multiply', 2, 2, 5), met('tens', 3, 3, 5), met('subtract', 5, 5, 5)])).toEqual([]);
    expect(hearing([])).toEqual([]);
  });

  it('never says a wrong answer that is right, and says all of it in both languages', () => {
    const ops = ['add', 'subtract', 'multiply', 'groups', 'tens', 'split', 'missing', 'divide'] as const;
    for (const op of ops)
      for (let a = -3; a <= 12; a++)
        for (let b = -3; b <= 12; b++)
          for (const { id, args } of hearing([met(op, a, b, 1)])) {
            if ('wrong' in args) expect(args.wrong).not.toBe(fact(op, a, b).answer);
            for (const reading of [ENGLISH, readingOf('es')])
              expect(say(reading, FAMILY_WORDS, id, args)).not.toMatch(/[{}]|undefined|NaN/);
          }
  });
});
