/** The laws of the shelf: what holds for every game at every setting. Each game's own test calls them. */
import { Type } from '@sinclair/typebox';
import { describe, expect, it } from 'vitest';
import { DECK, deckWithout, type Card } from '~/core/cards/deck';
import { mean } from '~/core/chance/pmf';
import { pick, seeded, shuffled, type Random } from '~/core/chance/random';
import { FULL } from '~/core/chance/simulate';
import { checkJson } from '~/core/check/check';
import { materialOf } from '~/core/materials/catalogue';
import { CannotPrint, GREY, MARGIN_MM, PAPERS, type Piece, type Sheet } from '~/core/paper/sheet';
import { boxOf, contextOf, evenly, needed, overlap, PAPER_NAMES, piecesOn } from '~/core/paper/testing';
import { argumentsOf } from '~/core/words/inspect';
import { ENGLISH, linesOf, say } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { check } from './check';
import { exampleArgs } from './examples';
import { complete, faultsOf, settle, type Game, type Variant } from './game';
import { suits, type Knob } from './knobs';
import { SKILLS } from './skills';
import { reckoningOf } from './testing';
import { assume, STEP_PARTS, type Params, type ParamValue, type Rung } from './types';

const READINGS = [ENGLISH, readingOf('es')];
/** More rungs than any game has. */
const MOST_RUNGS = 80;

export interface Expected {
  /** Figures that the game promises, with the parameters under which they apply. */
  gives: readonly (readonly [names: string, params?: Params])[];
  /** Knobs that change nothing a person gets at the settings that are tried, with a reason where they stand. */
  alike?: readonly string[];
  /** Shapes of the sheets that may lie across cuts. */
  across?: (shape: Sheet['shapes'][number]) => boolean;
}

/** The settings of one knob that are worth trying: its least, its most, something between, each choice. */
function settings(knob: Knob, random: Random): ParamValue[] {
  switch (knob.kind) {
    case 'whole':
    case 'chance':
      return [knob.min, knob.max, knob.kind === 'whole' ? Math.round((knob.min + knob.max) / 2) : 0.5];
    case 'choice':
      return knob.values;
    case 'yes':
      return [true, false];
    case 'some':
      return [...knob.options.map(({ value }) => [value]), knob.options.map(({ value }) => value)];
    case 'span':
      return [
        { from: knob.min, to: knob.max },
        { from: knob.min, to: knob.min },
        { from: knob.max, to: knob.max },
        { from: knob.max, to: knob.min },
      ];
    case 'size':
      return [knob.min, knob.max, 60].map((side) => ({ w: side, h: side }));
    case 'cards':
      return [[], ['7H'], DECK.filter(() => random.chance(0.3)), DECK.slice(2), [...DECK]];
    case 'numbers':
      return [
        Array.from({ length: knob.least }, (_, i) => knob.min + i),
        Array.from({ length: Math.min(knob.most, knob.max - knob.min + 1) }, (_, i) => knob.max - i),
      ];
  }
}

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

/** "1 cards" and the like: one of something that is said as many. Players have numbers, which are no counts. */
function oneAsMany(text: string): string | undefined {
  const plain = text.replace(/\b(player|participante) \d+/gi, '');
  return /(?<![\d.,:÷×+−–-] ?|\d \p{L}+ )\b1 (?!(?:is|es|as|was|has|less|plus|minus|makes|más|menos)\b)\p{L}+s\b/u.exec(
    plain,
  )?.[0];
}

/** Each knob at each of its settings beside every preset, and a number of random mixtures. */
function tried(game: Game): { good: Variant[]; bad: Params[] } {
  const random = seeded(7);
  const all: Params[] = [];
  for (const { params } of game.presets) {
    all.push(params);
    for (const knob of game.knobs)
      for (const value of settings(knob, random)) all.push({ ...params, [knob.name]: value });
  }
  for (let i = 0; i < 60; i++)
    all.push(Object.fromEntries(game.knobs.map((knob) => [knob.name, pick(settings(knob, random), random)])));
  const each = [...new Map(all.map((params) => [JSON.stringify(params), params])).values()];
  return {
    good: each.filter((params) => check(game, params).ok).map((params) => settle(game, params)),
    bad: each.filter((params) => !check(game, params).ok),
  };
}

const codes = (variant: Variant): string[] =>
  variant.reckon(assume('g1')).notices.map((notice) => notice.code);
const box = ({ x, y, w, h }: Piece) => ({ left: x, top: y, right: x + w, bottom: y + h });
const isWhole = (piece: Piece, sheet: Sheet) => piece.w >= sheet.widthMm && piece.h >= sheet.heightMm;

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

