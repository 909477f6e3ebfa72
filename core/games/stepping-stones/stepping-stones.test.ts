import { describe, expect, it } from 'vitest';
import { fact } from '~/core/cards/facts';
import { seeded } from '~/core/chance/random';
import { FULL } from '~/core/chance/simulate';
import { holdsTheShelfLaws } from '~/core/games/kit/laws.testing';
import { numbersIn, paramsOf, plays, strangeMeetings } from '~/core/games/kit/plays.testing';
import { apart, figuresOf, printed, refusals, sample, setting, reckoningOf } from '~/core/games/kit/testing';
import { assume, type Params, type Turn } from '~/core/games/kit/types';
import type { Shape } from '~/core/paper/sheet';
import { saidOn } from '~/core/paper/testing';
import { steppingStones } from '.';

holdsTheShelfLaws(steppingStones, { gives: [['turns.mean turns.p50 turns.p90 firstHome.mean pathMm']] });

describe('Stepping Stones', () => {
  it('takes 7.588 turns on a path of 10 with one die and the exact roll', () => {
    expect(figuresOf('stepping-stones', { length: 10, dice: 1, finish: 'exact' })['turns.mean']).toBeCloseTo(
      7.588,
      3,
    );
  });
  it.each([
    { length: 20, dice: 1, finish: 'exact', back: 'subtract' },
    { length: 10, dice: 1, finish: 'reach', back: 'subtract' },
    { length: 20, dice: 2, finish: 'reach', back: 'none' },
  ])('walks as rolling does: %j', (params) => {
    const exact = figuresOf('stepping-stones', { ...params, players: 3 });
    const random = seeded(12);
    const walk = (): number => {
      let [turns, ways] = [0, params.back === 'none' ? 1 : 2];
      for (let left = params.length; ways > 0;) {
        let rolled = 0;
        for (let die = 0; die < params.dice; die++) rolled += random.whole(1, 6);
        turns++;
        if (params.finish === 'reach' || rolled <= left) left -= rolled;
        if (left <= 0) {
          ways--;
          left = params.length;
        }
      }
      return turns;
    };
    expect(apart(exact['turns.mean']!, sample(20_000, walk))).toBeLessThan(4);
    expect(
      apart(
        exact['firstHome.mean']!,
        sample(20_000, () => Math.min(walk(), walk(), walk())),
      ),
    ).toBeLessThan(4);
  });
  it('goes home by the difference of two dice as rolling does', () => {
    const exact = figuresOf('stepping-stones', { length: 10, dice: 2, back: 'difference', finish: 'exact' });
    const random = seeded(5);
    const walk = (): number | undefined => {
      let [turns, at] = [0, 0];
      while (at < 10) {
        const rolled = random.whole(1, 6) + random.whole(1, 6);
        // One stone before the end two dice never help.
        if (at === 9) return undefined;
        turns++;
        if (at + rolled <= 10) at += rolled;
      }
      for (let left = 10; left > 0; turns++) {
        const apart = Math.abs(random.whole(1, 6) - random.whole(1, 6));
        if (apart <= left) left -= apart;
      }
      return turns;
    };
    expect(
      apart(
        exact['arrives.chance']!,
        sample(20_000, () => Number(walk() !== undefined)),
      ),
    ).toBeLessThan(4);
    const reach = figuresOf('stepping-stones', { length: 5, dice: 2, back: 'difference' });
    const home = (): number => {
      let turns = 1;
      for (let at = random.whole(1, 6) + random.whole(1, 6); at < 5;) {
        at += random.whole(1, 6) + random.whole(1, 6);
        turns++;
      }
      for (let left = 5; left > 0; turns++) left -= Math.abs(random.whole(1, 6) - random.whole(1, 6));
      return turns;
    };
    expect(apart(reach['turns.mean']!, sample(20_000, home))).toBeLessThan(4);
    expect(refusals('stepping-stones', { dice: 1, back: 'difference' }).dice).toMatch(/between two dice/);
  });

  it('never leaves two on one stone where the last goes further, and gets home sooner', () => {
    for (const change of [{ players: 4 }, { players: 3, back: 'subtract', finish: 'exact' }] as Params[])
      for (const { turns } of plays(steppingStones, { ...change, meet: 'further' }, 60)) {
        const at = new Map<number, number>();
        for (const turn of turns) {
          const [stone] = numbersIn(turn, 'stone') as [number];
          if (turn.id !== 'play.home') {
            const others = [...at].filter(([player]) => player !== turn.player).map(([, one]) => one);
            if (turn.id !== 'play.waits' && stone > 0) expect(others).not.toContain(stone);
            at.set(turn.player, stone);
          }
        }
      }
    const alone = figuresOf('stepping-stones', { players: 4, length: 20 });
    const further = reckoningOf(
      steppingStones,
      { players: 4, length: 20, meet: 'further' },
      { ...FULL, plays: 4000 },
    );
    const mean = further.figures['firstHome.mean'] as number;
    expect(mean).toBeLessThan(alone['firstHome.mean']!);
    expect(further.explained.find(({ name }) => name === 'firstHome.mean')!.error).toBeLessThan(0.05);
  });

  it('meets what a crowded path practises as often as it says', () => {
    const params = { players: 3, meet: 'further' };
    const { practice } = reckoningOf(steppingStones, params, { ...FULL, plays: 4000 });
    const played = plays(steppingStones, params, 4000, 3);
    for (const n of [1, 4, 6]) {
      const reckoned = practice
        .filter((one) => one.fact.op === 'add' && one.fact.b === n)
        .reduce((total, one) => total + one.meetings, 0);
      const met = played.map(
        ({ turns }) => turns.filter(({ args }) => Number(args.stone) - Number(args.before) === n).length,
      );
      const mean = met.reduce((a, b) => a + b, 0) / met.length;
      const variance = met.reduce((total, one) => total + (one - mean) ** 2, 0) / met.length;
      expect(Math.abs(mean - reckoned)).toBeLessThan(5 * Math.sqrt((2 * variance) / met.length));
    }
  });

  it('measures the path, and knows a path nobody can finish', () => {
    expect(figuresOf('stepping-stones', { length: 10, stoneMm: 300, gapMm: 100 }).pathMm).toBe(3900);
    const stuck = figuresOf('stepping-stones', { dice: 2, finish: 'exact' });
    const random = seeded(1);
    const arrives = sample(20_000, () => {
      let at = 0;
      while (at < 9) {
        const rolled = random.whole(1, 6) + random.whole(1, 6);
        if (at + rolled <= 10) at += rolled;
      }
      return at === 10 ? 1 : 0;
    });
    expect(apart(stuck['arrives.chance']!, arrives)).toBeLessThan(4);
  });
});

