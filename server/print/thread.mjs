// A thread starts with plain JavaScript: the loader that reads TypeScript has to be brought in first.
import { register } from 'tsx/esm/api';

register();
await import('./pdf.worker.ts');
