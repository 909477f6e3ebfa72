/** `npm run check`: types, lint, boundaries between the rooms, formatting. */
import { runChecks } from './lib/checks.ts';
import { step } from './lib/say.ts';

let failed = 0;
await runChecks((name, work) => step(name, work).catch(() => failed++));
process.exit(failed ? 1 : 0);
