import { availableParallelism } from 'node:os';

/** So many files of tests with a database run beside each other, each lane with a database and a server of its own. */
export const LANES = Math.max(1, Math.min(4, availableParallelism()));
