import { describe, expect, it } from 'vitest';
import { FULL } from '~/core/chance/simulate';
import { gameOf } from '.';
import { assume } from '~/core/games/kit/types';
import { reckoningOf } from '~/core/games/kit/testing';
import type { Params } from '~/core/games/kit/types';

/** Every figure that each game promises, with the parameters under which it applies. */
const PROMISED: [id: string, names: string, params?: Params][] = [
  ['two-tone-spill', 'ways spillsToSeeAll.mean spillsToSeeAll.p95 distinctAfterSpills.mean rarestWay.chance'],
  ['peg-slide', 'ways pegs'],
  ['number-nests', 'cards cardsPerNest.min cardsPerNest.max'],
  ['leaf-twins', 'perSheet sheets pouches boardRows factFamilies'],
  ['bond-triangles', 'cards sentences'],
  ['tide-pairs', 'kept removed pairs leftover dealable turns.mean turns.p90 allPaired.chance'],
  ['five-to-mark', 'solvable.chance fewest.2 fewest.3 fewest.4 fewest.5 hardestTarget'],
  ['write-the-ways', 'ways'],
  ['bigger-pile', 'kept rounds tie.chance answer.min answer.max distinctFacts'],
  ['bigger-pile', 'counters', { op: 'add' }],
  ['hat-numbers', 'rounds call.min call.max distinctFacts undetermined.chance'],
  ['match-either', 'cards canFollow.chance neverStuckHand'],
  ['row-call', 'callsAvailable finish.chance calls.mean tie.chance'],
  [
    'blanket-board',
    'slips chips callsToFirst.mean callsToLast.mean tie.chance boardsDistinct sharedCells.max',
  ],
  ['blanket-board', 'callsToFirst.mean callsToLast.mean tie.chance', { win: 'line' }],
  ['harvest-mat', 'rollsToCover.mean rollsToCover.p95 unreachable wasted.chance'],
  ['harvest-mat', 'cardsNeeded', { source: 'cards' }],
  ['stack-and-find', 'blocksAllTowers'],
  ['stack-and-find', 'sectors spinsToCover.mean spinsToCover.p95', { source: 'spinner' }],
  ['tile-sums', 'tiles answers rarest'],
  ['skyline-rolls', 'perPlayer.mean perPlayer.p95 kit.p95 kit.max towerMm.p95'],
  ['skyline-rolls', 'rollsToReach.mean rollsToReach.p90', { goal: 'reach' }],
  ['market-cups', 'cups pieces.p95 pieces.max product.mean distinctFacts turnarounds'],
  ['dough-dots', 'cards doughGrams'],
  ['pin-notes', 'facts lines spread.mean spread.p90'],
  ['cup-machine', 'counters'],
  ['peek-and-say', 'cards glance.share'],
  ['peek-and-say', 'pairs', { groups: 2 }],
  ['fetch-that-many', 'slips itemsOfOneKind itemsAll'],
  ['frame-trail', 'frames counters problemsAvailable'],
  ['story-pond', 'cards pieces'],
  ['puzzle-halves', 'pieces sheets'],
  ['stepping-stones', 'turns.mean turns.p50 turns.p90 firstHome.mean pathMm'],
  ['chalk-orbits', 'areaM2 score.mean score.p10 score.p90 draw.chance'],
  ['answer-hop', 'ways.1 ways.2 ways.10 fewestWays'],
  ['pebble-court', 'areaM2 hops'],
  ['three-stones', 'stones'],
];

describe('the figures of the games', () => {
  it.each(PROMISED)('%s gives %s', (id, names, params = {}) => {
    const { figures, pending } = reckoningOf(id, params, { ...FULL, plays: 200 });
    expect(names.split(' ').filter((name) => !(name in figures))).toEqual([]);
    expect(pending).toEqual([]);
  });

  it.each([
    ['never-covered', 'harvest-mat', { cells: [1, 2, 3] }, 'rollsToCover.mean'],
    ['not-dealable', 'tide-pairs', { target: 20, players: 4 }, 'turns.mean'],
    ['cannot-arrive', 'stepping-stones', { dice: 2, finish: 'exact' }, 'turns.mean'],
  ] as [string, string, Params, string][])('are left out with the notice %s', (code, id, params, name) => {
    const game = gameOf(id);
    const start = id === 'harvest-mat' ? game.presets.find((one) => one.id === 'each')! : game.presets[0]!;
    const { figures, notices } = game.reckon({ ...start.params, ...params }, assume('g1'), {
      ...FULL,
      plays: 200,
    });
    expect(figures).not.toHaveProperty([name]);
    expect(notices.filter((notice) => notice.severity === 'stop').map((notice) => notice.code)).toContain(
      code,
    );
  });

  it('that take long are named as pending until they are there', () => {
    const { figures, pending } = reckoningOf('five-to-mark');
    expect(pending).toEqual([
      'solvable.chance',
      'fewest.2',
      'fewest.3',
      'fewest.4',
      'fewest.5',
      'hardestTarget',
    ]);
    expect(pending.filter((name) => name in figures)).toEqual([]);
  });

  it('that are simulated say how, and come out the same for the same seed', () => {
    const once = reckoningOf('tide-pairs', {}, { ...FULL, plays: 500 });
    expect(once.simulated).toEqual({ seed: 1, plays: 500 });
    expect(once.explained.find((one) => one.name === 'turns.mean')!.error).toBeGreaterThan(0);
    expect(reckoningOf('tide-pairs', {}, { ...FULL, plays: 500 }).figures).toEqual(once.figures);
    expect(reckoningOf('tide-pairs', {}, { ...FULL, plays: 500, seed: 2 }).figures).not.toEqual(once.figures);
  });

  it('tell how far they are', () => {
    const shares: number[] = [];
    reckoningOf('tide-pairs', {}, { ...FULL, plays: 1000, progress: (share) => shares.push(share) });
    reckoningOf('five-to-mark', { ops: ['+'] }, { ...FULL, progress: (share) => shares.push(share) });
    expect(shares.length).toBeGreaterThan(4);
    expect(shares.every((share) => share > 0 && share <= 1)).toBe(true);
  });
});
