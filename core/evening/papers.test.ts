import { describe, expect, it } from 'vitest';
import { PAPERS, type Shape } from '~/core/paper/sheet';
import { readingOf } from '~/core/words/readings';
import { groupCards, hostCards, doorSheets, tableSigns } from './papers';
import { emptyPlan, type EveningPlan } from './plan';
import { evening } from './rotation';

const WHEN = { name: 'Game night', startsAt: '17:30', rounds: 2, roundMinutes: 12, changeMinutes: 3 };
/** So wide is a letter, in millimetres of its size in points. */
const on = (paper: 'letter' | 'a4') => ({
  paper,
  measure: (text: string, _font: string, sizePt: number) => text.length * sizePt * 0.18,
});
const plan: EveningPlan = {
  ...emptyPlan(WHEN),
  groups: [
    { id: 'Spanish', size: 9, languages: ['es'], band: 'K' },
    { id: 'Arabic 1', size: 90, languages: ['ar'], band: 'g1' },
    { id: 'Arabic 2', size: 12, languages: ['ar'], band: 'K' },
  ],
  tables: [
    {
      id: 'T1',
      seats: 120,
      game: { gameId: 'two-tone-spill', name: 'Two-Tone Spill, five', params: {}, ageBand: 'K' },
    },
    { id: 'T2', seats: 120 },
  ],
  helpers: [{ id: 'Amal', languages: ['ar', 'en'] }],
  hallRules: 'At most 120 people.\nDoors stay open.\nNo food.\nA fourth that has no room.',
};
const texts = (shapes: readonly Shape[]): string[] =>
  shapes.flatMap((shape) => ('text' in shape ? [String(shape.text)] : []));
const printed = async () => ({
  name: 'Game night',
  plan,
  rotation: await evening({
    rounds: 2,
    groups: plan.groups.map(({ id, size, languages }) => ({ id, size, languages })),
    tables: plan.tables.map(({ id, seats }) => ({ id, seats })),
    helpers: plan.helpers,
  }),
  readings: ['en', 'es', 'ar'].map((one) => readingOf(one)),
  times: ['5:30 PM', '5:45 PM'],
});
/** Every shape with a place lies on its page. */
function within(shapes: readonly Shape[], paper: 'letter' | 'a4'): void {
  const { widthMm, heightMm } = PAPERS[paper];
  for (const shape of shapes) {
    const points =
      shape.kind === 'line'
        ? [
            [shape.x1, shape.y1],
            [shape.x2, shape.y2],
          ]
        : 'x' in shape && 'y' in shape
          ? [[Number(shape.x), Number(shape.y)]]
          : [];
    for (const [x, y] of points) {
      expect(x).toBeGreaterThanOrEqual(0);
      expect(x).toBeLessThanOrEqual(widthMm);
      expect(y).toBeGreaterThanOrEqual(0);
      expect(y).toBeLessThanOrEqual(heightMm);
    }
  }
}

describe('sheets to sign in on', () => {
  it('are there for each language that comes, with a line for everybody and more', async () => {
    for (const paper of ['letter', 'a4'] as const) {
      const sheets = doorSheets(await printed(), on(paper));
      const of = (title: string) => sheets.filter((sheet) => sheet.title.includes(title));
      expect(of('Spanish')).toHaveLength(1);
      // 102 people are 34 families: more than one page holds.
      expect(of('Arabic').length).toBeGreaterThan(1);
      const boxes = of('Arabic').flatMap(({ shapes }) => shapes.filter(({ kind }) => kind === 'rect')).length;
      expect(boxes).toBeGreaterThanOrEqual(34);
      for (const { shapes } of sheets) within(shapes, paper);
      expect(texts(of('Spanish')[0]!.shapes).join(' ')).toContain('Bienvenidos');
    }
  });

  it('are read from the right where the language is', async () => {
    const [sheet] = doorSheets(await printed(), on('letter')).filter(({ title }) => title.includes('Arabic'));
    const boxes = sheet!.shapes.filter((shape) => shape.kind === 'rect');
    for (const box of boxes) expect(box.x).toBeLessThan(PAPERS.letter.widthMm / 2);
  });
});

describe('papers of an evening', () => {
  it('have a card for every game, with the rules of the district on it', async () => {
    const sheets = hostCards(await printed(), on('letter'));
    expect(sheets).toHaveLength(1);
    const said = texts(sheets[0]!.shapes).join(' ');
    expect(said).toContain('In this hall');
    expect(said).toContain('Doors stay open.');
    expect(said).not.toContain('A fourth');
    expect(said).toContain('Three things to say');
  });

  it('have a sign for every table, and a way for every group', async () => {
    const all = await printed();
    expect(tableSigns(all, on('letter'))).toHaveLength(2);
    const ways = groupCards(all, on('letter'));
    expect(ways).toHaveLength(2);
    for (const sheet of [...ways, ...tableSigns(all, on('a4'))]) within(sheet.shapes, 'letter');
  });
});
