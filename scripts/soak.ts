/** Half an hour of ordinary work at one server, and how much memory it takes meanwhile. */
import { readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { Field } from '~/tests/probe/field.ts';
import type { Visitor } from '~/tests/probe/visitor.ts';

const MINUTES = 30;
/** So long a server may take to come to its size, and so much it may grow after. */
const GROWS_MINUTES = 5;
const MOST_GROWN = 1.1;
const LOOK_MS = 15_000;

const PAGES = [
  '/today',
  '/choose',
  '/choose/two-tone-spill',
  '/fill',
  '/word',
  '/print',
  '/lend',
  '/lend/hall',
  '/lend/families',
  '/lend/messages',
  '/take-back',
  '/listen',
  '/look-back',
  '/people',
];

const residentMb = (pid: number): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

/** Asks for pages without a pause, edits families now and then, and reads the page of a bag; `goOn` says until when. */
async function work(field: Field, desk: Visitor, goOn: () => boolean, done: () => void): Promise<void> {
  const { families, copies } = field.world;
  for (let i = 0; goOn(); i++) {
    await desk.get(PAGES[i % PAGES.length]!);
    if (i % 5 === 0) {
      const path = `/lend/families/${families[i % families.length]!.id}`;
      const form = await desk.form(path, 'reach');
      await desk.post(path, {
        ...form,
        name: `Family ${i % families.length}`,
        language: 'en',
        reach: `${i}`,
        allergens: '',
      });
    }
    if (i % 3 === 0) await field.stranger().get(`/p/${copies[i % copies.length]!.linkKey}?lang=es`);
    done();
  }
}

/** Works for so many minutes; answers whether memory was flat after the first of them. */
export async function soak(minutes = MINUTES): Promise<boolean> {
  const field = await Field.open('probe');
  try {
    const until = Date.now() + minutes * 60_000;
    const settledAt = Date.now() + Math.min(GROWS_MINUTES, minutes / 3) * 60_000;
    const desks = await Promise.all([field.visitor('Coordinator'), field.visitor('Helper')]);
    let pages = 0;
    const hands = desks.map((desk) =>
      work(
        field,
        desk,
        () => Date.now() < until,
        () => pages++,
      ),
    );
    const { pid } = field.servers[0]!;
    const [before, after]: [number[], number[]] = [[], []];
    while (Date.now() < until) {
      const mb = residentMb(pid);
      (Date.now() < settledAt ? before : after).push(mb);
      console.log(
        `${((until - Date.now()) / 60_000).toFixed(1).padStart(5)} minutes left ${mb.toFixed(0).padStart(6)} MB ${pages} pages`,
      );
      await pause(LOOK_MS);
    }
    await Promise.all(hands);
    // Against the largest of the first minutes: what is thrown away comes and goes.
    const [most, last] = [Math.max(...before), Math.max(...after.slice(-Math.ceil(after.length / 4)))];
    const flat = last <= most * MOST_GROWN;
    console.log(
      `\n${pages} pages; at most ${most.toFixed(0)} MB in the first minutes, ${last.toFixed(0)} MB in the last${flat ? '.' : ': it grows.'}`,
    );
    return flat;
  } finally {
    await field.close();
  }
}
