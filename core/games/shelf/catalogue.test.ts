import { describe, expect, it } from 'vitest';
import { materials } from '~/core/materials/catalogue';
import { gameOf, SHELF } from '.';
import { ANYTHING, lacking, meeting, type AtHand, type Wish } from './catalogue';
import { entryOf } from './entry';
import { SKILLS } from '~/core/games/kit/skills';

const entries = SHELF.map(entryOf);
/** So many that no game lacks any, or some that nobody counted. */
const everything: AtHand = Object.fromEntries(materials().map(({ id }) => [id, null]));
const found = (wish: Partial<Wish>, atHand: AtHand = everything) =>
  entries
    .filter((entry) => meeting(entry, { ...ANYTHING, ...wish }, atHand).length > 0)
    .map((entry) => entry.gameId);

it('is plain data, so that it can be written when the application is built', () => {
  expect(JSON.parse(JSON.stringify(entries))).toEqual(entries);
});

describe('narrowing the shelf', () => {
  it('shows everything to who wishes nothing', () => {
    expect(found({})).toEqual(SHELF.map(({ id }) => id));
  });
  it('searches in both languages, without accents', () => {
    expect(found({ text: 'tide' })).toEqual(['tide-pairs']);
    expect(found({ text: 'MAQUINA' })).toEqual(['cup-machine']);
    expect(found({ text: 'triangulos' })).toEqual(['bond-triangles']);
  });
  it('has a game for every skill', () => {
    for (const skill of SKILLS.filter((one) => one !== 'taking away beyond 20' && one !== 'adding beyond 20'))
      expect([skill, found({ skill }).length > 0]).toEqual([skill, true]);
  });
  it('narrows by what matters, and only ever narrows', () => {
    expect(found({ place: 'outdoors' })).toContain('chalk-orbits');
    expect(found({ place: 'outdoors' })).not.toContain('tide-pairs');
    expect(found({ byVideo: true })).toContain('tide-pairs');
    expect(found({ players: 1 })).not.toContain('hat-numbers');
    expect(found({ players: 3, ageBand: 'g2' })).toContain('hat-numbers');
    expect(found({ minutes: 5, noReading: true, quiet: true }).length).toBeGreaterThan(0);
    for (const wish of [
      { quiet: true },
      { minutes: 8 },
      { ageBand: 'K' as const },
      { skill: 'comparing' as const },
    ])
      expect(found(wish).length).toBeLessThan(SHELF.length);
  });
  it('knows what the store lacks', () => {
    const mat = entryOf(gameOf('harvest-mat')).presets[0]!;
    expect(lacking(mat, {})).toEqual(['die', 'chip']);
    expect(lacking(mat, { die: 1, chip: 5 })).toEqual(['chip']);
    expect(lacking(mat, { die: 1, chip: null })).toEqual([]);
    expect(lacking(mat, { die: 2, chip: 11 }, 2)).toEqual(['chip']);
    expect(found({ atHand: true }, {})).toEqual(expect.arrayContaining(['puzzle-halves', 'clap-a-count']));
    expect(found({ atHand: true }, {})).not.toContain('harvest-mat');
    expect(found({ atHand: true }, { die: 2, chip: 12 })).toContain('harvest-mat');
    expect(found({ atHand: true, copies: 9 }, { die: 2, chip: 12 })).not.toContain('harvest-mat');
  });
});
