import { describe, expect, it } from 'vitest';
import { SHELF } from '~/core/games/shelf';
import { recipeOf } from '~/core/kits/recipe';
import { nameOf } from '~/core/words/reading';
import { mostAt, ofStore, partsOfAll, partsOfTables } from './parts';
import { emptyPlan, type EveningPlan } from './plan';
import type { Rotation } from './rotation';

const game = SHELF.find(({ id }) => id === 'two-tone-spill')!;
const preset = game.presets[0]!;
const plan = (tables: number, seats: number, rounds = 2): EveningPlan => ({
  ...emptyPlan({ rounds, roundMinutes: 12, changeMinutes: 3 }),
  groups: [
    { id: 'A', size: 5, languages: ['en'], band: 'K' },
    { id: 'B', size: 4, languages: ['es'], band: 'K' },
  ],
  tables: Array.from({ length: tables }, (_, i) => ({
    id: `T${i + 1}`,
    seats,
    game: { gameId: game.id, name: nameOf(game), params: preset.params, ageBand: preset.ageBand },
  })),
});
const together: Rotation = {
  plan: [
    { round: 1, table: 'T1', groups: ['A', 'B'] },
    { round: 1, table: 'T2', groups: [] },
    { round: 2, table: 'T1', groups: [] },
    { round: 2, table: 'T2', groups: ['A', 'B'] },
  ],
  hosts: [],
  heard: 0,
  of: 4,
};

describe('the parts of the tables', () => {
  it('are for the most who sit there in any round, and for all seats while nobody is placed', () => {
    expect(mostAt(plan(2, 12), together, 'T1')).toBe(9);
    expect(mostAt(plan(2, 12), undefined, 'T1')).toBe(12);
    expect(mostAt(plan(3, 12), together, 'T3')).toBe(0);
    expect(partsOfTables(plan(3, 12), together).map(({ table }) => table)).toEqual(['T1', 'T2']);
  });

  it('seat everybody at once in sets that are as even as can be, whatever the game and the table', () => {
    for (const one of SHELF)
      for (const { params, ageBand, name } of one.presets)
        for (const seats of [1, 3, 7, 12]) {
          const of: EveningPlan = {
            ...plan(0, seats),
            tables: [{ id: 'T', seats, game: { gameId: one.id, name, params, ageBand } }],
          };
          const [table] = partsOfTables(of, undefined);
          const { sets, players, parts } = table!;
          expect(sets * players).toBeGreaterThanOrEqual(seats);
          // One set less would leave somebody without a seat.
          const most = recipeOf({
            ageBand,
            players: seats,
            assurance: 'usual',
            variants: [{ gameId: one.id, name, params }],
          }).variants[0]!.players;
          expect(sets).toBe(Math.ceil(seats / most));
          expect(parts.every(({ quantity }) => Number.isInteger(quantity) && quantity > 0)).toBe(true);
          expect(parts.every(({ quantity }) => quantity % sets === 0)).toBe(true);
        }
  });

  it('add up over tables that play at the same time, and sheets that are written on over rounds', () => {
    const one = partsOfAll(partsOfTables(plan(1, 12), undefined));
    const three = partsOfAll(partsOfTables(plan(3, 12), undefined));
    expect(three.map(({ quantity }) => quantity)).toEqual(one.map(({ quantity }) => 3 * quantity));
    expect(three.every(({ tables }) => tables.length === 3)).toBe(true);
    const sheets = (rounds: number) =>
      partsOfAll(partsOfTables(plan(1, 12, rounds), undefined)).find(
        ({ material }) => material === 'record-sheet',
      )!.quantity;
    expect(sheets(5)).toBe(5 * sheets(1));
  });

  it('come from the store, from the printer, or are brought', () => {
    const all = partsOfAll(partsOfTables(plan(1, 12), undefined));
    expect(all.find(({ material }) => material === 'two-colour-counter')).toMatchObject({ from: 'store' });
    expect(all.find(({ material }) => material === 'record-sheet')).toMatchObject({ from: 'print' });
    expect(Object.keys(ofStore(all))).toEqual(
      all.filter(({ from }) => from === 'store').map(({ material }) => material),
    );
    expect(partsOfAll([])).toEqual([]);
  });
});