/** Describes every law for one game. */
export function holdsTheShelfLaws(game: Game, { gives, alike = [], across }: Expected): void {
  const { good, bad } = tried(game);
  const presets = game.presets.map((preset) => ({ preset, variant: settle(game, preset.params) }));

  describe(`the laws of the shelf for ${game.id}`, () => {
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
        ...[null, -1, 1e9, 0.005, '', 'x', [], ['x'], {}, { from: 1 }, { w: 1, h: 1, d: 1 }],
      ];
      for (const knob of game.knobs) {
        const schema = Type.Object({ it: game.schema.properties[knob.name]! });
        for (const value of values) {
          // Steps of a hundredth are asked of a chance by its schema alone.
          if (knob.kind === 'chance' && typeof value === 'number' && !Number.isInteger(value * 100)) continue;
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
          expect([knob.name, without, faultsOf(game, opened?.params ?? {})]).toEqual([
            knob.name,
            without,
            {},
          ]);
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

    it('has a mend that takes its notice away', () => {
      for (const variant of good)
        for (const notice of variant.reckon(assume('g1')).notices) {
          if (!notice.mend || !check(game, notice.mend.params).ok) continue;
          expect([variant.params, codes(settle(game, notice.mend.params))]).not.toEqual([
            variant.params,
            expect.arrayContaining([notice.code]),
          ]);
        }
    });

    it('tells its steps in both languages with all their numbers', () => {
      for (const variant of good) {
        const steps = variant.steps();
        for (const part of STEP_PARTS)
          expect([part, steps.some((step) => step.part === part)]).toEqual([part, true]);
        for (const step of steps) {
          expect(game.words.en).toHaveProperty([step.id]);
          expect(argumentsOf(game.words.en[step.id]!).filter((name) => !(name in step.args))).toEqual([]);
          for (const reading of READINGS)
            expect(say(reading, game.words, step.id, step.args)).not.toMatch(/[{}]|undefined|NaN/);
        }
        for (const reading of READINGS)
          expect(say(reading, game.words, 'goal', variant.about())).toBeTruthy();
      }
    });

    it('never speaks of fighting', () => {
      for (const reading of READINGS)
        for (const message of Object.values(linesOf(reading, game.words)))
          expect(
            message.match(/\b(fight|battle|war|attack|enemy|kill|guerra|batalla|ataca|enemigo)/i),
          ).toBeNull();
    });

    it('says one of a thing as one', () => {
      const wrong = new Set<string>();
      for (const variant of good) {
        const reckoning = variant.reckon(assume('g1'));
        const said = [
          ...READINGS.flatMap((reading) =>
            [{ id: 'goal', args: variant.about() }, ...variant.steps()].map((step) =>
              say(reading, game.words, step.id, step.args),
            ),
          ),
          variant.subject(),
          ...reckoning.explained.map(({ reason }) => reason),
          ...reckoning.parts.map(({ reason }) => reason),
          ...reckoning.notices.flatMap(({ text, mend }) => [text, mend?.label ?? '']),
          ...reckoning.prep,
        ];
        let turns = 0;
        for (const turn of variant.play(seeded(6))) {
          if (++turns > 30) break;
          for (const { id, args } of [turn, turn.coach].filter((one) => one !== undefined))
            for (const reading of READINGS) said.push(say(reading, game.words, id, args));
        }
        for (const text of said) if (oneAsMany(text)) wrong.add(text);
      }
      expect([...wrong]).toEqual([]);
    });

    it('has no line that is never said', () => {
      const said = new Set(['name', 'goal']);
      for (const variant of good) for (const step of variant.steps()) said.add(step.id);
      for (const variant of good) {
        const random = seeded(4);
        for (let i = 0; i < 8; i++)
          for (const turn of variant.play(random)) {
            said.add(turn.id);
            if (turn.coach) said.add(turn.coach.id);
          }
      }
      const never = Object.keys(game.words.en).filter((id) => !said.has(id) && !id.startsWith('sheet.'));
      expect(never).toEqual([]);
    });

    it('can be read line by line in both languages', () => {
      const args = exampleArgs(game);
      for (const id of Object.keys(game.words.en))
        for (const reading of READINGS)
          expect(say(reading, game.words, id, args[id])).not.toMatch(/undefined|NaN|[{}]/);
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
  });

  describe(`every knob of ${game.id}`, () => {
    it('changes something that a person gets', () => {
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

    it('leaves the others as they were', () => {
      const { params } = game.presets[0]!;
      for (const knob of game.knobs)
        for (const value of others(knob, params[knob.name]!)) {
          const change = { ...params, [knob.name]: value };
          const checked = check(game, change);
          if (checked.ok) expect(checked.value.params).toEqual(change);
        }
    });
  });

  describe(`the ladder of ${game.id}`, () => {
    it('ends above and below, comes by no setting twice, and every rung can be played', () => {
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
  });

  describe.each(presets.map(({ preset, variant }) => ({ name: preset.id, preset, variant })))(
    `the printed parts of ${game.id}, $name`,
    ({ preset, variant }) => {
      it('are there exactly as often as the reckoning says, on both papers, with spares or without', () => {
        const parts = variant
          .reckon(assume(preset.ageBand))
          .parts.filter(({ material }) => materialOf(material).kind === 'printed');
        const wanted = Object.fromEntries(parts.map(({ material, enough }) => [material, enough]));
        for (const paper of PAPER_NAMES)
          for (const fill of [true, false])
            for (const cuts of ['shared', 'marks'] as const) {
              const counted: Record<string, number> = {};
              const pieces = piecesOn(variant.sheets(contextOf({ paper, fill, cuts })));
              for (const { material, name } of needed(pieces))
                // A board or a record of several sheets of paper is one.
                if (!name.includes(', sheet ')) counted[material] = (counted[material] ?? 0) + 1;
              expect(counted).toEqual(wanted);
            }
      });

      it('do not overlap and lie inside what a printer reaches', () => {
        for (const paper of PAPER_NAMES)
          for (const sheet of variant.sheets(contextOf({ paper, fill: true }))) {
            const pieces = (sheet.pieces ?? []).filter((piece) => !isWhole(piece, sheet));
            pieces.forEach((piece, i) => {
              const here = box(piece);
              expect(here.left).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
              expect(here.top).toBeGreaterThanOrEqual(MARGIN_MM - 0.01);
              expect(here.right).toBeLessThanOrEqual(PAPERS[paper].widthMm - MARGIN_MM + 0.01);
              expect(here.bottom).toBeLessThanOrEqual(PAPERS[paper].heightMm - MARGIN_MM + 0.01);
              for (const other of pieces.slice(0, i)) expect(overlap(here, box(other))).toBeLessThan(0.01);
            });
          }
      });

      it('are drawn inside their cuts', () => {
        for (const paper of PAPER_NAMES)
          for (const cuts of ['shared', 'marks'] as const)
            for (const sheet of variant.sheets(contextOf({ paper, cuts, fill: true }))) {
              const pieces = (sheet.pieces ?? []).filter((piece) => !isWhole(piece, sheet));
              if (pieces.length === 0) continue;
              for (const shape of sheet.shapes) {
                // The heading, and the marks between cards.
                if (shape.kind === 'text' || (shape.kind === 'line' && shape.stroke === GREY)) continue;
                if (across?.(shape)) continue;
                const { left, top, right, bottom } = boxOf(shape, evenly);
                const home = pieces.filter(({ x, y, w, h, outline }) => {
                  // Points that draw a curve may lie beside it, and waves of a puzzle reach into their neighbour.
                  const over = outline ? Math.max(8, 0.06 * Math.max(w, h)) : 0.3;
                  return (
                    left >= x - over && right <= x + w + over && top >= y - over && bottom <= y + h + over
                  );
                });
                expect([sheet.title, shape, home.length > 0]).toEqual([sheet.title, shape, true]);
              }
            }
      });

      it('are the same for the same seed, and can each be printed again alone', () => {
        const sheets = variant.sheets(contextOf());
        expect(variant.sheets(contextOf())).toEqual(sheets);
        const [piece] = piecesOn(sheets);
        if (!piece) return;
        const lost = { material: piece.material, name: piece.name };
        const again = variant.sheets(contextOf({ lost }));
        expect(again.length).toBeGreaterThan(0);
        expect(new Set(piecesOn(again).map(({ material, name }) => `${material} ${name}`))).toEqual(
          new Set([`${lost.material} ${lost.name}`]),
        );
      });

      it('draw their steps with the numbers that are said, two steps at least', () => {
        const pictures = variant.steps().map((step) => variant.picture(step));
        expect(pictures.filter(Boolean).length).toBeGreaterThanOrEqual(2);
        for (const shapes of pictures) {
          for (const shape of shapes ?? []) {
            const { left, top, right, bottom } = boxOf(shape, evenly);
            for (const edge of [left, top, right, bottom]) expect(Number.isFinite(edge)).toBe(true);
            expect(left).toBeGreaterThanOrEqual(-2);
            expect(top).toBeGreaterThanOrEqual(-2);
            expect(right).toBeLessThanOrEqual(102);
            expect(bottom).toBeLessThanOrEqual(62);
          }
          expect(JSON.stringify(shapes ?? [])).not.toMatch(/NaN|undefined|null/);
        }
      });
    },
  );

  if (game.audits)
    it(`${game.id} plays with a whole deck, not without cards, and says why`, () => {
      for (const { variant } of presets) {
        const { params } = variant;
        if (params.missing === undefined || (params.source !== undefined && params.source !== 'cards'))
          continue;
        expect(variant.audit(DECK).verdict).toBe('plays');
        expect(variant.audit([]).verdict).toBe('doesNotPlay');
        const random = seeded(6);
        for (let i = 0; i < 40; i++) {
          const cards = shuffled(DECK, random).slice(0, random.whole(0, 52)) as Card[];
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
