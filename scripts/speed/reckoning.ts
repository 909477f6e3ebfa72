/** How long the heavy reckonings and the printing take on this machine. */
import { FULL, simulatePlays } from '~/core/chance/simulate.ts';
import { seeded } from '~/core/chance/random.ts';
import { gameOf, SHELF } from '~/core/games/shelf/index.ts';
import { assume } from '~/core/games/kit/types.ts';
import { recipeOf, type KitPlan } from '~/core/kits/recipe.ts';
import { drawn } from '~/server/threads/index.ts';
import type { Task } from '~/server/print/task.ts';
import { settle, startOf } from '~/core/games/kit/game';
import { nameOf } from '~/core/words/reading';
import { row } from './rows.ts';

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
async function printing(what: string, task: Task, wantedMs: number): Promise<void> {
  const from = performance.now();
  let longest = 0;
  let last = from;
  // What a visitor would wait for this thread: the longest gap between two looks, ten milliseconds apart.
  const watch = setInterval(() => {
    longest = Math.max(longest, performance.now() - last - 10);
    last = performance.now();
  }, 10);
  const steps: number[] = [];
  const answer = await drawn(task, (done) => {
    steps.push(done);
    return true;
  });
  clearInterval(watch);
  const pages = answer?.kind === 'done' ? answer.pages : 0;
  if (!pages) throw new Error(`${what}: ${JSON.stringify(answer)}`);
  row(`${what} (${pages} pages, ${steps.length} steps of progress)`, performance.now() - from, wantedMs);
  row('  the longest time this thread did not answer', longest, 200);
}

/** Measures all of it and says it row by row. */
export async function measureReckoning(): Promise<void> {
  console.log(`Median of ${RUNS} runs, one process.\n`);
  const mark = gameOf('five-to-mark');
  const start = settle(mark, startOf(mark));
  row(
    'five-to-mark: every deal of the default deck',
    median(() => start.reckon(assume('g3'), FULL)),
    3000,
  );
  for (const [what, preset] of [
    ['five-to-mark: solver, slowest of 40 layouts', start],
    [
      'the same with six cards and jokers',
      settle(mark, mark.presets.find(({ id }) => id === 'jokers')!.params),
    ],
  ] as const) {
    const layouts = Array.from({ length: 40 }, (_, seed) => preset.deal(seeded(seed)));
    row(what, Math.max(...layouts.map(({ laid, target }) => median(() => preset.solve(laid, target)))), 50);
  }

  console.log('\n10 000 plays of each game, first preset');
  for (const game of SHELF) {
    // Its plays are not simulated for a figure: every target is solved.
    const plays = game.id === 'five-to-mark' ? 100 : FULL.plays;
    const variant = settle(game, startOf(game));
    row(
      `${game.id}${plays === FULL.plays ? '' : ` (${plays} plays)`}`,
      median(() => simulatePlays((random) => variant.play(random), { ...FULL, plays })),
      1000,
    );
  }

  console.log('\nA knob: quick reckoning, slowest preset of each game');
  for (const game of SHELF) {
    const times = game.presets.map(({ params, ageBand }) => {
      const variant = settle(game, params);
      return median(() => variant.reckon(assume(ageBand)));
    });
    row(game.id, Math.max(...times), 33);
  }
  console.log(
    '\nPrinting, in a thread of its own (the first pack also waits for the thread to read the code)',
  );
  const kit = ['harvest-mat', 'blanket-board', 'skyline-rolls'].map((id) => {
    const game = gameOf(id);
    return { gameId: id, name: nameOf(game), params: game.presets[0]!.params };
  });
  const plan: KitPlan = { ageBand: 'g1', players: 2, assurance: 'usual', variants: kit };
  const printTask = (copies: number, variants = kit): Task => ({
    packs: [
      {
        kitName: 'Bench kit',
        schoolName: 'Kittiwake Bay Elementary',
        plan: { ...plan, variants },
        parts: recipeOf({ ...plan, variants }).parts,
        copies: Array.from({ length: copies }, (_, i) => ({
          tag: 'K7M4W',
          link: `http://127.0.0.1:4600/p/${String(i).padStart(22, 'x')}`,
        })),
        items: ['instructions', 'parts', 'records', 'slip', 'labels'],
        scope: 'each',
        labels: {},
        checked: {},
      },
    ],
    context: {
      paper: 'letter',
      languages: ['es', 'en'],
      seed: 1,
      finish: 'durable',
      cuts: 'shared',
      fill: true,
    },
    twoSided: true,
    about: { title: 'Bench', author: 'Bench', language: 'es', madeOn: new Date(0) },
  });
  await drawn(printTask(1));
  await printing('a pack of 12 pages or more', printTask(1), 2000);
  await printing('packs of 40 copies', printTask(40), 20_000);
}
