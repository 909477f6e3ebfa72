// Starts every command of the project: brings in the npm packages when they are missing or out of date,
// then runs scripts/<command>.ts. Plain JavaScript because nothing is installed yet when it starts.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const [command, ...args] = process.argv.slice(2);
process.chdir(root);

const [major, minor] = process.versions.node.split('.').map(Number);
if (major < 20 || (major === 20 && minor < 19)) {
  console.error(
    `Fern Basket needs Node 20.19 or newer; this is ${process.versions.node}. Install a newer Node and try again.`,
  );
  process.exit(1);
}

const lock = createHash('sha256').update(readFileSync('package-lock.json')).digest('hex');
const stamp = join('node_modules', '.fern-basket-lock');
if (!existsSync(stamp) || readFileSync(stamp, 'utf8') !== lock) {
  console.error('Installing npm packages (first time, or after the list changed) …');
  // Standard output belongs to the command itself: what npm prints goes to standard error.
  const npm = spawnSync('npm', ['ci', '--no-progress', '--loglevel=error'], { stdio: ['ignore', 2, 2] });
  if (npm.status !== 0) {
    console.error(
      'Step "npm packages" failed: npm ci ended with an error (above). Check the network and try again.',
    );
    process.exit(1);
  }
  mkdirSync('node_modules', { recursive: true });
  writeFileSync(stamp, lock);
}

const child = spawn(process.execPath, ['--import', 'tsx', join('scripts', `${command}.ts`), ...args], {
  stdio: 'inherit',
});
// The terminal sends Ctrl-C to the child too; it decides when everything has stopped.
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
  process.on(signal, () => signal !== 'SIGINT' && child.kill(signal));
child.on('exit', (code, signal) => process.exit(signal ? 1 : (code ?? 1)));
