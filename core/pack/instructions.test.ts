import { hearing } from '~/core/games/kit/hearing';
import { isCoaching } from '~/core/games/kit/steps';
import { placesOf } from '~/core/games/kit/types';
import { startOf } from '~/core/games/kit/game';
import { open } from '~/core/own/open';
import { describe, expect, it } from 'vitest';
import { gameOf, SHELF } from '~/core/games/shelf';
import { recipeOf } from '~/core/kits/recipe';
import { FAMILY_WORDS, type FamilyMessage } from '~/core/words/family';
import type { Language } from '~/core/words/languages';
import { ENGLISH, saidIn, say } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { instructionSheets, missingLines, type InstructionSource } from './instructions';
import { MARGIN_MM, PAPERS, type Shape, type SheetContext } from '~/core/paper/sheet';
import { boxOf, contextOf, evenly, PAPER_NAMES, saidOn, readings } from '~/core/paper/testing';

const sourceOf = (id: string, change: Partial<InstructionSource> = {}): InstructionSource => {
  const game = gameOf(id);
  const params = startOf(game);
  const plan = {
    ageBand: 'g1' as const,
    players: 2,
    assurance: 'usual' as const,
    variants: [{ gameId: id, name: id, params }],
  };
  const [variant] = recipeOf(plan).variants;
  return {
    variant: open(variant!.variant),
    players: 2,
    minutes: 12,
    parts: variant!.parts,
    unchecked: [],
    heard: hearing(variant!.reckoning.practice),
    contact: 'the family room, 555 0142',
    linked: true,
    ...change,
  };
};
const sheetsOf = (id: string, context: Partial<SheetContext> = {}, change: Partial<InstructionSource> = {}) =>
  instructionSheets(sourceOf(id, change), contextOf(context));
const textsOf = (shapes: readonly Shape[]) => shapes.filter((shape) => shape.kind === 'text');
/** The words of a column, its lines put together again. */
const wordsIn = (sheets: readonly { shapes: readonly Shape[] }[], language: Language): string =>
  sheets
    .flatMap(({ shapes }) => textsOf(shapes))
    .filter((shape) => shape.language === language)
    .map(({ text }) => text)
    .join(' ');

describe.each(SHELF)('the instructions of $id', (game) => {
  it('say every step in both languages, whole and in order', () => {
    const source = sourceOf(game.id);
    const sheets = instructionSheets(source, contextOf());
    // A word may be broken where it has a hyphen: blanks count for nothing.
    const together = (text: string): string => text.replace(/\s+/g, '');
    for (const language of ['es', 'en'] as const) {
      const words = together(wordsIn(sheets, language));
      const lineOf = ({ id, args }: { id: string; args?: Record<string, unknown> }): string =>
        together(say(readingOf(language), game.words, id, args as never));
      let at = -1;
      // What is not worded yet is said in English, in the place of its language.
      const worded = ({ id }: { id: string }): boolean =>
        saidIn(readingOf(language), game.words, id) === language;
      for (const step of source.variant.steps().filter((one) => one.part === 'turn' && worded(one))) {
        const found = words.indexOf(lineOf(step), at + 1);
        expect([step.id, found > at]).toEqual([step.id, true]);
        at = found;
      }
      const steps = source.variant.steps().filter(worded);
      for (const step of steps.filter((one) => !isCoaching(one))) expect(words).toContain(lineOf(step));
      // What is said while playing stands there too, all of it or, where it would take a third page, none of it.
      const coached = steps.filter(isCoaching).map((step) => words.includes(lineOf(step)));
      expect(new Set(coached).size).toBeLessThanOrEqual(1);
      expect(coached.length).toBeLessThanOrEqual(2);
    }
  });

  it('say what might be heard, where the game can be played, and how the school is reached', () => {
    const source = sourceOf(game.id);
    const words = wordsIn(instructionSheets(source, contextOf()), 'es').replace(/\s+/g, '');
    const has = (text: string): boolean => words.includes(text.replace(/\s+/g, ''));
    const said = (id: FamilyMessage, args = {}) => say(readingOf('es'), FAMILY_WORDS, id, args);
    expect(source.heard.length).toBeLessThanOrEqual(2);
    // All of it or, where it would take a third page, none of it.
    expect(new Set(source.heard.map(({ id, args }) => has(said(id, args)))).size).toBeLessThanOrEqual(1);
    for (const place of placesOf(game)) expect(has(said(place))).toBe(true);
    expect(has(said('reachUs', { contact: source.contact! }))).toBe(true);
  });

  it('say what a grown-up says most often in a play, next to what else can be said', () => {
    const words = wordsIn(instructionSheets(sourceOf('row-call'), contextOf()), 'en').replace(/\s+/g, ' ');
    expect(words).toContain('Did everybody find theirs?');
  });

  it('show at most four drawings, each with the number of its step', () => {
    const source = sourceOf(game.id);
    const [first] = instructionSheets(source, contextOf());
    const frames = first!.shapes.filter(
      (shape) => shape.kind === 'rect' && shape.width === 42 && shape.height === 25.2,
    );
    expect(frames.length).toBeLessThanOrEqual(4);
    const numbered = source.variant
      .steps()
      .filter(({ part }) => part === 'setUp' || part === 'turn' || part === 'end');
    const drawn = numbered.filter((step) => source.variant.picture(step));
    expect(frames).toHaveLength(Math.min(4, drawn.length));
    // The discs with a number stand in the frames, and their numbers rise.
    const numbers = textsOf(first!.shapes)
      .filter(({ fill, text }) => fill === '#FFFFFF' && /^\d+$/.test(text))
      .map(({ text }) => Number(text));
    expect(numbers).toHaveLength(frames.length);
    expect([...numbers].sort((a, b) => a - b)).toEqual(numbers);
  });
});

