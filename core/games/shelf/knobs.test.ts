import { describe, expect, it } from 'vitest';
import { knobs, type Knob } from '~/core/games/kit/knobs';
import { DECK } from '~/core/cards/deck';
import { seeded } from '~/core/chance/random';
import { contextOf } from '~/core/paper/testing';
import { CannotPrint } from '~/core/paper/sheet';
import { SHELF } from '.';
import { checkParams } from '~/core/games/kit/params';
import { assume, type Game, type Params, type ParamValue } from '~/core/games/kit/types';

/** Four puzzles lie on a sheet of either paper, so the count of sheets is the same for both. */
const ALIKE = new Set(['puzzle-halves paper']);

/** A few other values of a knob, of which one at least should work beside the other settings. */
function others(knob: Knob, now: ParamValue): ParamValue[] {
  switch (knob.kind) {
    case 'whole':
    case 'chance':
      return [knob.min, knob.max, (knob.min + knob.max) / 2].map((value) =>
        knob.kind === 'whole' ? Math.round(value) : value,
      );
    case 'choice':
      return knob.values;
    case 'yes':
      return [!now];
    case 'some':
      return [...knob.options.map(({ value }) => [value]), knob.options.map(({ value }) => value)];
    case 'span':
      return [
        { from: knob.min, to: knob.max },
        { from: knob.min, to: knob.min + 2 },
      ];
    case 'size':
      return [{ w: 50, h: 40 }];
    case 'cards':
      return [DECK.filter((_, i) => i % 9 === 0)];
    case 'numbers':
      return [
        Array.from({ length: knob.least }, (_, i) => knob.max - i),
        Array.from({ length: Math.max(knob.least, 3) }, (_, i) => knob.min + i),
      ];
  }
}

/** All that a person gets from a setting: figures, parts, words, plays and paper. */
function told(game: Game, params: Params): string {
  const random = seeded(3);
  const plays = Array.from({ length: 3 }, () => [...game.play(params, random)].slice(0, 200));
  let paper: unknown;
  try {
    paper = game.sheets(params, contextOf());
  } catch (error) {
    if (!(error instanceof CannotPrint)) throw error;
    paper = error.message;
  }
  // Rungs and mends repeat the setting itself; what they are called is all that is read of them.
  const { ladder, notices, ...reckoning } = game.reckon(params, assume('g1'));
  const rungs = [ladder.easier?.label, ladder.harder?.label];
  const said = notices.map(({ text, mend }) => [text, mend?.label]);
  return JSON.stringify([reckoning, rungs, said, game.steps(params), plays, paper]);
}

describe.each(SHELF.map((game): [string, Game] => [game.id, game]))('every knob of %s', (_, game) => {
  it('changes something that a person gets', () => {
    for (const knob of knobs(game.schema)) {
      const turned = game.presets.flatMap(({ params }) =>
        others(knob, params[knob.name]!).flatMap((value) => {
          const change = { ...params, [knob.name]: value };
          const matters = !knob.when || knob.when.is.includes(change[knob.when.name] as string);
          return matters &&
            JSON.stringify(value) !== JSON.stringify(params[knob.name]) &&
            checkParams(game, change).ok
            ? [{ params, change }]
            : [];
        }),
      );
      // Some knobs matter only beside another: then one preset at least has it so.
      const base = turned.length
        ? turned
        : game.presets.flatMap(({ params }) => {
            const so = knob.when ? { ...params, [knob.when.name]: knob.when.is[0]! } : params;
            return others(knob, params[knob.name]!).flatMap((value) => {
              const change = { ...so, [knob.name]: value };
              return checkParams(game, so).ok && checkParams(game, change).ok ? [{ params: so, change }] : [];
            });
          });
      expect([knob.name, base.length > 0]).toEqual([knob.name, true]);
      const changes = base.some(({ params, change }) => told(game, params) !== told(game, change));
      expect([knob.name, changes]).toEqual([knob.name, !ALIKE.has(`${game.id} ${knob.name}`)]);
    }
  });

  it('leaves the others as they were', () => {
    const { params } = game.presets[0]!;
    for (const knob of knobs(game.schema))
      for (const value of others(knob, params[knob.name]!)) {
        const checked = checkParams(game, { ...params, [knob.name]: value });
        if (checked.ok) expect(checked.value).toEqual({ ...params, [knob.name]: value });
      }
  });
});
