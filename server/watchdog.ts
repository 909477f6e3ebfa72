/** Tells systemd that the server is alive: one whose thread hangs tells nothing, and is ended and started anew. */
import { execFile } from 'node:child_process';
import { log } from './log';

const tell = (...words: string[]): void =>
  void execFile('systemd-notify', [`--pid=${process.pid}`, ...words], (error) => {
    if (error) log.warn({ err: error }, 'the supervisor could not be told');
  });

/** Tells it now, and each time before it is missed. Does nothing where nobody supervises (WATCHDOG_USEC of systemd). */
export function tellSupervisor(): NodeJS.Timeout | undefined {
  if (!process.env.NOTIFY_SOCKET) return undefined;
  tell('--ready');
  const missedMs = Number(process.env.WATCHDOG_USEC) / 1000;
  if (!(missedMs > 0)) return undefined;
  const timer = setInterval(() => tell('WATCHDOG=1'), missedMs / 3);
  timer.unref();
  return timer;
}
