import { renderToStaticMarkup } from 'react-dom/server';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { USUAL_PRINTING } from '~/core/pack/cost';
import { blank, type Shape } from '~/core/paper/sheet';
import { line } from '~/core/paper/text';
import { SheetFile, SheetView } from '~/app/game/SheetView';
import { PackPages } from './PackPages';
import { PackReckonings } from './PackReckonings';

const work = (change = {}) => ({
  pages: 12,
  sheets: 9,
  pouches: 0,
  cuts: 17,
  minutes: 14,
  costCents: 38,
  ...change,
});
const kit = (change = {}) => ({
  kits: ['First splits'],
  work: work(),
  cost: { plainCents: 32, durableCents: 40, paysFrom: 13 },
  ...change,
});
const text = (html: string): string =>
  html
    .replace(/<style.*?<\/style>/gs, '')
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ');

describe('the reckonings of a pack', () => {
  const shown = (change = {}) =>
    text(
      renderToStaticMarkup(
        <MemoryRouter>
          <PackReckonings
            all={work({ pages: 480, sheets: 360, cuts: 680, minutes: 560, costCents: 1520 })}
            each={[kit()]}
            copies={40}
            twoSided
            finish="plain"
            paper="letter"
            loans={10}
            printing={USUAL_PRINTING}
            {...change}
          />
        </MemoryRouter>,
      ),
    );
  it('say all and one, with what they are reckoned with', () => {
    const said = shown();
    expect(said).toMatch(/Pages 480 for 40 copies 12 pages for one copy/);
    expect(said).toMatch(/Work 9\.3 hours/);
    expect(said).toMatch(/7 seconds a cut, 42 an outline, 36 a pouch, 180 a bag/);
    expect(said).toMatch(/\$15\.20 \$0\.38 for one copy/);
    expect(said).toMatch(/if it goes out 10 times \$0\.40 durable, \$0\.32 plain/);
    expect(said).toContain('no dearer from 13 loans on');
    expect(said).toContain('Laminating pouches: $19.00 for 100');
    expect(said).not.toContain('Pouches 0');
  });
  it('tell one copy kit by kit where they differ, and once where they do not', () => {
    const other = kit({ kits: ['Market day'], work: work({ pages: 20, costCents: 66 }) });
    expect(shown({ each: [kit(), other] })).toContain(
      'For one copy 12 pages (First splits), 20 pages (Market day).',
    );
    expect(shown({ each: [kit(), other] })).toContain('Paper of one loan of Market day');
    expect(shown({ each: [kit({ kits: ['First splits', 'Market day'] })] })).toContain(
      '12 pages for one copy',
    );
  });
  it('say so when durable never pays, and when there is one copy only', () => {
    const said = shown({
      copies: 1,
      all: work({ pouches: 6 }),
      each: [kit({ cost: { plainCents: 2, durableCents: 9 } })],
      finish: 'durable',
      twoSided: false,
      loans: 1,
    });
    expect(said).toContain('Durable never pays here');
    expect(said).toContain('if it goes out once');
    expect(said).toContain('pages with a back are fed again');
    expect(said).toMatch(/Pouches 6/);
    expect(said).not.toContain('for one copy');
  });
  it('name the prices and the wear of the school, and lead there who may change them', () => {
    const said = shown({
      printing: { ...USUAL_PRINTING, pouchCents: 2450, pouchSize: 50, durableLoans: 1 },
      each: [kit({ cost: { plainCents: 2, durableCents: 9 } })],
    });
    expect(said).toContain('Laminating pouches: $24.50 for 50');
    expect(said).toContain('made anew after 1 loan.');
    expect(said).not.toContain('Change prices');
    expect(shown({ pricesAt: '/print/prices?paper=a4' })).toContain('Change prices and times');
  });
});

describe('the pages of a pack', () => {
  it('have a picture and a file each, with the very choices that are shown', () => {
    const html = renderToStaticMarkup(
      <PackPages
        label="Pages of K7M4-W"
        pages={[
          { title: 'Mat', back: false, widthMm: 210, heightMm: 297 },
          { title: 'Mat', back: true, widthMm: 210, heightMm: 297 },
        ]}
        query="paper=a4&copy=x"
      />,
    );
    expect(html).toContain('src="/print/page.svg?paper=a4&amp;copy=x&amp;page=2"');
    expect(html).toContain('alt="Page 1: Mat"');
    expect(html).toMatch(/href="[^"]*page=2&amp;save=1" download="page-2\.svg"/);
    expect(text(html)).toContain('2. Mat (back of the page before)');
    const bare = renderToStaticMarkup(
      <PackPages label="x" pages={[{ title: 'a', back: false, widthMm: 1, heightMm: 1 }]} query="" />,
    );
    expect(bare).toContain('src="/print/page.svg?page=1"');
  });
});

describe('a sheet as SVG', () => {
  const shapes: Shape[] = [
    line(20, 30, 'كيف نلعب', { sizePt: 12, language: 'ar', anchor: 'end' }),
    line(20, 40, 'How to play', { sizePt: 12, font: 'bold', language: 'en' }),
    { kind: 'path', d: 'M0 0 L5 5', stroke: '#000000', strokeMm: 1, round: true, says: '7' },
    { kind: 'rect', x: 1, y: 2, width: 3, height: 4, radius: 1, stroke: '#000000', dashMm: [2, 1] },
    { kind: 'line', x1: 0, y1: 0, x2: 1, y2: 1, stroke: '#000000' },
    { kind: 'circle', x: 5, y: 6, radius: 2, fill: '#123456' },
    { kind: 'image', x: 1, y: 1, width: 9, height: 9, data: 'data:image/png;base64,AA', says: 'The school' },
  ];
  const sheet = blank('Mat', 'a4', shapes);

  it('is to scale, with its title, its fonts and what drawings say', () => {
    const svg = renderToStaticMarkup(<SheetFile sheet={sheet} fonts="@font-face{}" />);
    expect(svg).toMatch(/^<svg[^>]* width="210mm" height="297mm" viewBox="0 0 210 297">/);
    expect(svg).toContain('<title>Mat</title><style>@font-face{}</style>');
    expect(svg).toMatch(/stroke-linecap="round" stroke-linejoin="round"><title>7<\/title>/);
    expect(svg).toMatch(/<rect[^>]* rx="1"[^>]* stroke-dasharray="2 1"/);
    expect(svg).toMatch(/<circle cx="5" cy="6" r="2" fill="#123456"/);
    expect(svg).toMatch(/<image[^>]*href="data:image\/png;base64,AA"><title>The school<\/title>/);
  });

  it('sets right-to-left text at the side of the paper that is meant', () => {
    const svg = renderToStaticMarkup(<SheetView sheet={sheet} label="Page 1" />);
    // The end of the paper is where a right-to-left line starts.
    expect(svg).toMatch(
      /text-anchor="start"[^>]*direction="rtl"[^>]*lang="ar"|direction="rtl"[^>]*text-anchor="start"/,
    );
    expect(svg).toMatch(/font-weight="700"[^>]*text-anchor="start"[^>]*lang="en"/);
    expect(svg).toContain('aria-label="Page 1"');
  });
});
