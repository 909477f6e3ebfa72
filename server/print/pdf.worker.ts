/** Draws PDFs away from the thread that answers people: one task after the other. */
import { parentPort } from 'node:worker_threads';
import { CannotPrint } from '~/core/print/sheet';
import { pdfOf } from './pdf';
import { sheetsOf, type Task } from './task';

export type FromWorker =
  | { kind: 'progress'; done: number; pages: number }
  | { kind: 'done'; pdf: Uint8Array; pages: number }
  /** It cannot be printed as it was asked for. */
  | { kind: 'problem'; sentence: string }
  | { kind: 'broken'; message: string };

const port = parentPort!;
const say = (message: FromWorker): void => port.postMessage(message);

port.on('message', (task: Task) => {
  draw(task).catch((error: unknown) =>
    say(
      error instanceof CannotPrint
        ? { kind: 'problem', sentence: error.message }
        : {
            kind: 'broken',
            message: error instanceof Error ? (error.stack ?? error.message) : String(error),
          },
    ),
  );
});

async function draw(task: Task): Promise<void> {
  const pages = sheetsOf(task);
  say({ kind: 'progress', done: 0, pages: pages.length });
  const pdf = await pdfOf(pages, task.about, (done) => say({ kind: 'progress', done, pages: pages.length }));
  say({ kind: 'done', pdf, pages: pages.length });
}
