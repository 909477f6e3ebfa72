/** `npm run check`: types, lint, boundaries between the rooms, formatting. */
import { CHECKS } from './lib/checks.ts';
import { step } from './lib/say.ts';

let failed = 0;
for (const check of CHECKS) await step(check.name, check.run).catch(() => failed++);
process.exit(failed ? 1 : 0);
