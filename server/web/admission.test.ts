import { describe, expect, it } from 'vitest';
import { admitted, laneOf } from './admission';

const here = new AbortController().signal;

describe('who is let in', () => {
  it('tells the desk, families and what they send from other pages', () => {
    expect(laneOf('GET', '/lend')).toBe('desk');
    expect(laneOf('GET', '/take-back/1234.data')).toBe('desk');
    expect(laneOf('POST', '/lend/hall/act')).toBe('act');
    expect(laneOf('GET', '/p/abc')).toBe('family');
    expect(laneOf('POST', '/p/abc/answer')).toBe('act');
    expect(laneOf('GET', '/look-back')).toBe('other');
    expect(laneOf('GET', '/lend/families/cards.pdf')).toBe('slow');
    expect(laneOf('POST', '/fill/store')).toBe('act');
  });

  it('finishes what is inside, lets the next in, and turns away who finds no place', async () => {
    const ends: (() => void)[] = [];
    let inside = 0;
    let most = 0;
    const one = (): Promise<'full' | undefined> =>
      admitted('other', here, async () => {
        most = Math.max(most, ++inside);
        await new Promise<void>((done) => ends.push(done));
        inside--;
      });
    const asked = Array.from({ length: 40 }, one);
    const answers = Promise.all(asked);
    // Those beyond the places and the queue are told at once; those in the queue after a moment.
    const first = await Promise.race(asked.slice(30));
    expect(first).toBe('full');
    expect(inside).toBe(most);
    for (let ended = 0; ended < 8; ended++) {
      while (ends.length === 0) await new Promise((done) => setTimeout(done, 5));
      ends.shift()!();
    }
    const rest = setInterval(() => ends.splice(0).forEach((end) => end()), 10);
    const all = await answers;
    clearInterval(rest);
    expect(all.filter((answer) => answer === undefined).length).toBeGreaterThanOrEqual(8);
    expect(all.filter((answer) => answer === 'full').length).toBeGreaterThan(0);
    expect(inside).toBe(0);
    // Families do not wait for others.
    expect(await admitted('family', here, async () => undefined)).toBeUndefined();
  });

  it('gives the place back when the work fails, and keeps none for who has left', async () => {
    for (let i = 0; i < 30; i++)
      await expect(admitted('desk', here, () => Promise.reject(new Error('broken')))).rejects.toThrow(
        'broken',
      );
    const left = new AbortController();
    const ends: (() => void)[] = [];
    const busy = Array.from({ length: 6 }, () =>
      admitted('desk', here, () => new Promise<void>((done) => ends.push(done))),
    );
    const waits = admitted('desk', left.signal, () => Promise.reject(new Error('it was begun')));
    left.abort();
    expect(await waits).toBe('full');
    ends.forEach((end) => end());
    await Promise.all(busy);
  });
});
