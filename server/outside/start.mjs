// Outside the built server the reader starts with plain JavaScript: what reads TypeScript has to be brought in first.
import { register } from 'tsx/esm/api';

register();
await import('./reader.ts');
