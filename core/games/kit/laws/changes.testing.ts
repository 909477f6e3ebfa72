/** What turns a setting into another: knobs, mends and the ladder. */
import { expect, it } from 'vitest';
import { seeded } from '~/core/chance/random';
import { checkJson } from '~/core/check/check';
import { CannotPrint } from '~/core/paper/sheet';
import { contextOf } from '~/core/paper/testing';
import { check } from '../check';
import { settle, type Variant } from '../game';
import { assume, type Params, type ParamValue, type Rung } from '../types';
import { anySettings, others, type Tried } from './tried.testing';

/** More rungs than any game has. */
const MOST_RUNGS = 80;

const codes = (variant: Variant): string[] =>
  variant.reckon(assume('g1')).notices.map((notice) => notice.code);

/** All that a person gets from a setting: figures, parts, words, plays and paper. */
function told(variant: Variant): string {
  const random = seeded(3);
  const plays = Array.from({ length: 3 }, () => [...variant.play(random)].slice(0, 200));
  let paper: unknown;
  try {
    paper = variant.sheets(contextOf());
  } catch (error) {
    if (!(error instanceof CannotPrint)) throw error;
    paper = error.message;
  }
  // Rungs and mends repeat the setting itself; what they are called is all that is read of them.
  const { ladder, notices, ...reckoning } = variant.reckon(assume('g1'));
  const rungs = [ladder.easier?.label, ladder.harder?.label];
  const said = notices.map(({ text, mend }) => [text, mend?.label]);
  return JSON.stringify([reckoning, rungs, said, variant.steps(), plays, paper]);
}

const rung = (variant: Variant, way: 'easier' | 'harder'): Rung | undefined =>
  variant.reckon(assume('g1')).ladder[way];

/** Each knob changes something, each mend mends, and the ladder has an end. */
export function holdsChanges({ game, good, presets, alike }: Tried): void {
  it('has knobs that change something that a person gets', () => {
    const works = (params: Params): boolean => check(game, params).ok;
    const at = (params: Params): string => told(settle(game, params));
    for (const knob of game.knobs) {
      const when = Object.entries(knob.when ?? {});
      const turned = game.presets.flatMap(({ params }) =>
        others(knob, params[knob.name]!).flatMap((value) => {
          const change = { ...params, [knob.name]: value };
          const matters = when.every(([name, values]) => values!.includes(change[name]));
          return matters && JSON.stringify(value) !== JSON.stringify(params[knob.name]) && works(change)
            ? [{ params, change }]
            : [];
        }),
      );
      // Some knobs matter only beside another: then one preset at least has it so.
      const base = turned.length
        ? turned
        : game.presets.flatMap(({ params }) => {
            const so = {
              ...params,
              ...Object.fromEntries(when.map(([name, values]) => [name, values![0] as ParamValue])),
            };
            return others(knob, params[knob.name]!).flatMap((value) => {
              const change = { ...so, [knob.name]: value };
              return works(so) && works(change) ? [{ params: so, change }] : [];
            });
          });
      expect([knob.name, base.length > 0]).toEqual([knob.name, true]);
      const changes = base.some(({ params, change }) => at(params) !== at(change));
      expect([knob.name, changes]).toEqual([knob.name, !alike.includes(knob.name)]);
    }
  });

  it('has knobs that leave the others as they were', () => {
    const { params } = game.presets[0]!;
    for (const knob of game.knobs)
      for (const value of others(knob, params[knob.name]!)) {
        const change = { ...params, [knob.name]: value };
        const checked = check(game, change);
        if (checked.ok) expect(checked.value.params).toEqual(change);
      }
  });

  it('offers mends and rungs that are settings of its own, and that change something', () => {
    for (const variant of good) {
      const { notices, ladder } = variant.reckon(assume('K'));
      const rungs = [ladder.easier, ladder.harder];
      for (const change of [
        ...notices.map((notice) => notice.mend?.params),
        ...rungs.map((one) => one?.params),
      ]) {
        if (!change) continue;
        expect(checkJson(game.schema, change).ok).toBe(true);
        expect(change).not.toEqual(variant.params);
      }
    }
    const climbs = presets.map(({ variant }) => variant.reckon(assume('K')).ladder);
    expect(climbs.some((ladder) => ladder.easier)).toBe(true);
    expect(climbs.some((ladder) => ladder.harder)).toBe(true);
  });

  it('has mends that take their notice away, and rungs that can be played, at settings nobody would choose', () => {
    for (const variant of [...good, ...anySettings(game, 120)]) {
      const { notices, ladder } = variant.reckon(assume('g1'));
      for (const rung of [ladder.easier, ladder.harder])
        if (rung)
          expect([variant.params, rung.label, check(game, rung.params).ok]).toEqual([
            variant.params,
            rung.label,
            true,
          ]);
      for (const { mend, code } of notices) {
        if (!mend) continue;
        expect([variant.params, mend.label, check(game, mend.params).ok]).toEqual([
          variant.params,
          mend.label,
          true,
        ]);
        expect([variant.params, mend.label, codes(settle(game, mend.params)).includes(code)]).toEqual([
          variant.params,
          mend.label,
          false,
        ]);
      }
    }
  });

  it('has mends that lead to where nothing stops', () => {
    for (const { variant } of presets) {
      const seen = new Set<string>();
      let now = variant;
      for (let i = 0; i < MOST_RUNGS; i++) {
        const key = JSON.stringify(now.params);
        // Mends never lead round in a circle.
        expect([key, seen.has(key)]).toEqual([key, false]);
        seen.add(key);
        const { notices } = now.reckon(assume('g1'));
        const next = notices.find(({ mend, severity }) => mend && severity !== 'know')?.mend;
        if (!next || !check(game, next.params).ok) break;
        now = settle(game, next.params);
      }
      const stops = now.reckon(assume('g1')).notices.filter(({ severity }) => severity === 'stop');
      expect(stops).toEqual([]);
    }
  });

  it('has a ladder that ends above and below, comes by no setting twice, and every rung can be played', () => {
    for (const { variant } of presets)
      for (const way of ['easier', 'harder'] as const) {
        const climbed = [variant];
        for (let next = rung(variant, way); next; next = rung(climbed.at(-1)!, way)) {
          expect(climbed.length).toBeLessThan(MOST_RUNGS);
          expect([next.params, check(game, next.params).ok]).toEqual([next.params, true]);
          climbed.push(settle(game, next.params));
        }
        expect(new Set(climbed.map(({ params }) => JSON.stringify(params))).size).toBe(climbed.length);
      }
  });

  it('has a step down after every step up', () => {
    for (const { variant } of presets)
      for (const [way, back] of [
        ['harder', 'easier'],
        ['easier', 'harder'],
      ] as const) {
        const next = rung(variant, way);
        if (next)
          expect([next.label, rung(settle(game, next.params), back) !== undefined]).toEqual([
            next.label,
            true,
          ]);
      }
  });
}
