import { describe, expect, it } from 'vitest';
import { gameOf, SHELF } from '~/core/games/shelf';
import { check as checkOf } from './check';
import { skillsOf } from './skills';
import { fact } from '~/core/cards/facts';

const check = (id: string, input: unknown) => checkOf(gameOf(id), input);
const value = (id: string, input: unknown) => {
  const checked = check(id, input);
  return checked.ok ? checked.value.params : checked.errors;
};

describe('parameters from outside', () => {
  it('take their defaults', () => {
    for (const game of SHELF) expect(checkOf(game, {}).ok).toBe(true);
    expect(value('peg-slide', {})).toEqual({ whole: [5], order: 'ordered', players: 2 });
  });
  it('are eased where what is meant is clear', () => {
    expect(value('peg-slide', { whole: 7 })).toMatchObject({ whole: [7] });
    expect(value('five-to-mark', { ops: ['+', '-', '*', '/'] })).toMatchObject({ ops: ['+', '−', '×', '÷'] });
    expect(value('five-to-mark', { ops: '+-', jokers: 15 })).toMatchObject({ ops: ['+', '−'], jokers: '15' });
    expect(value('tide-pairs', { target: '12', hand: '7' })).toMatchObject({ target: 12, hand: 7 });
    expect(value('tide-pairs', { missing: 'seven' })).toEqual({
      missing: 'Cards this deck lacks: “SEVEN” is none of them.',
    });
    expect(value('tide-pairs', { missing: '7♥ ks' })).toMatchObject({ missing: ['KS', '7H'] });
    expect(value('leaf-twins', { shape: 'fish', shapeMm: { w: 50, h: 40 } })).toMatchObject({
      shapeMm: { w: 50, h: 40 },
    });
  });
  it('are refused by their own name, one sentence each', () => {
    expect(value('market-cups', { cups: { from: 0, to: 9 } })).toEqual({
      cups: 'Cups, from must be from 1 to 10.',
    });
    expect(value('market-cups', { cups: 3 })).toEqual({ cups: 'Cups must be given as an object.' });
    expect(value('harvest-mat', { cells: [2, 'x'] })).toEqual({
      cells: 'Numbers on the mat must be a whole number from 0 to 20.',
    });
    expect(value('harvest-mat', { cells: [] })).toEqual({
      cells: 'Choose at least 1 for numbers on the mat.',
    });
    expect(value('three-stones', { sums: 'yes' })).toEqual({
      sums: 'With numbers: a row must make 15 must be true or false.',
    });
    expect(value('stack-and-find', { to: 7 })).toMatchObject({
      to: expect.stringMatching(/^Numbers must be one of: 5 \(to 5/),
    });
    expect(value('tile-sums', { limit: 3, players: 9 })).toEqual({
      limit: 'Largest sum must be from 6 to 12.',
      players: 'Players must be from 1 to 4.',
    });
    expect(value('answer-hop', { digits: 5 })).toEqual({
      digits: 'Digits is a list of at least 2, such as [1, 2].',
    });
    for (const input of [null, 7, 'text', []]) expect(check('tile-sums', input).ok).toBe(false);
  });
});

describe('skills', () => {
  const of = (...facts: [...Parameters<typeof fact>, number][]) =>
    skillsOf(facts.map(([op, a, b, meetings]) => ({ fact: fact(op, a, b), meetings: meetings ?? 1 })));
  it('follow from what is met: within 10 when three in four sums are at most 10', () => {
    expect(of(['add', 4, 5, 3], ['add', 7, 8, 1])).toEqual(['adding within 10']);
    expect(of(['add', 4, 5, 2], ['add', 7, 8, 1])).toEqual(['adding within 20']);
    expect(of(['add', 30, 5, 1])).toEqual(['adding beyond 20']);
    expect(of(['subtract', 4, 3, 1])).toEqual(['taking away within 5']);
  });
  it('leave out what is hardly met, and see numbers below zero', () => {
    expect(of(['add', 1, 1, 95], ['multiply', 2, 3, 5])).toEqual(['adding within 5']);
    expect(of(['add', -3, 2, 1])).toEqual(['adding within 5', 'below zero']);
    expect(of(['split', 2, 3, 1], ['split', 4, 6, 1], ['split', 3, 4, 1])).toEqual([
      'splitting 5',
      'splitting 10',
      'splitting other wholes',
    ]);
    expect(skillsOf([])).toEqual([]);
  });
});
