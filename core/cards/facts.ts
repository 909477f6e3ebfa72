/** A piece of arithmetic a child meets: 7 + 3 = 10, or the split of 6 into 2 and 4. */
export interface Fact {
  op: 'split' | 'add' | 'subtract';
  a: number;
  b: number;
  answer: number;
}

/** The split of a whole into two parts. */
export const split = (a: number, b: number): Fact => ({ op: 'split', a, b, answer: a + b });

/** How a fact is written: "2 + 4 = 6". */
export const written = (fact: Fact): string =>
  `${fact.a} ${fact.op === 'subtract' ? '−' : '+'} ${fact.b} = ${fact.answer}`;
