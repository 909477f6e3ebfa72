/**
 * `npm run speed [-- reckoning|pages]`: how long things take on this machine, against what is wanted. `pages` asks a
 * built server for every page, with the demo schools and with the large district of `npm run seed-big`.
 */
import { Trouble } from './lib/say.ts';
import { sayMissed } from './speed/rows.ts';

const part = process.argv[2];
try {
  if (part !== undefined && part !== 'reckoning' && part !== 'pages')
    throw new Trouble(`There is no part “${part}”.`, 'npm run speed -- pages');
  if (part !== 'pages') await (await import('./speed/reckoning.ts')).measureReckoning();
  if (part !== 'reckoning') await (await import('./speed/pages.ts')).measurePages();
  sayMissed();
  process.exit(0);
} catch (error) {
  console.error(error instanceof Trouble ? `${error.message} ${error.todo}` : error);
  process.exit(1);
}
