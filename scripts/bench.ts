/** `npm run bench`: how long the heavy things take on this machine, against what is wanted. */
import { FULL, simulatePlays } from '~/core/chance/simulate.ts';
import { seeded } from '~/core/chance/random.ts';
import { gameOf, SHELF } from '~/core/games/index.ts';
import { assume } from '~/core/games/types.ts';

const RUNS = 3;

/** Median milliseconds of a few runs. */
function median(work: () => void, runs = RUNS): number {
  const times = Array.from({ length: runs }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[Math.floor(runs / 2)]!;
}
let missed = 0;
function row(what: string, ms: number, wantedMs: number): void {
  if (ms > wantedMs) missed++;
  console.log(
    `${what.padEnd(58)} ${ms.toFixed(1).padStart(9)} ms   wanted ${wantedMs} ms ${ms > wantedMs ? '  MISSED' : ''}`,
  );
}

console.log(`Median of ${RUNS} runs, one process.\n`);
const mark = gameOf('five-to-mark');
const start = mark.presets[0]!.params;
row(
  'five-to-mark: every deal of the default deck',
  median(() => mark.reckon(start, assume('g3'), FULL)),
  3000,
);
const layouts = Array.from({ length: 40 }, (_, seed) => mark.deal!(start, seeded(seed)));
const solved = layouts.map(({ laid, target }) => median(() => mark.solve!(start, laid, target), 1));
row('five-to-mark: solver, slowest of 40 layouts', Math.max(...solved), 50);

console.log('\n10 000 plays of each game, first preset');
for (const game of SHELF) {
  // Its plays are not simulated for a figure: every target is solved.
  const plays = game.id === 'five-to-mark' ? 100 : FULL.plays;
  const { params } = game.presets[0]!;
  row(
    `${game.id}${plays === FULL.plays ? '' : ` (${plays} plays)`}`,
    median(() => simulatePlays((random) => game.play(params, random), { ...FULL, plays })),
    1000,
  );
}

console.log('\nA knob: quick reckoning, slowest preset of each game');
for (const game of SHELF) {
  const times = game.presets.map(({ params, ageBand }) => median(() => game.reckon(params, assume(ageBand))));
  row(game.id, Math.max(...times), 33);
}
console.log(missed ? `\n${missed} above what is wanted.` : '\nAll within what is wanted.');
