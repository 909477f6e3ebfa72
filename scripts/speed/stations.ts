/** How long the decisions at Fill and Take back take on this machine. */
import { startOf } from '~/core/games/kit/game.ts';
import { gameOf, SHELF } from '~/core/games/shelf/index.ts';
import { mostCopies } from '~/core/kits/most-copies.ts';
import { recipeOf, type KitPlan } from '~/core/kits/recipe.ts';
import { runPlan, type Stage } from '~/core/kits/run-plan.ts';
import { storable } from '~/core/kits/store.ts';
import { verdictOfCopy } from '~/core/kits/verdict.ts';
import { row } from './rows.ts';

const planOf = (ids: readonly string[]): KitPlan => ({
  ageBand: 'g1',
  players: 2,
  assurance: 'usual',
  variants: ids.map((gameId) => ({ gameId, name: gameId, params: startOf(gameOf(gameId)) })),
});
/** Measures what is asked the second time, when the code is warm; `again` tells the question that time. */
async function timed(what: string, wantedMs: number, work: (again: boolean) => unknown): Promise<void> {
  await work(false);
  const from = performance.now();
  await work(true);
  row(what, performance.now() - from, wantedMs);
}

/** Measures all of it and says it row by row. */
export async function measureStations(): Promise<void> {
  console.log('\nDecisions at Fill and Take back');
  const ids = SHELF.map(({ id }) => id);
  // A full basket: the games that share most, with a piece of every part missing.
  const plan = planOf([
    'skyline-rolls',
    'market-cups',
    'tide-pairs',
    'harvest-mat',
    'two-tone-spill',
    'cup-machine',
  ]);
  const { parts } = recipeOf(plan);
  await timed('the verdict on a copy of six games while its count is typed', 50, (again) =>
    verdictOfCopy({
      plan,
      held: Object.fromEntries(
        parts.map(({ material, quantity }) => [material, Math.max(0, quantity - (again ? 2 : 1))]),
      ),
    }),
  );
  const kits = Array.from({ length: 20 }, (_, i) => ({
    id: `kit ${i}`,
    worth: 1,
    parts: Object.fromEntries(
      recipeOf(planOf([ids[i]!, ids[(i + 7) % ids.length]!, ids[(i + 15) % ids.length]!])).parts.map(
        ({ material, quantity }) => [material as string, quantity],
      ),
    ),
  }));
  const materials = [...new Set(kits.flatMap((kit) => Object.keys(kit.parts)))];
  const onHand = Object.fromEntries(materials.map((one, i) => [one, 40 + ((i * 53) % 400)]));
  const offers = Object.fromEntries(
    storable().map(({ id, pack }) => [id, [{ id: 'pack', size: pack.size, priceCents: pack.priceCents }]]),
  );
  await timed(`what can be built: 20 kits of ${materials.length} materials`, 1000, () =>
    mostCopies({ kits, onHand }),
  );
  await timed('the same with 100 dollars to spend', 1000, () =>
    mostCopies({ kits, onHand, offers, budgetCents: 10_000 }),
  );
  const stage = (id: string, after: string[], secondsEach: number, machine?: string): Stage => ({
    id,
    after,
    batches: 40,
    secondsEach,
    ...(machine ? { machine } : {}),
  });
  await timed('an afternoon of 40 copies for three helpers', 1000, () =>
    runPlan({
      helpers: 3,
      machines: { cutter: 2 },
      stages: [
        stage('print', [], 40, 'printer'),
        stage('laminate', ['print'], 150, 'laminator'),
        stage('cut', ['laminate'], 180, 'cutter'),
        stage('count', [], 240),
        stage('bag', ['cut', 'count'], 90),
        stage('check', ['bag'], 45),
      ],
    }),
  );
}
