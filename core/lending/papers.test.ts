import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { PAPERS, type Measure, type Shape, type Sheet } from '~/core/paper/sheet';
import { readingOf } from '~/core/words/readings';
import { randomCard, showCard } from './card';
import { randomTag, showTag } from '~/core/kits/tag';
import {
  asksOf,
  cardSheets,
  handOutSheets,
  signInSheets,
  stickerSheets,
  stripSheets,
  type Strip,
} from './papers';
import { reminderText } from './reminders';

const measure: Measure = (text, _, sizePt) => text.length * sizePt * 0.17;
const on = { paper: 'letter' as const, measure, school: 'Tern Rock School' };
const random = seeded(3);
const any = fc.record({
  group: fc.constantFrom('', 'Room 1', 'Room 2'),
  family: fc.string({ minLength: 1, maxLength: 80 }).map((name) => `Family ${name}`),
});
const guests = fc.array(any, { minLength: 1, maxLength: 80 });
const promised = (list: { group: string; family: string }[]) =>
  list.map((one) => ({ ...one, language: 'English', tag: randomTag(random), kit: 'First splits' }));

const textsOf = (sheets: readonly Sheet[]): string[] =>
  sheets.flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : [])));
const cornersOf = (shape: Shape): [number, number][] =>
  shape.kind === 'rect'
    ? [
        [shape.x, shape.y],
        [shape.x + shape.width, shape.y + shape.height],
      ]
    : shape.kind === 'line'
      ? [
          [shape.x1, shape.y1],
          [shape.x2, shape.y2],
        ]
      : shape.kind === 'text'
        ? [[shape.x, shape.y]]
        : [];
/** Everything lies on the paper. */
function onPaper(sheets: readonly Sheet[]): void {
  const { widthMm, heightMm } = PAPERS[on.paper];
  for (const [x, y] of sheets.flatMap(({ shapes }) => shapes.flatMap(cornersOf)))
    expect(x >= 0 && x <= widthMm && y >= 0 && y <= heightMm).toBe(true);
}

describe('lists of the lending desk', () => {
  it('name each bag once, class by class, on as many pages as it takes', () => {
    fc.assert(
      fc.property(guests, (list) => {
        const bags = promised(list);
        const sheets = handOutSheets(bags, 'Thu, Dec 3', on);
        onPaper(sheets);
        const texts = textsOf(sheets);
        for (const { tag } of bags)
          expect(texts.filter((text) => text === showTag(tag)).length).toBe(
            bags.filter((one) => one.tag === tag).length,
          );
        // No page has families of two classes.
        for (const sheet of sheets) {
          const tags = bags.filter(({ tag }) => textsOf([sheet]).includes(showTag(tag)));
          expect(new Set(tags.map(({ group }) => group)).size).toBeLessThanOrEqual(1);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('cut what is too long, and leave what fits', () => {
    const long = signInSheets(
      [
        { group: 'Room 1', family: 'Family '.repeat(30), language: 'English' },
        { group: 'Room 1', family: 'Family Auk', language: 'English' },
      ],
      'Evening',
      on,
    );
    expect(textsOf(long)).toContain('Family Auk');
    expect(textsOf(long).some((text) => text.endsWith('…') && text.startsWith('Family Family'))).toBe(true);
  });

  it('have a sticker for each bag, and cut lines around it', () => {
    fc.assert(
      fc.property(guests, (list) => {
        const bags = promised(list);
        const sheets = stickerSheets(bags, 'Thu, Dec 3', on);
        onPaper(sheets);
        expect(
          sheets.flatMap(({ shapes }) => shapes).filter((one) => one.kind === 'rect' && one.dashMm),
        ).toHaveLength(bags.length);
      }),
      { numRuns: 40 },
    );
  });
});

describe('family cards', () => {
  it('name nobody; who they belong to stands on a list of its own', () => {
    fc.assert(
      fc.property(guests, (list) => {
        const cards = list.map((one) => ({ ...one, card: randomCard(random) }));
        const sheets = cardSheets(cards, on);
        onPaper(sheets);
        const faces = sheets.filter(({ title }) => title === 'Family cards');
        const key = sheets.filter(({ title }) => title !== 'Family cards');
        expect(textsOf(faces).join('\n')).not.toContain('Family ');
        for (const { card } of cards)
          expect([
            textsOf(faces).filter((text) => text === showCard(card)).length,
            textsOf(key).filter((text) => text === showCard(card)).length,
          ]).toEqual([1, 1]);
      }),
      { numRuns: 40 },
    );
  });
});

describe('reminders on paper', () => {
  const strip = (language: string, i: number): Strip => {
    const reading = readingOf(language);
    const address = `https://baskets.invalid/a/${i}`;
    return {
      group: `Room ${i % 3}`,
      family: `Family ${i}`,
      language,
      address,
      asks: asksOf(i % 4 === 3 ? 'offer' : 'reminder'),
      reading,
      text: reminderText(reading, {
        family: `Family ${i}`,
        school: 'Tern Rock School',
        bags: Array.from({ length: 1 + (i % 3) }, (_, b) => ({
          loanId: `${b}`,
          kitName: 'First splits',
          dueOn: '2026-12-03',
          stage: 'before' as const,
        })),
        next: '2026-12-04',
        address,
        marked: false,
      }).text,
    };
  };
  it('stand several on a sheet, none across two, in every language, with the address in a square alone', () => {
    const strips = ['en', 'es', 'ar', 'pt'].flatMap((language, l) =>
      Array.from({ length: 6 }, (_, i) => strip(language, l * 6 + i)),
    );
    const sheets = stripSheets(strips, on);
    onPaper(sheets);
    const texts = textsOf(sheets);
    expect(texts.join('\n')).not.toContain('baskets.invalid');
    for (const { family, group } of strips)
      expect(texts.filter((text) => text === `${group}: ${family}`)).toHaveLength(1);
    expect(sheets.length).toBeLessThan(strips.length / 2);
    const boxes = sheets.flatMap(({ shapes }) =>
      shapes.filter((one) => one.kind === 'rect' && one.width === 4),
    );
    expect(boxes).toHaveLength(3 * strips.filter(({ asks }) => asks.length).length);
  });
  it('are none where nobody is reminded on paper', () => {
    expect(stripSheets([], on)).toEqual([]);
  });
});
