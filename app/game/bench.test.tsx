import { renderToString } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { settle, startOf } from '~/core/games/kit/game';
import { gameOf, SHELF } from '~/core/games/shelf';
import { figure } from '~/core/games/kit/reckoning';
import { assume } from '~/core/games/kit/types';
import { Knobs } from './Knobs';
import { LengthRibbon } from './LengthRibbon';
import { roomOf, shown } from '~/core/games/kit/shown';
import { PartsTable } from './Reckonings';
import { Weave } from './Weave';

const nothing = (): void => undefined;

describe.each(SHELF.map((game) => [game.id, game] as const))('the bench of %s', (_, game) => {
  it('has a knob for every parameter, with what is wrong beside it', () => {
    for (const { params } of game.presets) {
      const all = game.knobs;
      const asked = all.filter(({ when = {} }) =>
        Object.entries(when).every(([name, values]) => values!.includes(params[name])),
      );
      const errors = Object.fromEntries(
        asked.filter(({ kind }) => kind !== 'yes').map(({ name }) => [name, `Wrong: ${name}.`]),
      );
      const html = renderToString(<Knobs knobs={all} params={params} errors={errors} onTurn={nothing} />);
      const text = html.replace(/<!-- -->/g, '');
      for (const knob of asked)
        expect(text).toContain(
          knob.title.replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll("'", '&#x27;'),
        );
      for (const error of Object.values(errors)) expect(text).toContain(error);
    }
  });

  it('draws its length and its practice, and says them in words', () => {
    for (const { params } of game.presets) {
      const reckoning = settle(game, params).reckon(assume('g1'));
      const drawn = renderToString(
        <>
          <LengthRibbon length={reckoning.length} />
          <Weave practice={reckoning.practice} />
          <PartsTable reckoning={reckoning} />
        </>,
      );
      expect(drawn).not.toMatch(/NaN|undefined|Infinity/);
      expect(drawn).toMatch(/aria-label="(Every play takes|Half of the plays)/);
      expect(drawn).toMatch(/aria-label="(Facts|Numbers|Letters) met in one play/);
      expect(roomOf(reckoning)).toMatch(/player/);
    }
  });
});

describe('a figure', () => {
  it('shows as many decimals as its error leaves meaning in', () => {
    expect(shown(figure('a', 'A', 26.619, 'turns', '', 0.046))).toEqual({
      number: '26.62 ± 0.05',
      unit: 'turns',
    });
    expect(shown(figure('a', 'A', 0.8712, 'of 1', '', 0.0034))).toEqual({
      number: '87.1 ± 0.3',
      unit: 'in 100',
    });
    expect(shown(figure('a', 'A', 61.2174, 'rolls', ''))).toEqual({ number: '61', unit: 'rolls' });
  });
  it('tells a chance from certainty', () => {
    expect(shown(figure('a', 'A', 0.83, 'of 1', '')).number).toBe('83');
    expect(shown(figure('a', 'A', 0.99962, 'of 1', '')).number).toBe('99.962');
    expect(shown(figure('a', 'A', 1, 'of 1', '')).number).toBe('100');
    expect(shown(figure('a', 'A', 0.0021, 'of 1', '')).number).toBe('0.21');
  });
});

describe('a weave', () => {
  it('of single numbers is strands, of pairs a basket', () => {
    const strands = renderToString(
      <Weave
        practice={settle(gameOf('leaf-twins'), startOf(gameOf('leaf-twins'))).reckon(assume('K')).practice}
      />,
    );
    expect(strands).toContain('Numbers met in one play: 1 about');
    const signed = gameOf('hat-numbers').presets.find((one) => one.id === 'signed')!;
    const basket = renderToString(
      <Weave practice={settle(gameOf('hat-numbers'), signed.params).reckon(assume('g3')).practice} />,
    );
    expect(basket).toContain('(−');
  });
});
