import { describe, expect, it } from 'vitest';
import { DECK } from '~/core/cards/deck';
import { mean } from '~/core/chance/pmf';
import { pick, seeded, type Random } from '~/core/chance/random';
import { FULL } from '~/core/chance/simulate';
import { checkJson } from '~/core/check/check';
import { knobs, type Knob } from '~/core/games/kit/knobs';
import { materialOf } from '~/core/materials/catalogue';
import { say, WORDED } from '~/core/words/message';
import { argumentsOf } from '~/core/words/inspect';
import { findGame, gameOf, SHELF } from '.';
import { checkParams } from '~/core/games/kit/params';
import { SKILLS } from '~/core/games/kit/skills';
import { assume, type Game, type Params, type ParamValue } from '~/core/games/kit/types';

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

/** "1 cards" and the like: one of something that is said as many. Players have numbers, which are no counts. */
function oneAsMany(text: string): string | undefined {
  const plain = text.replace(/\b(player|participante) \d+/gi, '');
  return /(?<![\d.,:÷×+−–-] ?|\d \p{L}+ )\b1 (?!(?:is|es|as|was|has|less|plus|minus|makes|más|menos)\b)\p{L}+s\b/u.exec(
    plain,
  )?.[0];
}

/** Each knob at each of its settings beside every preset, and a number of random mixtures. */
function tried(game: Game): { good: Params[]; bad: Params[] } {
  const random = seeded(7);
  const all: Params[] = [];
  const list = knobs(game.schema);
  for (const { params } of game.presets) {
    all.push(params);
    for (const knob of list)
      for (const value of settings(knob, random)) all.push({ ...params, [knob.name]: value });
  }
  for (let i = 0; i < 60; i++)
    all.push(Object.fromEntries(list.map((knob) => [knob.name, pick(settings(knob, random), random)])));
  const checked = all.map((params) => [params, checkParams(game, params).ok] as const);
  const of = (ok: boolean) => [
    ...new Map(
      checked.filter((one) => one[1] === ok).map(([params]) => [JSON.stringify(params), params]),
    ).values(),
  ];
  return { good: of(true), bad: of(false) };
}

const codes = (game: Game, params: Params): string[] =>
  game.reckon(params, assume('g1')).notices.map((notice) => notice.code);

describe('the shelf', () => {
  it('has thirty-four games, each once, and says so of one it has not', () => {
    expect(SHELF).toHaveLength(34);
    expect(new Set(SHELF.map((game) => game.id)).size).toBe(SHELF.length);
    expect(new Set(SHELF.map((game) => JSON.stringify(game.drawing))).size).toBe(SHELF.length);
    expect(findGame('nope')).toBeUndefined();
    expect(() => gameOf('nope')).toThrow(/There is no game called "nope"/);
  });

  it('never speaks of fighting', () => {
    for (const { id, words } of SHELF)
      for (const language of WORDED)
        for (const message of Object.values(words[language]))
          expect([
            id,
            message.match(/\b(fight|battle|war|attack|enemy|kill|guerra|batalla|ataca|enemigo)/i),
          ]).toEqual([id, null]);
  });
});

