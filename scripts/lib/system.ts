import { spawn, spawnSync } from 'node:child_process';
import { Trouble } from './say.ts';

export const isRoot = process.getuid?.() === 0;

/** Installs Debian packages when this account may; otherwise says the one command to run. */
export function installDebian(packages: string[], why: string): void {
  const list = packages.join(' ');
  const mayInstall = isRoot || spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
  const command = `apt-get update && apt-get install -y --no-install-recommends ${list}`;
  if (!mayInstall) throw new Trouble(`${why} is not installed.`, `run: sudo sh -c '${command}'`);
  console.log(`  … installing ${list} with apt`);
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  const [file, args] = isRoot ? ['sh', ['-c', command]] : ['sudo', ['-n', '-E', 'sh', '-c', command]];
  const result = spawnSync(file, args, { env, encoding: 'utf8', maxBuffer: 64 << 20 });
  if (result.status !== 0) {
    throw new Trouble(
      `apt could not install ${list}: ${result.stderr.trim().split('\n').at(-1) ?? ''}`,
      `check the network, then run: sudo sh -c '${command}'`,
    );
  }
}

/** Runs a program to its end; its output is shown only when it fails. Returns what it printed. */
export function run(
  file: string,
  args: string[],
  options: { env?: NodeJS.ProcessEnv; show?: boolean } = {},
): Promise<string> {
  return new Promise((resolve, reject) => {
    const child = spawn(file, args, {
      env: options.env ?? process.env,
      stdio: options.show ? ['ignore', 'inherit', 'inherit'] : ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    child.stdout?.on('data', (data: Buffer) => (output += data.toString()));
    child.stderr?.on('data', (data: Buffer) => (output += data.toString()));
    child.on('error', reject);
    child.on('close', (code) => {
      if (code === 0) return resolve(output);
      if (!options.show) process.stderr.write(output);
      reject(
        new Trouble(
          `${file.split('/').at(-1)} ${args[0] ?? ''} ended with code ${code}.`,
          'mend what the output above names, and run the command again.',
        ),
      );
    });
  });
}
