/** What a game takes, reckons and plays. */
import { Type } from '@sinclair/typebox';
import { expect, it } from 'vitest';
import { DECK, deckWithout } from '~/core/cards/deck';
import { mean } from '~/core/chance/pmf';
import { seeded, shuffled } from '~/core/chance/random';
import { FULL } from '~/core/chance/simulate';
import { checkJson } from '~/core/check/check';
import { materialOf } from '~/core/materials/catalogue';
import { say } from '~/core/words/reading';
import { check } from '../check';
import { complete, faultsOf, settle } from '../game';
import { suits } from '../knobs';
import { SKILLS } from '../skills';
import { reckoningOf } from '../testing';
import { assume } from '../types';
import { READINGS, settings, type Tried } from './tried.testing';

/** Parameters, figures, parts, plays and decks. */
export function holdsRules({ game, good, bad, presets, gives }: Tried): void {
  it('has presets that its own schema accepts, each under a name of its own', () => {
    for (const { params } of game.presets) expect(check(game, params)).toMatchObject({ value: { params } });
    expect(new Set(game.presets.map(({ id }) => id)).size).toBe(game.presets.length);
    expect(new Set(game.presets.map(({ name, tradition }) => `${name} ${tradition}`)).size).toBe(
      game.presets.length,
    );
    expect(check(game, {}).ok).toBe(true);
  });

  it('says in a sentence what is wrong with parameters that do not work', () => {
    for (const params of bad) {
      const checked = check(game, params);
      if (checked.ok) continue;
      for (const [field, sentence] of Object.entries(checked.errors)) {
        expect(Object.keys(game.schema.properties)).toContain(field);
        expect(sentence).toMatch(/^[A-Z0-9].*\.$/);
        expect(sentence).not.toMatch(/undefined|NaN|\[object|Infinity/);
      }
      expect(() => settle(game, params)).toThrow(RangeError);
    }
    expect(check(game, { nonsense: 1 })).toMatchObject({
      ok: false,
      errors: { nonsense: expect.any(String) },
    });
  });

  it('has knobs that know what their schema takes', () => {
    const random = seeded(5);
    const values = [
      ...game.knobs.flatMap((knob) => settings(knob, random)),
      ...Array.from({ length: 101 }, (_, i) => i / 100),
      ...[null, -1, 1e9, 0.005, '', 'x', [], ['x'], {}, { from: 1 }, { w: 1, h: 1, d: 1 }],
    ];
    for (const knob of game.knobs) {
      const schema = Type.Object({ it: game.schema.properties[knob.name]! });
      for (const value of values) {
        const takes = value !== undefined && checkJson(schema, { it: value }).ok;
        expect([knob.name, value, suits(knob, value)]).toEqual([knob.name, value, takes]);
      }
    }
  });

  it('opens what was stored with another knob, or without one', () => {
    for (const { params } of good.slice(0, 200)) {
      const { params: more } = complete(game, { ...params, 'knob of yesterday': 3 })!;
      expect(more).toEqual(params);
      for (const knob of game.knobs) {
        const { [knob.name]: _, ...without } = params;
        const opened = complete(game, without);
        expect([knob.name, without, faultsOf(game, opened?.params ?? {})]).toEqual([knob.name, without, {}]);
        expect(opened!.params).toMatchObject(without);
        expect(complete(game, { ...params, [knob.name]: 'of yesterday' })).toBeUndefined();
      }
    }
    expect(Object.keys(complete(game, {})!.params)).toEqual(game.knobs.map(({ name }) => name));
  });

  it.each(gives.map(([names, params]) => ({ names, params })))('gives $names', ({ names, params = {} }) => {
    const { figures, pending } = reckoningOf(game, params, { ...FULL, plays: 200 });
    expect(names.split(' ').filter((name) => !(name in figures))).toEqual([]);
    expect(pending).toEqual([]);
  });

  it('reckons every setting that works', () => {
    for (const variant of good) {
      const reckoning = variant.reckon(assume('g1'));
      for (const [name, value] of Object.entries(reckoning.figures))
        for (const one of typeof value === 'number' ? [value] : Object.values(value))
          expect([name, Number.isFinite(one)]).toEqual([name, true]);
      for (const figure of reckoning.explained) {
        expect(figure.reason).toMatch(/\.$/);
        expect(figure.reason).not.toMatch(/undefined|NaN|Infinity/);
        expect(figure.label).toBeTruthy();
        if (/\.(chance|share)$/.test(figure.name)) {
          expect(figure.value).toBeGreaterThanOrEqual(0);
          expect(figure.value).toBeLessThanOrEqual(1);
        }
      }
      for (const part of reckoning.parts) {
        expect(materialOf(part.material).id).toBe(part.material);
        expect(part.expected).toBeLessThanOrEqual(part.enough);
        expect(part.enough).toBeLessThanOrEqual(part.worst);
        expect(part.expected).toBeGreaterThan(0);
      }
      expect(new Set(reckoning.parts.map((part) => part.material)).size).toBe(reckoning.parts.length);
      const { turns, minutes } = reckoning.length;
      expect(turns.p.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6);
      expect(turns.p.every((p) => p >= 0)).toBe(true);
      expect(minutes.p50).toBeLessThanOrEqual(minutes.p90);
      expect(reckoning.players.fewest).toBeLessThanOrEqual(reckoning.players.most);
      for (const skill of reckoning.skills) expect(SKILLS).toContain(skill);
      for (const notice of reckoning.notices) expect(notice.text).not.toMatch(/undefined|NaN|Infinity/);
      if (reckoning.notices.every((notice) => notice.severity !== 'stop')) {
        expect(reckoning.skills.length).toBeGreaterThan(0);
        expect(reckoning.practice.every((one) => one.meetings > 0)).toBe(true);
      }
      expect(variant.subject()).toBeTruthy();
    }
  });

  it('plays as long as it reckons', () => {
    for (const { variant } of presets) {
      const random = seeded(11);
      const { turns } = variant.reckon(assume('g1'), { ...FULL, plays: 3000, deep: false }).length;
      const plays = 300;
      const lengths = Array.from({ length: plays }, () => [...variant.play(random)].length);
      const average = lengths.reduce((a, b) => a + b, 0) / plays;
      const variance = turns.p.reduce((total, p, i) => total + p * (turns.from + i - mean(turns)) ** 2, 0);
      // Where the length itself is simulated, its own error comes on top.
      expect(Math.abs(average - mean(turns))).toBeLessThanOrEqual(
        4 * Math.sqrt(variance * (1 / plays + 1 / 3000)) + 1e-6,
      );
    }
  });

  it('rehearses in words it has, and ends', () => {
    for (const variant of good.slice(0, 40)) {
      let turns = 0;
      for (const turn of variant.play(seeded(3))) {
        expect(++turns).toBeLessThan(6000);
        if (turns > 60) continue;
        for (const reading of READINGS) {
          expect(say(reading, game.words, turn.id, turn.args)).not.toMatch(/undefined|NaN/);
          if (turn.coach)
            expect(say(reading, game.words, turn.coach.id, turn.coach.args)).not.toMatch(/undefined|NaN/);
        }
      }
    }
  });

  if (game.audits)
    it(`plays with a whole deck, not without cards, and says why`, () => {
      for (const { variant } of presets) {
        const { params } = variant;
        if (params.missing === undefined || (params.source !== undefined && params.source !== 'cards'))
          continue;
        expect(variant.audit(DECK).verdict).toBe('plays');
        expect(variant.audit([]).verdict).toBe('doesNotPlay');
        const random = seeded(6);
        for (let i = 0; i < 40; i++) {
          const cards = shuffled(DECK, random).slice(0, random.whole(0, 52));
          expect(variant.audit(cards).note).toMatch(/^[^]*\.$/);
          expect(variant.audit(cards).note).not.toMatch(/undefined|NaN|Infinity/);
        }
        // Two decks with different cards missing do better than either.
        const order = ['doesNotPlay', 'playsWithNote', 'plays'];
        const one = variant.audit(deckWithout(['7H', '2S', 'AD'])).verdict;
        const both = variant.audit([...deckWithout(['7H', '2S', 'AD']), ...deckWithout(['9C'])]).verdict;
        expect(order.indexOf(both)).toBeGreaterThanOrEqual(Math.min(order.indexOf(one), 1));
      }
    });
}
