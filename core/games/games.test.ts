import { describe, expect, it } from 'vitest';
import { mean } from '~/core/chance/pmf';
import { seeded } from '~/core/chance/random';
import { checkJson } from '~/core/check/check';
import { knobs } from '~/core/check/schema';
import { materialOf } from '~/core/kits/materials';
import { say, WORDED } from '~/core/words/message';
import { argumentsOf } from '~/core/words/inspect';
import { findGame, gameOf, SHELF } from '.';
import { assume, type Game, type Params } from './types';

/** Every corner of the knobs: each whole number at its least, most and in the middle, each choice. */
function corners(game: Game): Params[] {
  return knobs(game.schema).reduce<Params[]>(
    (sofar, knob) => {
      const values =
        knob.kind === 'whole'
          ? [knob.min, Math.round((knob.min + knob.max) / 2), knob.max]
          : knob.options.map((option) => option.value);
      return sofar.flatMap((params) => values.map((value) => ({ ...params, [knob.name]: value })));
    },
    [{}],
  );
}

describe('the shelf', () => {
  it('has every game once, and says so of one it has not', () => {
    expect(new Set(SHELF.map((game) => game.id)).size).toBe(SHELF.length);
    expect(findGame('nope')).toBeUndefined();
    expect(() => gameOf('nope')).toThrow(/There is no game called "nope"/);
  });
});

describe.each(SHELF.map((game): [string, Game] => [game.id, game]))('%s', (_, game) => {
  const all = [...game.presets.map((preset) => preset.params), ...corners(game)];

  it('has presets that its own schema accepts, each under a name of its own', () => {
    for (const preset of game.presets)
      expect(checkJson(game.schema, preset.params)).toEqual({ ok: true, value: preset.params });
    expect(new Set(game.presets.map((preset) => preset.id)).size).toBe(game.presets.length);
  });

  it('reckons every corner of its knobs', () => {
    for (const params of all) {
      const reckoning = game.reckon(params, assume('g1'));
      for (const [name, value] of Object.entries(reckoning.figures))
        expect([name, Number.isFinite(value)]).toEqual([name, true]);
      expect(reckoning.explained.every((figure) => figure.reason.endsWith('.') && figure.label)).toBe(true);
      for (const part of reckoning.parts) {
        expect(materialOf(part.material).id).toBe(part.material);
        expect(part.expected).toBeLessThanOrEqual(part.enough);
        expect(part.enough).toBeLessThanOrEqual(part.worst);
      }
      expect(reckoning.length.turns.p.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9);
      expect(reckoning.length.minutes.p50).toBeLessThanOrEqual(reckoning.length.minutes.p90);
      expect(reckoning.practice.every((one) => one.meetings >= 0)).toBe(true);
    }
  });

  it('offers mends and rungs that are settings of its own, and that change something', () => {
    for (const params of all) {
      const { notices, ladder } = game.reckon(params, assume('K'));
      const mends = notices.map((notice) => notice.mend?.params);
      const changes = [...mends, ladder.easier?.params, ladder.harder?.params];
      for (const change of changes.filter((one) => one !== undefined)) {
        expect(checkJson(game.schema, change).ok).toBe(true);
        expect(change).not.toEqual(params);
      }
    }
  });

  it('has a mend that takes its notice away', () => {
    for (const params of all) {
      for (const notice of game.reckon(params, assume('g1')).notices) {
        if (!notice.mend) continue;
        const after = game.reckon(notice.mend.params, assume('g1')).notices.map((one) => one.code);
        expect(after).not.toContain(notice.code);
      }
    }
  });

  it('tells its steps in both languages with all their numbers', () => {
    for (const params of all) {
      const steps = game.steps(params);
      for (const part of ['setUp', 'turn', 'end', 'sideBySide', 'younger', 'atHome', 'say', 'caution'])
        expect(steps.some((step) => step.part === part)).toBe(true);
      for (const step of steps) {
        expect(argumentsOf(game.words.en[step.id]!).filter((name) => !(name in step.args))).toEqual([]);
        for (const language of WORDED)
          expect(say(game.words, language, step.id, step.args)).not.toMatch(/[{}]|undefined|NaN/);
      }
    }
  });

  it('plays as long as it reckons', () => {
    for (const { params } of game.presets) {
      const random = seeded(11);
      const { turns } = game.reckon(params, assume('g1')).length;
      const plays = 300;
      const lengths = Array.from({ length: plays }, () => [...game.play(params, random)].length);
      const average = lengths.reduce((a, b) => a + b, 0) / plays;
      const variance = turns.p.reduce((total, p, i) => total + p * (turns.from + i - mean(turns)) ** 2, 0);
      expect(Math.abs(average - mean(turns))).toBeLessThanOrEqual(4 * Math.sqrt(variance / plays) + 1e-9);
    }
  });

  it('rehearses in words it has', () => {
    const [preset] = game.presets;
    for (const turn of game.play(preset!.params, seeded(3))) {
      for (const language of WORDED) {
        expect(say(game.words, language, turn.id, turn.args)).toBeTruthy();
        if (turn.coach) expect(say(game.words, language, turn.coach.id, turn.coach.args)).toBeTruthy();
      }
    }
  });
});
