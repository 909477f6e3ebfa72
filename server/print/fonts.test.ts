import { settle, startOf } from '~/core/games/kit/game';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { pick, seeded } from '~/core/chance/random';
import { SHELF } from '~/core/games/shelf';
import { blank, PT_MM, type FontName } from '~/core/paper/sheet';
import { breakLines, line } from '~/core/paper/text';
import { FAMILY_WORDS } from '~/core/words/family';
import { readings } from '~/core/paper/testing';
import { say } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { measure } from './fonts';
import { pdfOf } from './pdf';

const folder = mkdtempSync(join(tmpdir(), 'fonts-'));
afterAll(() => rmSync(folder, { recursive: true }));

const FONTS: readonly FontName[] = ['body', 'bold', 'display'];
/** Lines that families read, in English and Spanish. */
const LINES = SHELF.flatMap((game) => {
  const steps = settle(game, startOf(game)).steps();
  return readings('en', 'es').flatMap((reading) =>
    steps.map(({ id, args }) => say(reading, game.words, id, args)),
  );
});

describe('the measure of a line', () => {
  it('is what the file has, from its first letter to its last', async () => {
    const random = seeded(8);
    const shown = FONTS.flatMap((font) =>
      Array.from({ length: 14 }, () => ({
        font,
        sizePt: pick([9, 11, 12.5, 18], random),
        text: pick(LINES, random),
      })),
    )
      // What fits the width of the paper.
      .map((one) => ({ ...one, text: breakLines(one.text, 180, measure, one)[0]! }));
    const sheet = blank(
      'Lines',
      'a4',
      shown.map(({ text, font, sizePt }, i) => line(15, 12 + i * 6.5, text, { sizePt, font })),
    );
    const file = join(folder, 'lines.pdf');
    const about = { title: 'Lines', author: 'Test', language: 'en' as const, madeOn: new Date(0) };
    writeFileSync(file, await pdfOf([sheet], about));
    const html = execFileSync('pdftotext', ['-bbox', file, '-'], { encoding: 'utf8' });
    const words = [...html.matchAll(/xMin="([\d.]+)" yMin="[\d.]+" xMax="([\d.]+)" yMax="([\d.]+)"/g)].map(
      (match) => ({
        left: Number(match[1]) * PT_MM,
        right: Number(match[2]) * PT_MM,
        y: Number(match[3]) * PT_MM,
      }),
    );
    shown.forEach(({ text, font, sizePt }, i) => {
      const baseline = 12 + i * 6.5;
      // The box of a word ends a little below the line on which it stands.
      const here = words.filter(({ y }) => y > baseline && y < baseline + 0.5 * sizePt * PT_MM);
      expect([text, here.length > 0]).toEqual([text, true]);
      expect([text, Math.min(...here.map(({ left }) => left))]).toEqual([text, expect.closeTo(15, 0)]);
      const width = Math.max(...here.map(({ right }) => right)) - 15;
      expect([font, text, Math.abs(width - measure(text, font, sizePt)) < 0.4]).toEqual([font, text, true]);
    });
  });

  it('grows with every word and with the size of the type', () => {
    for (const font of FONTS)
      for (const text of LINES.slice(0, 60)) {
        const words = text.split(' ');
        const widths = words.map((_, i) => measure(words.slice(0, i + 1).join(' '), font, 11));
        widths.slice(1).forEach((width, i) => expect(width).toBeGreaterThan(widths[i]!));
        expect(measure(text, font, 22)).toBeCloseTo(2 * measure(text, font, 11), 9);
      }
    expect(measure('', 'body', 11)).toBe(0);
    expect(measure(' ', 'body', 11)).toBeGreaterThan(0);
  });

  it('holds for Arabic whatever stands beside it', () => {
    for (const id of ['smallParts', 'childDid', 'players'] as const) {
      const text = say(readingOf('ar'), FAMILY_WORDS, id, { years: 3, players: 2 });
      const alone = measure(text, 'body', 12);
      expect(alone).toBeGreaterThan(10);
      const beside = measure(`${text} · yes`, 'body', 12);
      expect(Math.abs(beside - alone - measure(' · yes', 'body', 12))).toBeLessThan(0.6);
    }
  });
});

describe('lines of the real fonts', () => {
  it('are no wider than their column, and lose no word', () => {
    for (const text of LINES)
      for (const widthMm of [40, 86]) {
        const lines = breakLines(text, widthMm, measure, { sizePt: 11 });
        for (const one of lines)
          expect([one, measure(one, 'body', 11) <= widthMm + 1e-9]).toEqual([one, true]);
        // A line may end after a hyphen, where there was no blank.
        const bare = (said: string): string => said.replace(/[ \n\t]+/g, '');
        expect(bare(lines.join(''))).toBe(bare(text));
        expect(lines.length).toBeLessThanOrEqual(text.split(/[ \n\t-]+/).length);
      }
  });
});
