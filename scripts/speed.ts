/**
 * `npm run speed [-- reckoning|stations|pages|browser|migrations] [--schools 60] [--times 10]`: how long things take on this machine,
 * against what is wanted. `pages` asks a built server for every page, with the demo schools and with the large district of
 * `npm run seed-big`, so many times as large and its rows in so many schools. `browser` opens pages as a phone does.
 */
import { parseArgs } from 'node:util';
import { Trouble } from './lib/say.ts';
import { sayMissed } from './speed/rows.ts';

try {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { schools: { type: 'string' }, times: { type: 'string', default: '1' } },
  });
  const [part] = positionals;
  const schools = values.schools === undefined ? undefined : Number(values.schools);
  if (part !== undefined && !['reckoning', 'stations', 'pages', 'browser', 'migrations'].includes(part))
    throw new Trouble(`There is no part “${part}”.`, 'npm run speed -- pages');
  const asked = (name: string): boolean => part === undefined || part === name;
  if (asked('reckoning')) await (await import('./speed/reckoning.ts')).measureReckoning();
  if (asked('stations')) await (await import('./speed/stations.ts')).measureStations();
  if (asked('pages')) await (await import('./speed/pages.ts')).measurePages(schools, Number(values.times));
  if (part === 'migrations') await (await import('./speed/migrations.ts')).measureMigrations();
  if (asked('browser')) await (await import('./speed/browser.ts')).measureBrowser();
  sayMissed();
  process.exit(0);
} catch (error) {
  console.error(error instanceof Trouble ? `${error.message} ${error.todo}` : error);
  process.exit(1);
}
