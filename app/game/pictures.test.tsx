import { settle } from '~/core/games/kit/game';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { assume, type Params } from '~/core/games/kit/types';
import { recipeOf } from '~/core/kits/recipe';
import type { Sheet } from '~/core/paper/sheet';
import { faultOf } from '~/app/ui/Fault';
import { LengthRibbon } from './LengthRibbon';
import { ReachChart } from '~/app/desk/ReachChart';
import { SheetView } from './SheetView';
import { STATIONS } from '~/app/desk/stations';
import { Strand } from '~/app/desk/Strand';
import { drawnAs, Tray } from '~/app/desk/Tray';
import { Weave } from './Weave';

const game = gameOf('two-tone-spill');
const reckon = (change: Params = {}) =>
  settle(game, { ...game.presets[1]!.params, ...change }).reckon(assume('g1'));

/** Numbers of an SVG attribute, over all elements of a kind. */
const numbers = (html: string, element: string, attribute: string): number[] =>
  [...html.matchAll(new RegExp(`<${element}[^>]* ${attribute}="([-\\d.]+)"`, 'g'))].map((match) =>
    Number(match[1]),
  );

describe('the length ribbon', () => {
  it('says in words what it draws, for a play that always ends at once and for one that varies', () => {
    expect(renderToStaticMarkup(<LengthRibbon length={reckon().length} />)).toContain(
      'Every play takes 10 minutes; 25 seconds a turn and 1 minute to set up.',
    );
    const varied = renderToStaticMarkup(<LengthRibbon length={reckon({ finish: 'turnOver' }).length} />);
    expect(varied).toMatch(/Half of the plays are over by \d+ minutes, 90 in 100 by \d+/);
    expect(varied).toContain('90 in 100 by');
  });

  it('stays inside its frame at every corner', () => {
    for (const counters of [3, 20]) {
      for (const spills of [1, 40]) {
        for (const finish of ['asTheyFall', 'turnOver']) {
          const html = renderToStaticMarkup(
            <LengthRibbon length={reckon({ counters, spills, finish, players: 4 }).length} />,
          );
          const xs = numbers(html, 'text', 'x');
          expect(Math.min(...xs)).toBeGreaterThanOrEqual(0);
          expect(Math.max(...xs)).toBeLessThanOrEqual(640);
          expect(html).not.toMatch(/NaN|Infinity/);
        }
      }
    }
  });
});

describe('the weave', () => {
  it('has a knot for each fact, the largest for the one most often met', () => {
    const { practice } = reckon();
    const html = renderToStaticMarkup(<Weave practice={practice} />);
    const knots = [...html.matchAll(/<rect[^>]*rx="([\d.]+)"/g)].map((match) => Number(match[1]));
    expect(knots).toHaveLength(7);
    expect(knots.indexOf(Math.max(...knots))).toBe(3);
    expect(html).toContain('3 + 3 = 6 about 6.3 times');
  });

  it('says the same as a table', () => {
    const html = renderToStaticMarkup(<Weave practice={reckon({ counters: 20 }).practice} />);
    expect(html.match(/<tr>/g)).toHaveLength(22);
    expect(html).toContain('<td>10 + 10 = 20</td>');
  });
});

describe('the tray', () => {
  it('has a compartment for each part with its count, in singular and plural', () => {
    const plan = {
      ageBand: 'g1' as const,
      players: 2,
      assurance: 'usual' as const,
      variants: [{ gameId: game.id, name: 'Six', params: game.presets[1]!.params }],
    };
    const html = renderToStaticMarkup(<Tray parts={recipeOf(plan).parts} />);
    const shown = [...html.matchAll(/class="count">(\d+)<.*?<span>([^<]+)<\/span><\/li>/g)].map(
      (match) => `${match[1]} ${match[2]}`,
    );
    expect(shown).toEqual([
      '6 two-color counters',
      '1 shaking cup',
      '2 pencils',
      '2 record sheets',
      '1 mat',
      '1 instruction sheet',
      '1 drawstring bag',
    ]);
  });

  it('draws every piece that it counts, the many as hundreds, tens and ones', () => {
    for (let quantity = 0; quantity <= 450; quantity++) {
      const { hundreds, tens, ones } = drawnAs(quantity);
      expect(100 * hundreds + 10 * tens + ones).toBe(quantity);
      expect(hundreds + tens + ones).toBeLessThanOrEqual(22);
    }
    const html = renderToStaticMarkup(
      <Tray parts={[{ material: 'two-colour-counter', quantity: 283, reasons: [] }]} />,
    );
    expect(['hundred', 'ten', 'one'].map((kind) => html.split(`class="${kind}"`).length - 1)).toEqual([
      2, 8, 3,
    ]);
    expect(html).toContain('>283<');
  });
});

