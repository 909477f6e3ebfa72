import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkJson } from '~/core/check/check';
import { slipSheets } from '~/core/pack/slip';
import { contextOf, saidOn } from '~/core/paper/testing';
import { answerSchema } from './answer';
import { readSlip, slipSentence } from './slip';
import { SLIP_QUESTIONS } from '~/core/pack/questions';

const problem = (text: string): string => {
  const reading = readSlip(text);
  return reading.ok ? 'read' : reading.problem;
};

describe('a slip that is typed in', () => {
  it('is its number and a digit for each question', () => {
    const reading = readSlip('k7m4-w 213421');
    expect(reading).toMatchObject({
      ok: true,
      tag: 'K7M4W',
      answer: { children: 2, grownUps: 1, times: 3, minutes: 20, level: 'justRight' },
    });
    expect(reading.ok && reading.answer.missing).toMatch(/paper slip/);
    expect(readSlip('K7M4W213421')).toEqual(reading);
    expect(reading.ok && slipSentence(reading.answer)).toBe(
      '2 children, 1 grown-up, played 3 times, about 20 minutes each time, just right, something was missing or broken.',
    );
  });

  it('leaves out what is not ticked', () => {
    const reading = readSlip('K7M4W 000030');
    expect(reading.ok && reading.answer).toEqual({ level: 'tooHard', missing: '' });
    expect(slipSentence({ missing: '' })).toBe('Nothing else is ticked.');
    expect(slipSentence({ missing: '', times: 1 })).toBe('played once.');
  });

  it('gives only answers that can be kept', () => {
    fc.assert(
      fc.property(
        fc.tuple(...SLIP_QUESTIONS.map(({ boxes }) => fc.integer({ min: 0, max: boxes.length }))),
        (digits) => {
          const reading = readSlip(`K7M4W ${digits.join('')}`);
          // A slip on which nothing is ticked is no answer.
          if (digits.every((digit) => digit === 0)) {
            expect(reading.ok).toBe(false);
            return;
          }
          expect(reading.ok).toBe(true);
          const answer = reading.ok && { ...reading.answer, childDid: '', anythingElse: '' };
          const kept = Object.fromEntries(Object.entries(answer).filter(([, value]) => value !== undefined));
          expect(checkJson(answerSchema, kept).ok).toBe(true);
        },
      ),
    );
  });

  it.each([
    ['', 'Type the number of the slip first, such as K7M4-W.'],
    ['K7M4', 'Type the number of the slip first, such as K7M4-W.'],
    ['HELLO 123456', 'HELLO is not the number of a slip. It stands at the top right, such as K7M4-W.'],
    ['K7M4W 21342', 'There are 6 questions, and 5 digits. Type 0 where nothing is ticked.'],
    ['K7M4W 2', 'There are 6 questions, and 1 digit. Type 0 where nothing is ticked.'],
    ['K7M4W 2134210', 'There are 6 questions, and 7 digits. Type 0 where nothing is ticked.'],
    ['K7M4W 21342x', 'After the number come digits only: one for each question.'],
    ['K7M4W 253421', 'Question 2 has boxes 1 to 4; 5 was typed.'],
    ['K7M4W 000000', 'Nothing is ticked on the slip of K7M4-W: there is nothing to keep.'],
  ])('refuses “%s” with what is wrong', (text, sentence) => {
    expect(problem(text)).toBe(sentence);
  });

  it('tells a number that was misread', () => {
    expect(problem('K7M4T 213421')).toMatch(/K7M4|mis|wrong|check/i);
  });
});

describe('the printed slip', () => {
  it('has the same questions and boxes as what is typed, two slips on a page', () => {
    const copies = ['K7M4W', '3CYRF', 'TCMFC'].map((tag) => ({ tag, kitName: 'First splits' }));
    const sheets = slipSheets(copies, contextOf());
    expect(sheets.map((sheet) => sheet.pieces!.map(({ name }) => name))).toEqual([
      ['K7M4W', '3CYRF'],
      ['TCMFC'],
    ]);
    const [last] = sheets.slice(-1);
    const boxes = last!.shapes.filter((shape) => shape.kind === 'rect' && !shape.dashMm);
    expect(boxes).toHaveLength(SLIP_QUESTIONS.reduce((sum, { boxes: all }) => sum + all.length, 0));
    const said = saidOn(last!);
    expect(said).toContain('TCMF-C');
    // The digit of every box stands before it.
    for (let digit = 1; digit <= 5; digit++)
      expect(said.filter((text) => text === String(digit)).length).toBeGreaterThanOrEqual(
        SLIP_QUESTIONS.filter(({ boxes: all }) => all.length >= digit).length,
      );
    expect(said.join(' ')).toMatch(/demasiado fácil/);
    expect(said.join(' ')).toMatch(/too easy/);
  });
});
