/** Settings that take long to reckon, in everything that is shown of them: the server goes on answering others. */
import { gameOf } from '~/core/games/shelf';
import type { Field, Row } from './field';
import { LONGEST_LAG_MS, lagOf } from './bodies';

/** The settings that take longest of all that the knobs of the shelf can be turned to. */
const SLOW: readonly [gameId: string, change: Record<string, unknown>][] = [
  ['tide-pairs', { target: 11, hand: 5, players: 5, refill: 0, setSize: 'twoOrThree', ownDecks: true }],
  ['skyline-rolls', { dice: 3, goal: 'rolls', rolls: 20, reach: 100, players: 4 }],
  ['stepping-stones', { length: 10, dice: 2, finish: 'exact', back: 'subtract', players: 4 }],
  ['blanket-board', { from: 0, to: 20, cells: 16, boards: 8, boardsPerChild: 1, win: 'full' }],
  ['stack-and-find', {}],
  ['five-to-mark', { laid: 6, faces: '11-12-13', jokers: '15', whole: false }],
];

/** Saves each, puts all into one kit, and opens everything that shows them, while others wait for a small page. */
export async function slowSettings(field: Field, size: number): Promise<Row> {
  const lost: string[] = [];
  let tried = 0;
  let longest = 0;
  let where = '';
  for (let round = 0; round < size; round++) {
    await field.begin();
    const coordinator = await field.visitor('Coordinator');
    // What only the first request after a start costs is not what is looked for.
    for (const path of ['/choose', '/fill', '/print', '/choose/compare']) await coordinator.get(path);
    const variantIds: string[] = [];
    const watched = async (path: string): Promise<void> => {
      tried++;
      const watch = lagOf(coordinator.address);
      const { status } = await coordinator.get(path);
      const lag = await watch();
      if (lag > longest) [longest, where] = [lag, path.replace(/[0-9a-f-]{36}/g, '…')];
      if (status !== 200) lost.push(`${path}: ${status}`);
    };
    for (const [i, [gameId, change]] of SLOW.entries()) {
      const params = { ...gameOf(gameId).presets[0]!.params, ...change };
      const saved = await coordinator.post(`/choose/${gameId}`, {
        name: `Slow ${round} ${i}`,
        ageBand: 'g2',
        params: JSON.stringify(params),
      });
      const id = /variant=([0-9a-f-]{36})/.exec(saved.location ?? '')?.[1];
      if (!id) {
        lost.push(`${gameId} was not saved: ${saved.status}`);
        continue;
      }
      variantIds.push(id);
      await watched(`/choose/${gameId}?variant=${id}`);
    }
    await watched(`/choose/compare?a=variant:${variantIds[0]}&b=variant:${variantIds[1]}`);
    const kit = await coordinator.post('/fill/new', {
      name: `Slow ${round}`,
      ageBand: 'g2',
      players: '4',
      paper: 'a4',
      assurance: 'worst',
      variantIds,
    });
    const path = (kit.location ?? '/none').split('?')[0]!;
    await watched(path);
    await watched(`${path}?change=1`);
    const fields = await coordinator.form(path, 'copies');
    const built = await coordinator.post(path, { ...fields, copies: '3' });
    const run = /run=([0-9a-f-]{36})/.exec(built.location ?? '')?.[1] ?? '';
    for (const page of [`/print?run=${run}`, '/choose', '/listen', '/fill']) await watched(page);
  }
  if (longest > LONGEST_LAG_MS) lost.push(`others waited ${longest} ms during ${where}`);
  return {
    what: 'settings that take long to reckon',
    tried,
    lost,
    note: `others waited ${longest} ms at most (${where})`,
  };
}