describe('the strand', () => {
  it('is dashed while the copy was out', () => {
    const html = renderToStaticMarkup(
      <Strand
        points={[
          { on: '2026-09-01', kind: 'built', note: 'Built' },
          { on: '2026-09-08', kind: 'lent', note: 'Lent to Family Auk' },
          { on: '2026-09-29', kind: 'home', note: 'Home from Family Auk' },
        ]}
      />,
    );
    expect(html.match(/<li class="out"/g)).toHaveLength(1);
    expect(html).toContain('Tue, Sep 8');
  });
});

describe('a sheet on screen', () => {
  it('draws every shape of the printed page once', () => {
    const sheet: Sheet = {
      title: 'Test',
      widthMm: 210,
      heightMm: 297,
      shapes: [
        {
          kind: 'text',
          x: 10,
          y: 20,
          text: 'Año <b>',
          sizePt: 11,
          font: 'bold',
          anchor: 'middle',
          fill: '#000',
          language: 'es',
        },
        { kind: 'line', x1: 0, y1: 0, x2: 10, y2: 10, stroke: '#000', dashMm: [1, 2] },
        { kind: 'rect', x: 1, y: 2, width: 3, height: 4, fill: '#111' },
        { kind: 'circle', x: 5, y: 6, radius: 7, stroke: '#222', strokeMm: 0.5 },
        { kind: 'path', d: 'M0 0 L1 1', fill: '#333' },
      ],
    };
    const html = renderToStaticMarkup(<SheetView sheet={sheet} label="Page 1" />);
    expect(html).toContain('viewBox="0 0 210 297"');
    for (const piece of [
      '>Año &lt;b&gt;</text>',
      'text-anchor="middle"',
      'font-weight="700"',
      'lang="es"',
      'stroke-dasharray="1 2"',
      'width="3"',
      'r="7"',
      'd="M0 0 L1 1"',
    ])
      expect(html).toContain(piece);
    expect(html.match(/<(text|line|rect|circle|path)\b/g)).toHaveLength(5);
  });
});

describe('the reach chart', () => {
  it('says in a table what it draws', () => {
    const html = renderToStaticMarkup(<ReachChart bars={[{ language: 'Spanish', reached: 4, notYet: 0 }]} />);
    expect(html).toMatch(/<td>Spanish<\/td><td>4<\/td><td>0<\/td>/);
  });
});

describe('faults', () => {
  it('never show what went wrong inside', () => {
    const told = faultOf(new Error('relation "secret" does not exist at db.ts:12'));
    expect(JSON.stringify(told)).not.toMatch(/secret|db\.ts/);
    expect(told.title).toBe('Something went wrong here');
  });

  it('say what a refusal says, and have words for those without', () => {
    const response = (status: number, data: unknown) => ({ status, statusText: '', internal: false, data });
    expect(faultOf(response(403, { title: 'Not open', text: 'Ask.' }))).toEqual({
      title: 'Not open',
      text: 'Ask.',
    });
    expect(faultOf(response(404, 'Error: no route'))).toMatchObject({ title: 'This page is not here' });
    expect(faultOf(response(405, null))).toMatchObject({ title: 'Nothing was changed' });
    expect(faultOf(response(500, 'Error: stack'))).toMatchObject({ title: 'Something went wrong here' });
  });
});

describe('the stations', () => {
  it('stand in the order of the work, and each has somebody who works there', () => {
    expect(STATIONS.map((station) => station.label)).toEqual([
      'Choose',
      'Fill',
      'Word',
      'Print',
      'Lend',
      'Take back',
      'Listen',
      'Look back',
    ]);
    expect(STATIONS.every((station) => station.roles.includes('coordinator'))).toBe(true);
    expect(
      STATIONS.filter((station) => station.roles.includes('reader')).map((station) => station.key),
    ).toEqual(['word']);
  });
});
