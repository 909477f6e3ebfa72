/** The web server of a school: pages, files and print jobs, until it is told to stop. */
import type { AddressInfo } from 'node:net';
import type { Duplex } from 'node:stream';
import { setFlagsFromString } from 'node:v8';
import * as build from 'virtual:react-router/server-build';
import type { ServerBuild } from 'react-router';
import { troubleWords } from '~/core/words/trouble';
import { databaseState, roleFault } from '~/data/db';
import { addressFault, closeDatabase, watchStandby } from '~/data/pools';
import { watchEvenings } from './lending/jobs';
import { log } from './log';
import { beginDrawing, endDrawing } from './print/jobs';
import { shelfEntries } from './games/shelf';
import { endReaders, warmReader } from './outside';
import { answerWith } from './web/answer';
import { tellSupervisor } from './watchdog';
import { webApp } from './web/app';

/** Requests that were begun may take so long to end after SIGTERM. */
const GRACE_MS = 10_000;

/** Longer than a proxy keeps a connection that rests: nginx 60 s, HAProxy as in README. */
const KEEP_ALIVE_MS = 75_000;

// What is thrown away is cleared before the heap has grown by so much, in percent: by itself it grows three times as far.
setFlagsFromString('--heap-growing-percent=60');

const port = Number(process.env.PORT ?? 4600);
const host = process.env.HOST ?? '127.0.0.1';
const state = { stopping: false };

const fault = addressFault();
if (fault !== undefined) {
  process.stderr.write(`${fault}\n`);
  process.exit(1);
}

const say = (line: string): boolean => process.stdout.write(`${line}\n`);

// Whatever nobody waits for must not end the server; what is waited for is answered where it fails.
process.on('unhandledRejection', (error) => log.error({ err: error }, 'nobody waited for this to fail'));

const app = webApp(answerWith(build as unknown as ServerBuild), state);
const server = app.listen(port, host, (error?: Error) => {
  if (error) {
    log.fatal({ err: error }, 'cannot listen');
    process.exit(1);
  }
  say(`Fern Basket listens on http://${host}:${(server.address() as AddressInfo).port}`);
  void tellDatabase();
  tellSupervisor();
  void beginDrawing();
  warmReader();
  // The first visitor of the shelf should not wait for it.
  void shelfEntries().catch((failed: unknown) => log.error({ err: failed }, 'the shelf was not reckoned'));
});
server.requestTimeout = 60_000;
// A proxy or a browser uses a connection again after a rest: it ends them, this server does not while they may.
server.keepAliveTimeout = KEEP_ALIVE_MS;
server.headersTimeout = KEEP_ALIVE_MS + 5000;
// What is no request at all never reaches the application: it gets one sentence, and its connection ends.
server.on('clientError', (error: NodeJS.ErrnoException, socket: Duplex) => {
  if (!socket.writable || error.code === 'ECONNRESET') {
    socket.destroy();
    return;
  }
  const large = error.code === 'HPE_HEADER_OVERFLOW';
  const status = large ? '431 Request Header Fields Too Large' : '400 Bad Request';
  const { title, text } = troubleWords(large ? 'tooLarge' : 'unreadable', 'en');
  socket.end(
    `HTTP/1.1 ${status}\r\nContent-Type: text/plain; charset=utf-8\r\nConnection: close\r\n\r\n${title}. ${text}\n`,
  );
});
const evenings = watchEvenings();
const standby = watchStandby();

async function tellDatabase(): Promise<void> {
  const database = await databaseState(5000);
  if (database === 'empty')
    say('The database has no tables yet, or those of an older version. Run: npm run migrate');
  else if (database === 'readOnly')
    say('The database only reads now: what is sent to pages is refused until it writes again.');
  else if (database === 'clock')
    say(
      'The clock of this machine is off the clock of the database by more than 5 seconds. Set it; until then this server is not ready.',
    );
  else if (database !== 'ready')
    say('The database does not answer yet. Pages say so until it does; nothing has to be restarted.');
  await refuseStrongRole();
}

/** Does not serve with a role that could go round what keeps the schools apart. */
async function refuseStrongRole(): Promise<void> {
  try {
    const fault = await roleFault();
    if (!fault) return;
    process.stderr.write(`${fault}\n`);
    process.exit(1);
  } catch {
    // The database does not answer now: it is asked again.
    setTimeout(() => void refuseStrongRole(), 5000).unref();
  }
}

/** Lets requests end and gives print jobs away, then goes. */
async function stop(): Promise<void> {
  if (state.stopping) return;
  state.stopping = true;
  clearInterval(evenings);
  clearInterval(standby);
  const late = setTimeout(() => server.closeAllConnections(), GRACE_MS);
  await Promise.all([
    new Promise<void>((done) => server.close(() => done())),
    endDrawing().catch((error: unknown) => log.error({ err: error }, 'print jobs were not given away')),
  ]);
  clearTimeout(late);
  await endReaders().catch(() => undefined);
  await closeDatabase().catch(() => undefined);
  process.exit(0);
}
for (const signal of ['SIGTERM', 'SIGINT'] as const) process.on(signal, () => void stop());
