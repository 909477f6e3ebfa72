import { split } from '~/core/cards/facts';
import {
  distinctSeen,
  drawsToSeeAllQuantile,
  meanDistinctSeen,
  meanDrawsToSeeAll,
} from '~/core/chance/coverage';
import { map, nFold, point } from '~/core/chance/pmf';
import { levels, need, type Answers, type Figure, type Ladder, type Notice } from '~/core/games/kit';
import { count, plain, share } from '~/core/words/numbers';
import type { SpillParams } from '.';
import { ways as waysOf } from './rules';

const LEVELS = [3, 4, 5, 6, 7, 8, 9, 10, 12, 15, 20];

const SET_UP_MINUTES = 1;

/** Exact: spills are independent, the ways have binomial odds (see `ways`). */
export function reckon(params: SpillParams): Answers {
  const { counters, spills, players, order, finish } = params;
  const ways = waysOf(params);
  const odds = ways.map((way) => way.chance);
  const toSeeAll = { mean: meanDrawsToSeeAll(odds), p95: drawsToSeeAllQuantile(odds, 0.95) };
  const distinct = meanDistinctSeen(odds, spills);
  const rarest = Math.min(...odds);
  const seen = distinctSeen(odds, spills);
  const turnsEach =
    finish === 'turnOver' ? map(seen, (count) => spills + ways.length - count) : point(spills);
  const practice = ways.map((way) => ({
    fact: split(way.a, way.b),
    // When missing ways are turned over at the end, every way is met at least once by each player.
    meetings: players * (spills * way.chance + (finish === 'turnOver' ? (1 - way.chance) ** spills : 0)),
  }));

  const explained: Figure[] = [
    {
      name: 'ways',
      label: 'Ways to split',
      value: ways.length,
      unit: 'ways',
      reason:
        order === 'ordered'
          ? `From 0 and ${counters} to ${counters} and 0; order counts.`
          : `From ${counters} and 0 to ${ways.at(-1)!.a} and ${ways.at(-1)!.b}; order does not count.`,
    },
    {
      name: 'distinctAfterSpills.mean',
      label: 'Ways a child sees',
      value: distinct,
      unit: `of ${ways.length}`,
      reason: `The average over ${count(spills, 'spill')}; the middle ways come again and again.`,
    },
    {
      name: 'spillsToSeeAll.mean',
      label: 'Spills to see every way',
      value: toSeeAll.mean,
      unit: 'spills',
      reason: 'The average, by shaking alone.',
    },
    {
      name: 'spillsToSeeAll.p95',
      label: 'Spills to be nearly sure',
      value: toSeeAll.p95,
      unit: 'spills',
      reason: '95 of 100 children have seen every way by then.',
    },
    {
      name: 'rarestWay.chance',
      label: 'Rarest way',
      value: rarest,
      unit: 'per spill',
      reason: `${counters} and 0: ${order === 'ordered' ? 'every counter on one given side' : 'every counter on the same side'}, ${share(rarest)}.`,
    },
  ];

  return {
    figures: explained,
    parts: [
      need(
        'two-colour-counter',
        counters,
        `${counters} counters are spilled together; the players share them in turns.`,
      ),
      need('cup', 1, 'One cup to shake, passed on after each spill.'),
      need(
        'record-sheet',
        players,
        `One sheet of ${count(spills, 'row')} for each of ${count(players, 'player')}.`,
      ),
      need('mat', 1, 'A number-bond mat: the two colors are sorted onto its parts.'),
      need('pencil', players, 'One for each player.'),
    ],
    prep: [
      `Count ${counters} counters into the cup.`,
      `Print ${count(players, 'record sheet')} of ${count(spills, 'row')}.`,
    ],
    turns: nFold(turnsEach, players),
    setUpMinutes: SET_UP_MINUTES,
    practice,
    space: { place: 'table', widthMm: 600, depthMm: 400 },
    players: { fewest: 1, most: 4, alone: true },
    notices: notices(params, ways.length, distinct, toSeeAll, seen.p.at(-1)!),
    ladder: reckonLadder(params),
  };
}

function notices(
  params: SpillParams,
  ways: number,
  distinct: number,
  toSeeAll: { mean: number; p95: number },
  allSeen: number,
): Notice[] {
  const { counters, spills, players, finish } = params;
  const found: Notice[] = [];
  if (finish === 'asTheyFall' && allSeen < 0.5) {
    found.push({
      code: 'all-ways-unlikely',
      severity: 'mind',
      text: `Shaking will not show all ${ways} ways: that takes ${plain(toSeeAll.mean)} spills on average, and ${count(spills, 'spill')} ${spills === 1 ? 'shows' : 'show'} about ${plain(distinct)}.`,
      mend: { label: 'Turn counters over at the end', params: { ...params, finish: 'turnOver' } },
    });
  }
  if (finish === 'asTheyFall' && spills < ways) {
    found.push({
      code: 'fewer-spills-than-ways',
      severity: 'know',
      text: `${spills} ${spills === 1 ? 'row has' : 'rows have'} no room for all ${ways} ways, even with luck.`,
      mend: { label: `Make it ${ways} spills`, params: { ...params, spills: ways } },
    });
  }
  if (counters > 10) {
    found.push({
      code: 'many-to-count',
      severity: 'know',
      text: `Most children count ${counters} counters one by one and lose the split. Laying each color in fives helps.`,
      mend: { label: 'Use 10 counters', params: { ...params, counters: 10 } },
    });
  }
  if (players > 2) {
    found.push({
      code: 'waiting',
      severity: 'know',
      text: `With one cup, ${players - 1} of ${players} children wait at any time. Side by side with a cup each nobody waits, and takes ${counters} counters for each.`,
      mend: { label: 'Make it 2 players', params: { ...params, players: 2 } },
    });
  }
  return found;
}

/** The next easier and the next harder number of counters. */
export const reckonLadder = (params: SpillParams): Ladder =>
  levels(params, 'counters', LEVELS, (counters) => `Use ${counters} counters`);
