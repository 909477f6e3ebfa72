/** Debian's HAProxy in front of several servers, as a district would run them: to test with. */
import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Trouble } from './say.ts';
import { installDebian } from './system.ts';
import { freePortFrom } from './web.ts';

const PROGRAM = '/usr/sbin/haproxy';

export interface Proxy {
  address: string;
  stop(): Promise<void>;
}

/**
 * Requests go to the servers by turns, to those that say they are ready. A request that could not even be begun at one
 * of them goes to another; one that was begun is never sent twice.
 */
const settings = (port: number, servers: readonly string[]): string => `
global
  maxconn 500
defaults
  mode http
  timeout connect 2s
  timeout client 30s
  timeout server 30s
  option forwardfor
  option redispatch
  retries 2
  retry-on conn-failure
frontend door
  bind 127.0.0.1:${port}
  default_backend desks
backend desks
  balance roundrobin
  option httpchk GET /healthz/ready
  http-check expect status 200
  http-response set-header X-Served-By %s
  default-server check inter 300ms fall 2 rise 1 on-marked-down shutdown-sessions
${servers.map((address, i) => `  server desk${i + 1} ${new URL(address).host}`).join('\n')}
`;

/** Starts the proxy before these servers, and installs it when it is missing. */
export async function startProxy(servers: readonly string[]): Promise<Proxy> {
  if (!existsSync(PROGRAM)) installDebian(['haproxy'], 'haproxy');
  const port = await freePortFrom(4900);
  mkdirSync('.data', { recursive: true });
  const file = join('.data', `haproxy-${port}.cfg`);
  writeFileSync(file, settings(port, servers));
  const child: ChildProcess = spawn(PROGRAM, ['-db', '-f', file], { stdio: ['ignore', 'pipe', 'pipe'] });
  let said = '';
  child.stderr?.on('data', (data: Buffer) => (said = (said + data.toString()).slice(-2000)));
  const ended = new Promise<void>((done) => child.on('exit', () => done()));
  const stop = async (): Promise<void> => {
    if (child.exitCode === null) child.kill('SIGTERM');
    await ended;
  };
  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 100 && child.exitCode === null; tries++) {
    const ready = await fetch(`${address}/healthz`).then(
      (answer) => answer.ok,
      () => false,
    );
    if (ready) return { address, stop };
    await new Promise((done) => setTimeout(done, 100));
  }
  await stop();
  throw new Trouble(`The proxy did not start: ${said.trim()}`, `look at ${file}.`);
}
