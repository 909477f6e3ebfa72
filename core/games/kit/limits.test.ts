import { describe, expect, it } from 'vitest';
import { mean } from '~/core/chance/pmf';
import { FULL } from '~/core/chance/simulate';
import { gameOf } from '~/core/games/shelf';
import { settle } from './game';
import { LONGEST_MINUTES, MOST_PIECES } from './limits';
import { assume, type AgeBand, type Params } from './types';

const reckon = (id: string, change: Params, ageBand: AgeBand = 'g1') => {
  const game = gameOf(id);
  return settle(game, { ...game.presets[0]!.params, ...change }).reckon(assume(ageBand), {
    ...FULL,
    plays: 400,
  });
};
const noticeOf = (of: ReturnType<typeof reckon>, code: string) => of.notices.find((one) => one.code === code);

describe('what is too much for a child or a bag', () => {
  it('is a play longer than is good for the age, and its mend is the longest that is not', () => {
    // 40 spills of two seconds more than a minute: far too long for the youngest, and for nobody else what it says.
    for (const ageBand of ['preK', 'K', 'g1', 'g2'] as const) {
      const long = reckon('two-tone-spill', { spills: 40 }, ageBand);
      expect(long.length.minutes.mean).toBeGreaterThan(LONGEST_MINUTES[ageBand] - 1);
      const notice = noticeOf(long, 'too-long');
      if (long.length.minutes.mean <= LONGEST_MINUTES[ageBand]) {
        expect(notice).toBeUndefined();
        continue;
      }
      expect(notice!.text).toContain(`${long.length.minutes.mean} minutes`);
      const spills = notice!.mend!.params.spills as number;
      expect(noticeOf(reckon('two-tone-spill', { spills }, ageBand), 'too-long')).toBeUndefined();
      expect(noticeOf(reckon('two-tone-spill', { spills: spills + 1 }, ageBand), 'too-long')).toBeDefined();
    }
  });

  it('is more pieces than are counted back into a bag, and their weight', () => {
    const many = reckon('skyline-rolls', { dice: 3, rolls: 20, players: 4 });
    expect(noticeOf(many, 'too-many')!.text).toMatch(/connecting cubes are more than a bag holds/);
    const mend = noticeOf(many, 'too-many')!.mend!.params;
    const cubes = (of: ReturnType<typeof reckon>) =>
      of.parts.find(({ material }) => material === 'cube')!.enough;
    expect(cubes(many)).toBeGreaterThan(MOST_PIECES);
    expect(cubes(reckon('skyline-rolls', mend))).toBeLessThanOrEqual(MOST_PIECES);
    const dough = reckon('dough-dots', { max: 20, ballMm: 40, players: 4 });
    expect(noticeOf(dough, 'too-heavy')!.text).toMatch(/^The parts weigh \d[\d.]* kg/);
  });

  it('takes half of a deck where that halves the play', () => {
    const game = gameOf('tide-pairs');
    const long = reckon('tide-pairs', { target: 'same' }, 'K');
    const mend = noticeOf(long, 'too-long')!.mend!;
    expect(mend.label).toBe('Play with the red cards only');
    const short = settle(game, mend.params).reckon(assume('K'), FULL);
    expect(mean(short.length.turns)).toBeLessThan(0.6 * mean(long.length.turns));
  });

  it('says nothing of a play that is neither', () => {
    const { notices } = reckon('two-tone-spill', {});
    expect(notices.filter(({ code }) => code.startsWith('too-'))).toEqual([]);
  });
});
