import { describe, expect, it } from 'vitest';
import { gameOf, SHELF } from '~/core/games/shelf';
import { PAPERS, type Paper, type Shape } from '~/core/paper/sheet';
import { readingOf } from '~/core/words/readings';
import { measure } from '../print/fonts';
import { linesOnce, ordinary } from '~/core/pack/desk';
import { proofSheets } from '~/core/pack/proof';

const linesOf = (gameId: string, language: string) =>
  linesOnce([ordinary(gameOf(gameId))], readingOf(language)).map(({ home, id, args, english, message }) => ({
    sourceId: home,
    messageId: id,
    args,
    english,
    ...(message === undefined ? {} : { message }),
  }));
const sheets = (gameId: string, language: string, paper: Paper) =>
  proofSheets(linesOf(gameId, language), { kit: 'A kit', language, code: 'Nov 26', paper, measure });
const texts = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'text');

describe('a proof on paper', () => {
  it('numbers every line once, in order, over as many pages as it takes', () => {
    const lines = linesOf('two-tone-spill', 'es');
    const numbers = sheets('two-tone-spill', 'es', 'letter').flatMap(({ shapes }) =>
      texts(shapes).flatMap(({ text, font }) =>
        font === 'bold' && /^\d+$/.test(text) ? [Number(text)] : [],
      ),
    );
    expect(numbers).toEqual(lines.map((_, i) => i + 1));
  });

  it('lets no text leave the paper, in any language that ships, on Letter and A4', () => {
    for (const language of ['es', 'pt', 'ar', 'vi', 'zh-Hans', 'so'])
      for (const paper of ['letter', 'a4'] as const)
        for (const game of SHELF.filter((_, i) => i % 5 === 0)) {
          const { widthMm, heightMm } = PAPERS[paper];
          for (const { shapes } of sheets(game.id, language, paper))
            for (const { text, x, y, anchor, font, sizePt, language: of } of texts(shapes)) {
              const width = measure(text, font ?? 'body', sizePt, of);
              const left = anchor === 'end' ? x - width : anchor === 'middle' ? x - width / 2 : x;
              expect([
                game.id,
                language,
                text,
                left >= 5,
                left + width <= widthMm - 5,
                y <= heightMm - 5,
              ]).toEqual([game.id, language, text, true, true, true]);
            }
        }
  });

  it('shows a line in each form that its numbers take', () => {
    const said = sheets('two-tone-spill', 'ar', 'a4')
      .flatMap(({ shapes }) => texts(shapes).map(({ text }) => text))
      .join('\n');
    for (const n of [6, 1, 2, 12]) expect(said).toContain(`Put ${n} two-color counter`);
  });
});
