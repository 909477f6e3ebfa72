/** More is asked for than can be answered: who is inside finishes, the rest are told at once, and the desk and families go first. */
import { setTimeout as pause } from 'node:timers/promises';
import { today } from '~/server/today';
import { lendOut } from '../world';
import type { Field, Row } from './field';

interface Kind {
  name: string;
  paths: readonly string[];
  signedIn: boolean;
}

/** `size` seconds of 300 who ask again as soon as they are answered. */
export async function crowd(field: Field, size: number): Promise<Row> {
  const world = await field.begin();
  const visitor = await field.visitor('Coordinator');
  const day = today(world.at);
  await lendOut(world, { lentOn: day, dueOn: day });
  const kinds: readonly Kind[] = [
    {
      name: 'pages',
      paths: ['/choose', '/fill', '/look-back', '/print', '/listen', '/word'],
      signedIn: true,
    },
    { name: 'desk', paths: ['/lend', '/take-back', '/scan?q=fam'], signedIn: true },
    { name: 'families', paths: [`/p/${world.copies[0]!.linkKey}`], signedIn: false },
  ];
  const SHARES = [160, 70, 70];
  const lost: string[] = [];
  const told = kinds.map(() => ({ answered: 0, refused: 0, slowest: 0, refusedAfter: 0 }));
  const before = await asked(visitor.address, '/lend', visitor.cookie);
  const until = Date.now() + size * 1000;
  let unwell = 0;
  const watch = (async () => {
    while (Date.now() < until) {
      const { status } = await asked(visitor.address, '/healthz/live', '');
      if (status !== 200) unwell++;
      await pause(200);
    }
  })();
  await Promise.all(
    kinds.flatMap((kind, k) =>
      Array.from({ length: SHARES[k]! }, async (_, n) => {
        for (let i = n; Date.now() < until; i++) {
          const { status, ms } = await asked(
            visitor.address,
            kind.paths[i % kind.paths.length]!,
            kind.signedIn ? visitor.cookie : '',
          );
          const one = told[k]!;
          if (status === 503 || status === 429) {
            one.refused++;
            one.refusedAfter = Math.max(one.refusedAfter, ms);
            // As its answer says: not at once again.
            await pause(300 + Math.random() * 700);
          } else if (status === 200) {
            one.answered++;
            one.slowest = Math.max(one.slowest, ms);
          } else lost.push(`${kind.name}: ${status}`);
        }
      }),
    ),
  );
  await watch;
  if (unwell) lost.push(`the server did not say that it lives, ${unwell} times`);
  for (const [k, { name }] of kinds.entries())
    if (told[k]!.answered === 0) lost.push(`${name}: nobody was answered`);
  await pause(1500);
  const after = await asked(visitor.address, '/lend', visitor.cookie);
  if (after.status !== 200) lost.push(`afterwards: ${after.status}`);
  return {
    what: `300 at once for ${size} s`,
    tried: told.reduce((all, one) => all + one.answered + one.refused, 0),
    refused: told.reduce((all, one) => all + one.refused, 0),
    lost,
    note: `${kinds
      .map(({ name }, k) => {
        const { answered, refused, slowest, refusedAfter } = told[k]!;
        return `${name} ${answered} answered in ${Math.round(slowest)} ms at most, ${refused} told after ${Math.round(refusedAfter)}`;
      })
      .join('; ')}; a page before ${Math.round(before.ms)} ms, after ${Math.round(after.ms)}`,
  };
}

async function asked(address: string, path: string, cookie: string): Promise<{ status: number; ms: number }> {
  const from = performance.now();
  try {
    const answer = await fetch(address + path, { redirect: 'manual', headers: { Cookie: cookie } });
    await answer.arrayBuffer();
    return { status: answer.status, ms: performance.now() - from };
  } catch {
    return { status: 0, ms: performance.now() - from };
  }
}
