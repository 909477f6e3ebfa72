import { setTimeout as pause } from 'node:timers/promises';
import { describe, expect, it } from 'vitest';
import { afterFamilies, forFamily } from './first';

describe('families first', () => {
  it('lets a page of the workroom wait while a family page is under way, and not a moment longer', async () => {
    const said: string[] = [];
    let end = (): void => undefined;
    const page = forFamily(() => new Promise<void>((done) => (end = done))).then(() => said.push('family'));
    const desk = afterFamilies().then(() => said.push('desk'));
    await pause(20);
    expect(said).toEqual([]);
    end();
    await Promise.all([page, desk]);
    expect(said.sort()).toEqual(['desk', 'family']);
    await afterFamilies();
  });

  it('keeps nobody waiting for a family page that hangs, and counts one that failed as over', async () => {
    let end = (): void => undefined;
    const hanging = forFamily(() => new Promise<void>((done) => (end = done)));
    // It goes on although that page has not ended.
    await afterFamilies();
    end();
    await hanging;
    await expect(forFamily(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    await afterFamilies();
  });
});
