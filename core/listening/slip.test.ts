import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { checkJson } from '~/core/check/check';
import { slipSheets } from '~/core/pack/slip';
import { contextOf, saidOn } from '~/core/paper/testing';
import { answerSchema } from './answer';
import { readSlip, slipSentence } from './slip';
import { slipQuestions } from '~/core/pack/questions';

const problem = (text: string, games = 1): string => {
  const reading = readSlip(text, games);
  return reading.ok ? 'read' : reading.problem;
};

describe('a slip that is typed in', () => {
  it('is its number and a digit for each question', () => {
    const reading = readSlip('k7m4-w 213421', 1);
    expect(reading).toMatchObject({
      ok: true,
      tag: 'K7M4W',
      answer: { children: 2, grownUps: 1, times: 3, minutes: 20 },
      games: [{ position: 0, said: 'justRight' }],
    });
    expect(reading.ok && reading.answer.missing).toMatch(/paper slip/);
    expect(readSlip('K7M4W213421', 1)).toEqual(reading);
    expect(reading.ok && slipSentence(reading, ['Spill six'])).toBe(
      '2 children, 1 grown-up, played 3 times, about 20 minutes each time, just right, something was missing or broken.',
    );
  });

  it('leaves out what is not ticked', () => {
    const reading = readSlip('K7M4W 000030', 1);
    expect(reading).toMatchObject({ ok: true, answer: { missing: '' }, games: [{ said: 'tooHard' }] });
    expect(slipSentence({ answer: { missing: '' }, games: [] }, [])).toBe('Nothing else is ticked.');
    expect(slipSentence({ answer: { missing: '', times: 1 }, games: [] }, [])).toBe('played once.');
  });

  it('asks of each game how it was', () => {
    const reading = readSlip('K7M4W 0000 1032', 3);
    expect(reading).toMatchObject({
      ok: true,
      games: [
        { position: 0, said: 'tooEasy' },
        { position: 2, said: 'tooHard' },
      ],
    });
    expect(reading.ok && slipSentence(reading, ['Six', 'Ten', 'Five'])).toBe('Six too easy, Five too hard.');
    expect(problem('K7M4W 213421', 3)).toMatch(/^There are 8 questions, and 6 digits\. The bag has 3 games/);
  });

  it('gives only answers that can be kept', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 5 })
          .chain((games) =>
            fc
              .tuple(...slipQuestions(games).map(({ boxes }) => fc.integer({ min: 0, max: boxes.length })))
              .map((digits) => ({ games, digits })),
          ),
        ({ games, digits }) => {
          const reading = readSlip(`K7M4W ${digits.join('')}`, games);
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
    const sheets = slipSheets(copies, () => ['Spill six', 'Spill ten'], contextOf());
    expect(sheets.map((sheet) => sheet.pieces!.map(({ name }) => name))).toEqual([
      ['K7M4W', '3CYRF'],
      ['TCMFC'],
    ]);
    const [last] = sheets.slice(-1);
    const boxes = last!.shapes.filter((shape) => shape.kind === 'rect' && !shape.dashMm);
    expect(boxes).toHaveLength(slipQuestions(2).reduce((sum, { boxes: all }) => sum + all.length, 0));
    const said = saidOn(last!);
    expect(said).toContain('TCMF-C');
    // The digit of every box stands before it.
    for (let digit = 1; digit <= 5; digit++)
      expect(said.filter((text) => text === String(digit)).length).toBeGreaterThanOrEqual(
        slipQuestions(2).filter(({ boxes: all }) => all.length >= digit).length,
      );
    expect(said.join(' ')).toMatch(/demasiado fácil/);
    expect(said.join(' ')).toMatch(/too easy/);
  });

  it('takes a page of its own where a bag has many games, and leaves nothing out', () => {
    const games = Array.from({ length: 8 }, (_, i) => `Game ${'x'.repeat(i)}`);
    const sheets = slipSheets(
      ['K7M4W', '3CYRF'].map((tag) => ({ tag, kitName: 'Many' })),
      () => games,
      contextOf(),
    );
    expect(sheets).toHaveLength(2);
    for (const sheet of sheets) {
      const [piece] = sheet.pieces!;
      const boxes = sheet.shapes.filter((shape) => shape.kind === 'rect' && !shape.dashMm);
      expect(boxes).toHaveLength(slipQuestions(8).reduce((sum, { boxes: all }) => sum + all.length, 0));
      for (const box of boxes)
        if (box.kind === 'rect') expect(box.y + box.height).toBeLessThan(piece!.y + piece!.h);
    }
  });
});