describe.each(SHELF.map((game): [string, Game] => [game.id, game]))('%s', (_, game) => {
  const { good, bad } = tried(game);

  it('has presets that its own schema accepts, each under a name of its own', () => {
    for (const preset of game.presets)
      expect(checkParams(game, preset.params)).toEqual({ ok: true, value: preset.params });
    expect(new Set(game.presets.map((preset) => preset.id)).size).toBe(game.presets.length);
    expect(new Set(game.presets.map(({ name, school }) => `${name} ${school}`)).size).toBe(
      game.presets.length,
    );
    expect(checkParams(game, {}).ok).toBe(true);
  });

  it('says in a sentence what is wrong with parameters that do not work', () => {
    for (const params of bad) {
      const checked = checkParams(game, params);
      if (checked.ok) continue;
      for (const [field, sentence] of Object.entries(checked.errors)) {
        expect(Object.keys(game.schema.properties)).toContain(field);
        expect(sentence).toMatch(/^[A-Z0-9].*\.$/);
        expect(sentence).not.toMatch(/undefined|NaN|\[object|Infinity/);
      }
    }
    expect(checkParams(game, { nonsense: 1 })).toMatchObject({
      ok: false,
      errors: { nonsense: expect.any(String) },
    });
  });

  it('reckons every setting that works', () => {
    for (const params of good) {
      const reckoning = game.reckon(params, assume('g1'));
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
      expect(game.subject(params)).toBeTruthy();
    }
  });

  it('offers mends and rungs that are settings of its own, and that change something', () => {
    for (const params of good) {
      const { notices, ladder } = game.reckon(params, assume('K'));
      const rungs = [ladder.easier, ladder.harder];
      for (const change of [
        ...notices.map((notice) => notice.mend?.params),
        ...rungs.map((rung) => rung?.params),
      ]) {
        if (!change) continue;
        expect(checkJson(game.schema, change).ok).toBe(true);
        expect(change).not.toEqual(params);
      }
    }
    const climbs = game.presets.map(({ params }) => game.reckon(params, assume('K')).ladder);
    expect(climbs.some((ladder) => ladder.easier)).toBe(true);
    expect(climbs.some((ladder) => ladder.harder)).toBe(true);
  });

  it('has a mend that takes its notice away', () => {
    for (const params of good) {
      for (const notice of game.reckon(params, assume('g1')).notices) {
        if (!notice.mend || !checkParams(game, notice.mend.params).ok) continue;
        expect([params, codes(game, notice.mend.params)]).not.toEqual([
          params,
          expect.arrayContaining([notice.code]),
        ]);
      }
    }
  });

  it('tells its steps in both languages with all their numbers', () => {
    for (const params of good) {
      const steps = game.steps(params);
      for (const part of [
        'setUp',
        'turn',
        'end',
        'easier',
        'harder',
        'sideBySide',
        'younger',
        'atHome',
        'say',
        'caution',
      ])
        expect([part, steps.some((step) => step.part === part)]).toEqual([part, true]);
      for (const step of steps) {
        expect(game.words.en).toHaveProperty([step.id]);
        expect(argumentsOf(game.words.en[step.id]!).filter((name) => !(name in step.args))).toEqual([]);
        for (const language of WORDED)
          expect(say(game.words, language, step.id, step.args)).not.toMatch(/[{}]|undefined|NaN/);
      }
      for (const language of WORDED)
        expect(say(game.words, language, 'goal', game.about(params))).toBeTruthy();
    }
  });

  it('says one of a thing as one', () => {
    const wrong = new Set<string>();
    for (const params of good) {
      const reckoning = game.reckon(params, assume('g1'));
      const said = [
        ...WORDED.flatMap((language) =>
          [{ id: 'goal', args: game.about(params) }, ...game.steps(params)].map((step) =>
            say(game.words, language, step.id, step.args),
          ),
        ),
        game.subject(params),
        ...reckoning.explained.map(({ reason }) => reason),
        ...reckoning.parts.map(({ reason }) => reason),
        ...reckoning.notices.flatMap(({ text, mend }) => [text, mend?.label ?? '']),
        ...reckoning.prep,
      ];
      let turns = 0;
      for (const turn of game.play(params, seeded(6))) {
        if (++turns > 30) break;
        for (const { id, args } of [turn, turn.coach].filter((one) => one !== undefined))
          for (const language of WORDED) said.push(say(game.words, language, id, args));
      }
      for (const text of said) if (oneAsMany(text)) wrong.add(text);
    }
    expect([...wrong]).toEqual([]);
  });

  it('has no line that is never said', () => {
    const said = new Set(['name', 'goal']);
    for (const params of good) for (const step of game.steps(params)) said.add(step.id);
    for (const params of good) {
      const random = seeded(4);
      for (let i = 0; i < 8; i++)
        for (const turn of game.play(params, random)) {
          said.add(turn.id);
          if (turn.coach) said.add(turn.coach.id);
        }
    }
    expect(Object.keys(game.words.en).filter((id) => !said.has(id) && !id.startsWith('sheet.'))).toEqual([]);
  });

  it('plays as long as it reckons', () => {
    for (const { params } of game.presets) {
      const random = seeded(11);
      const { turns } = game.reckon(params, assume('g1'), { ...FULL, plays: 3000, deep: false }).length;
      const plays = 300;
      const lengths = Array.from({ length: plays }, () => [...game.play(params, random)].length);
      const average = lengths.reduce((a, b) => a + b, 0) / plays;
      const variance = turns.p.reduce((total, p, i) => total + p * (turns.from + i - mean(turns)) ** 2, 0);
      // Where the length itself is simulated, its own error comes on top.
      expect(Math.abs(average - mean(turns))).toBeLessThanOrEqual(
        4 * Math.sqrt(variance * (1 / plays + 1 / 3000)) + 1e-6,
      );
    }
  });

  it('rehearses in words it has, and ends', () => {
    for (const params of good.slice(0, 40)) {
      let turns = 0;
      for (const turn of game.play(params, seeded(3))) {
        expect(++turns).toBeLessThan(6000);
        if (turns > 60) continue;
        for (const language of WORDED) {
          expect(say(game.words, language, turn.id, turn.args)).not.toMatch(/undefined|NaN/);
          if (turn.coach)
            expect(say(game.words, language, turn.coach.id, turn.coach.args)).not.toMatch(/undefined|NaN/);
        }
      }
    }
  });
});
