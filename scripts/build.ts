/** `npm run build`: the application for plain Node, when its sources have changed. */
import { step } from './lib/say.ts';
import { ensureBuild } from './lib/web.ts';

await step('build', ensureBuild).catch(() => process.exit(1));
