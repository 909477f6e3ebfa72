import { fact } from '~/core/cards/facts';
import { endings, turnsUntilFirst, visitsUntilFirst } from '~/core/chance/markov';
import {
  DIE,
  entries,
  fromEntries,
  largest,
  map,
  mean,
  nFold,
  point,
  quantile,
  type Pmf,
} from '~/core/chance/pmf';
import {
  climb,
  figure,
  know,
  levels,
  need,
  needFrom,
  type Answers,
  type Figure,
  type Ladder,
  type Practised,
} from '~/core/games/kit';
import { count } from '~/core/words/numbers';
import type { SkylineParams } from '.';

export const ladder = (params: SkylineParams): Ladder =>
  climb(
    levels(params, 'dice', [1, 2, 3], (dice) => (dice === 1 ? 'Roll one die' : `Roll ${dice} dice`)),
    params.goal === 'rolls' ? levels(params, 'rolls', [3, 5, 8, 10], (rolls) => `Roll ${rolls} times`) : {},
  );

/** Blocks of one player, and the rolls each takes; exact. */
export function totals({ dice, goal, rolls, reach }: SkylineParams): { blocks: Pmf; rolls: Pmf; roll: Pmf } {
  const roll = nFold(DIE, dice);
  if (goal === 'rolls') return { blocks: nFold(roll, rolls), rolls: point(rolls), roll };
  const steps = entries(roll);
  const { turns, ends } = endings<number>(
    0,
    (at) => steps.map(([n, chance]) => [at + n, chance] as const),
    (at) => at >= reach,
  );
  return { blocks: fromEntries(ends), rolls: turns, roll };
}

export function reckon(params: SkylineParams): Answers {
  const { dice, goal, players, blockMm, reach, trade, mat, measure } = params;
  const { blocks, rolls, roll } = totals(params);
  const turns = goal === 'rolls' ? point(params.rolls * players) : turnsUntilFirst(rolls, players);
  const kit = nFold(blocks, players);
  const p95 = quantile(blocks, 0.95);
  /** Full tens of all players: they only grow, so that the end needs most. */
  const rods = nFold(
    map(blocks, (n) => Math.floor(n / 10)),
    players,
  );
  const loose = 9 * players + 6 * dice;
  const strips = stripsFor(params);
  const rule =
    goal === 'rolls' ? `${count(params.rolls, 'roll')} of ${diceWords(dice)}` : `rolling to ${reach}`;
  const figures: Figure[] = [
    figure(
      'perPlayer.mean',
      'Blocks for one player',
      mean(blocks),
      'blocks',
      `The exact average of ${rule}.`,
    ),
    figure('perPlayer.p95', 'Enough for one player', p95, 'blocks', '95 of 100 players need no more.'),
    figure(
      'kit.p95',
      'Enough for all',
      quantile(kit, 0.95),
      'blocks',
      `${players} ${players === 1 ? 'player' : 'players'}, ${rule} each; 95 of 100 plays need no more${goal === 'reach' ? ', also when everybody goes on to the end' : ''}.`,
    ),
    figure(
      'kit.max',
      'The most possible',
      largest(kit),
      'blocks',
      goal === 'rolls'
        ? 'Every die shows six.'
        : 'Every last roll is the highest, from one short of the goal.',
    ),
    ...(goal === 'reach'
      ? [
          figure(
            'rollsToReach.mean',
            `Rolls to reach ${reach}`,
            mean(rolls),
            'rolls',
            'The exact average for one player.',
          ),
          figure(
            'rollsToReach.p90',
            '90 in 100 are there by',
            quantile(rolls, 0.9),
            'rolls',
            'For one player.',
          ),
        ]
      : []),
    figure(
      'towerMm.p95',
      'Height of one tower',
      p95 * blockMm,
      'mm',
      `${p95} blocks of ${blockMm} mm, all in one tower.`,
    ),
  ];
  return {
    figures,
    parts: [
      trade === 'rods'
        ? need(
            'cube',
            loose,
            `At most 9 lie before each player, and ${dice === 1 ? '6' : `${6 * dice}`} are rolled; tens are traded.`,
          )
        : needFrom('cube', kit, `${players} ${players === 1 ? 'player' : 'players'}, ${rule} each.`),
      ...(trade === 'rods' && largest(rods) > 0
        ? [
            needFrom(
              'ten-rod',
              rods,
              `One for every full ten of ${players === 1 ? 'the player' : 'each player'}.`,
            ),
          ]
        : []),
      ...(mat ? [need('mat', players, 'Tens on one side, ones on the other.')] : []),
      ...(measure
        ? [
            need(
              'measuring-strip',
              strips,
              `${strips === 1 ? 'It reaches' : 'Together they reach'} as far as 95 of 100 skylines.`,
            ),
          ]
        : []),
      need('die', dice, 'In a sealed clear bag they do not roll away.'),
      need('record-sheet', players, 'Stack, stack, together, tens, ones.'),
      need('pencil', players, 'One for each player.'),
    ],
    prep: [
      trade === 'rods'
        ? `Count ${loose} cubes and ${count(quantile(rods, 0.95), 'ten-rod')} into the bag.`
        : `Count ${quantile(kit, 0.95)} blocks into the bag.`,
      ...(measure && strips > 1 ? [`Tape the ${strips} measuring strips end to end.`] : []),
      'Put the dice into a small clear bag and seal it.',
    ],
    turns,
    practice: practice(params, roll, mean(turns)),
    space: { place: 'table', widthMm: 900, depthMm: 700 },
    players: { fewest: 1, most: 4, alone: true },
    notices: [
      p95 * blockMm > 600 &&
        know(
          'tall-tower',
          `One tower would stand ${Math.round((p95 * blockMm) / 10)} cm high and fall. Build stacks of ten: they are the tens.`,
        ),
    ],
    ladder: ladder(params),
  };
}