describe('the sheets of Stepping Stones', () => {
  it('a path whose stones follow one another, every number once', () => {
    const path = printed('stepping-stones', { place: 'table', length: 20, stoneMm: 40, gapMm: 0 });
    const numbers = path.flatMap((sheet) => saidOn(sheet).filter((text) => /^\d+$/.test(text)));
    expect(numbers).toEqual(Array.from({ length: 20 }, (_, i) => String(i + 1)));
    const links = path.flatMap((sheet) =>
      sheet.shapes.filter((shape) => shape.kind === 'line' && shape.strokeMm === 3),
    ) as Extract<Shape, { kind: 'line' }>[];
    for (const { x1, y1, x2, y2 } of links) expect(Math.hypot(x2 - x1, y2 - y1)).toBeCloseTo(42, 6);
    const more = printed('stepping-stones', { place: 'table', length: 20, stoneMm: 90, gapMm: 5 });
    expect(more.length).toBeGreaterThan(1);
    expect(saidOn(more[0]!).join()).toContain('Tape the strips together');
    expect(() => printed('stepping-stones', { place: 'table', stoneMm: 300 })).toThrow(
      /a stone of 300 mm is wider than what can be printed on Letter paper\. Make it smaller/,
    );
  });
});

const read = (turn: Turn) => {
  const [rolled, before, stone] = numbersIn(turn, 'rolled', 'before', 'stone') as [number, number, number];
  return { rolled, before, stone };
};