describe('an instruction sheet', () => {
  it('numbers the steps of getting ready, playing and finishing in one run', () => {
    const source = sourceOf('harvest-mat');
    const sheets = instructionSheets(source, contextOf());
    const steps = source.variant
      .steps()
      .filter(({ part }) => part === 'setUp' || part === 'turn' || part === 'end');
    const numbers = sheets
      .flatMap(({ shapes }) => textsOf(shapes))
      .filter(({ anchor, text, fill }) => anchor === 'end' && /^\d+$/.test(text) && fill !== '#FFFFFF')
      .map(({ text }) => Number(text));
    expect(numbers).toEqual(steps.map((_, i) => i + 1));
  });

  it('has a box for each part and says what can stand in for it', () => {
    const source = sourceOf('skyline-rolls');
    const sheets = instructionSheets(source, contextOf());
    const boxes = sheets
      .flatMap(({ shapes }) => shapes)
      .filter((shape) => shape.kind === 'rect' && shape.width === 3 && shape.height === 3);
    expect(boxes).toHaveLength(source.parts.length);
    expect(wordsIn(sheets, 'en')).toContain('dry beans, pasta or buttons');
    expect(wordsIn(sheets, 'es')).toContain('o bien');
  });

  it('leaves a place for the square of a copy only when it belongs to one', () => {
    const sheets = sheetsOf('two-tone-spill');
    const { square, shapes } = sheets.at(-1)!;
    expect(sheets.slice(0, -1).every((sheet) => sheet.square === undefined)).toBe(true);
    expect(square!.x + square!.w).toBeLessThanOrEqual(PAPERS.letter.widthMm - MARGIN_MM);
    expect(square!.y + square!.h).toBeLessThanOrEqual(PAPERS.letter.heightMm - MARGIN_MM);
    // Nothing is printed where it will stand.
    for (const shape of shapes) {
      const box = boxOf(shape, evenly);
      const apart =
        box.right <= square!.x ||
        box.left >= square!.x + square!.w ||
        box.bottom <= square!.y ||
        box.top >= square!.y + square!.h;
      expect([JSON.stringify(shape).slice(0, 80), apart]).toEqual([JSON.stringify(shape).slice(0, 80), true]);
    }
    const without = sheetsOf('two-tone-spill', {}, { linked: false });
    expect(without.every((sheet) => sheet.square === undefined)).toBe(true);
    expect(without.flatMap(saidOn).join(' ')).not.toContain(say(ENGLISH, FAMILY_WORDS, 'scan').slice(0, 20));
  });

  it.each(PAPER_NAMES)('is larger in large print on %s, and begins a document of its own', (paper) => {
    const size = (large: boolean) => {
      const sheets = sheetsOf('row-call', { paper }, { large });
      expect(sheets.map((sheet) => Boolean(sheet.begins))).toEqual(sheets.map((_, i) => i === 0));
      return Math.min(
        ...sheets.flatMap(({ shapes }) =>
          textsOf(shapes).flatMap((shape) => (shape.language ? [shape.sizePt] : [])),
        ),
      );
    };
    expect(size(false)).toBeGreaterThanOrEqual(11);
    expect(size(true)).toBeGreaterThanOrEqual(16);
  });

  it('in one language uses the whole width, and in two keeps them apart', () => {
    const widest = (languages: Language[]) =>
      Math.max(
        ...sheetsOf('row-call', { readings: readings(...languages) })
          .flatMap(({ shapes }) => textsOf(shapes))
          // What stands beside the square code has a place of its own.
          .filter(({ language, text }) => language === 'en' && !text.startsWith('Scan'))
          .map((shape) => evenly(shape.text, shape.font, shape.sizePt)),
      );
    expect(widest(['en'])).toBeGreaterThan(1.5 * widest(['es', 'en']));
    const [sheet] = sheetsOf('row-call');
    const columns = (['es', 'en'] as const).map((language) =>
      textsOf(sheet!.shapes)
        .filter((shape) => shape.language === language)
        .map((shape) => boxOf(shape, evenly)),
    );
    expect(Math.max(...columns[0]!.map(({ right }) => right))).toBeLessThan(
      Math.min(...columns[1]!.map(({ left }) => left)),
    );
  });

  it('notes at the foot of every page what is unchecked and what is in English', () => {
    const spanish = sheetsOf('row-call', {}, { unchecked: ['es'] });
    for (const sheet of spanish)
      expect(saidOn(sheet)).toContain(say(readingOf('es'), FAMILY_WORDS, 'unchecked'));
    const somali = sheetsOf('row-call', { readings: readings('so', 'en') }, { unchecked: ['so'] });
    for (const sheet of somali) {
      expect(saidOn(sheet)).toContain('EN: in English');
      expect(saidOn(sheet).some((text) => text.startsWith('EN · '))).toBe(true);
    }
    expect(missingLines(sourceOf('row-call').variant, readingOf('es'))).toEqual([]);
  });
});