/** Length of the scale of one measuring strip. */
export const STRIP_MM = 180;

/** Measuring strips for a skyline laid in a row. */
export const stripsFor = (params: SkylineParams): number =>
  Math.ceil((quantile(totals(params).blocks, 0.95) * params.blockMm) / STRIP_MM);

const diceWords = (dice: number): string =>
  dice === 1 ? 'one die' : dice === 2 ? 'two dice' : `${dice} dice`;

/** How often each height is read after a roll; the first who is there ends the game. */
function heights({ goal, rolls, reach, players }: SkylineParams, roll: Pmf): Map<number, number> {
  const read = new Map<number, number>();
  const add = (blocks: number, times: number): void => void read.set(blocks, (read.get(blocks) ?? 0) + times);
  if (goal === 'rolls') {
    for (let i = 1; i <= rolls; i++)
      for (const [blocks, chance] of entries(nFold(roll, i))) add(blocks, players * chance);
    return read;
  }
  const each = entries(roll);
  const before = visitsUntilFirst(
    0,
    (at) => each.map(([n, chance]) => [at + n, chance] as const),
    (at) => at >= reach,
    players,
  );
  for (const [at, times] of before) for (const [n, chance] of each) add(at + n, times * chance);
  return read;
}

/** Each roll: the dice are added (or counted), and the tower is read in tens and ones. */
function practice(params: SkylineParams, roll: Pmf, turns: number): Practised[] {
  const { dice } = params;
  const read = [...heights(params, roll)].map(([blocks, meetings]) => ({
    fact: fact('tens', Math.floor(blocks / 10), blocks % 10),
    meetings,
  }));
  if (dice === 1)
    return [
      ...entries(roll).map(([a, chance]) => ({ fact: fact('count', a), meetings: turns * chance })),
      ...read,
    ];
  const sums = entries(DIE).flatMap(([a, p]) =>
    entries(nFold(DIE, dice - 1)).map(([b, q]) => ({ fact: fact('add', a, b), meetings: turns * p * q })),
  );
  return [...sums, ...read];
}