describe('a play of Stepping Stones', () => {
  it('walks on by what was rolled, everyone from the stone they stood on', () => {
    for (const change of [{ players: 3 }, { length: 20, dice: 2 }, { finish: 'exact' }] as Params[]) {
      const { length, players, finish } = paramsOf(steppingStones, change) as {
        length: number;
        players: number;
        finish: string;
      };
      for (const { turns, outcome } of plays(steppingStones, change, 40)) {
        const at = new Array<number>(players).fill(0);
        turns.forEach((turn, i) => {
          expect(turn.player).toBe((i % players) + 1);
          const { rolled, before, stone } = read(turn);
          expect(before).toBe(at[turn.player - 1]);
          const wanted = before + rolled;
          if (wanted <= length) expect(stone).toBe(wanted);
          else expect(stone).toBe(finish === 'exact' ? before : length);
          expect(turn.id === 'play.waits').toBe(stone === before);
          expect(turn.id === 'play.home').toBe(i === turns.length - 1);
          at[turn.player - 1] = stone;
        });
        expect(outcome.rounds).toBe(Math.ceil(turns.length / players));
      }
    }
  });

  it('says what is needed when a roll would pass', () => {
    const waits = plays(steppingStones, { finish: 'exact' }, 60).flatMap(({ turns }) =>
      turns.filter(({ id }) => id === 'play.waits'),
    );
    expect(waits.length).toBeGreaterThan(20);
    for (const turn of waits) {
      const { rolled, before } = read(turn);
      expect(turn.coach).toEqual({ id: 'play.need', args: { need: 10 - before } });
      expect(rolled).toBeGreaterThan(10 - before);
    }
  });

  it('goes to the end and comes back, taking away', () => {
    for (const { turns } of plays(steppingStones, { back: 'subtract', players: 1 }, 40)) {
      const turned = turns.findIndex((turn) => read(turn).stone === 10);
      expect(turned).toBeGreaterThan(0);
      for (const [i, turn] of turns.entries()) {
        const { before, stone, rolled } = read(turn);
        if (i <= turned) expect(stone).toBe(Math.min(10, before + rolled));
        else expect(stone).toBe(Math.max(0, before - rolled));
      }
      expect(read(turns.at(-1)!).stone).toBe(0);
    }
  });

  it('meets each sum as often as it reckons, alone on the path or until the first is home', () => {
    const met = (turn: Turn) => {
      const { before, stone } = read(turn);
      return stone > before
        ? [fact('add', before, stone - before)]
        : stone < before
          ? [fact('subtract', before, before - stone)]
          : [];
    };
    for (const change of [
      { players: 1 },
      { players: 1, finish: 'exact' },
      { players: 1, back: 'subtract' },
      { players: 3 },
      { players: 4, finish: 'exact', back: 'subtract' },
    ] as Params[])
      expect([
        change,
        strangeMeetings(steppingStones, change, change.back ? ['add', 'subtract'] : ['add'], met, 3000),
      ]).toEqual([change, []]);
  });

  it('gets home as fast as it reckons', () => {
    const { figures } = setting(steppingStones, { players: 3, finish: 'exact' }).reckon(assume('K'));
    const rounds = plays(steppingStones, { players: 3, finish: 'exact' }, 3000).map(
      ({ outcome }) => outcome.rounds!,
    );
    const mean = rounds.reduce((a, b) => a + b, 0) / rounds.length;
    const spread = Math.sqrt(rounds.reduce((sum, n) => sum + (n - mean) ** 2, 0) / rounds.length);
    expect(Math.abs(mean - (figures['firstHome.mean'] as number))).toBeLessThan(
      (4 * spread) / Math.sqrt(rounds.length),
    );
  });
});

it('leaves turns.mean out where there is none, and says why', () => {
  const { figures, notices } = reckoningOf(
    steppingStones,
    { dice: 2, finish: 'exact' },
    { ...FULL, plays: 200 },
  );
  expect(figures).not.toHaveProperty(['turns.mean']);
  expect(notices.filter(({ severity }) => severity === 'stop').map(({ code }) => code)).toContain(
    'cannot-arrive',
  );
});
