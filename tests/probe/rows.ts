/** All that is tried, with how often: in the tests of every day, and in the probe. */
import { slowSettings } from './heavy';
import { answersOfOthers, backupAndRestore, forgetting, heavyGames } from './keeping';
import { brokenThings } from './broken';
import { passwordLinks, passwordsTried, redirects, rolesEverywhere } from './door';
import { connectionsEnded, databaseHeld, databaseKilled, serverKilled, serverStopped } from './falls';
import type { Field, Row } from './field';
import { hostileFiles } from './hostile';
import { behindProxy } from './proxy';
import { largeBodies } from './bodies';
import { crowd } from './crowd';
import { malformedRequests } from './malformed';
import { messagesOnce } from './messages';
import { archivingWhileAdding, lendingRaces, sentAgain } from './races';
import { staleForms, undoing } from './stale';
import { formsTwice } from './twice';

export interface Trial {
  run: (field: Field, size: number) => Promise<Row>;
  /** How much of it `npm test` does, and how much the probe. */
  test: number;
  probe: number;
}

export const TRIALS: Record<string, Trial> = {
  lendingRaces: { run: lendingRaces, test: 300, probe: 3000 },
  sentAgain: { run: sentAgain, test: 10, probe: 40 },
  formsTwice: { run: formsTwice, test: 1, probe: 5 },
  archivingWhileAdding: { run: archivingWhileAdding, test: 6, probe: 40 },
  undoing: { run: undoing, test: 1, probe: 4 },
  staleForms: { run: staleForms, test: 1, probe: 4 },
  malformedRequests: { run: malformedRequests, test: 1200, probe: 10_000 },
  largeBodies: { run: largeBodies, test: 1, probe: 3 },
  hostileFiles: { run: hostileFiles, test: 80, probe: 200 },
  crowd: { run: crowd, test: 6, probe: 60 },
  heavyGames: { run: heavyGames, test: 1, probe: 2 },
  brokenThings: { run: brokenThings, test: 1, probe: 1 },
  slowSettings: { run: slowSettings, test: 1, probe: 2 },
  passwordsTried: { run: passwordsTried, test: 40, probe: 120 },
  passwordLinks: { run: passwordLinks, test: 1, probe: 3 },
  redirects: { run: redirects, test: 16, probe: 48 },
  rolesEverywhere: { run: rolesEverywhere, test: 1, probe: 1 },
  forgetting: { run: forgetting, test: 1, probe: 2 },
  answersOfOthers: { run: answersOfOthers, test: 1, probe: 4 },
  backupAndRestore: { run: backupAndRestore, test: 1, probe: 2 },
  connectionsEnded: { run: connectionsEnded, test: 2, probe: 10 },
  serverStopped: { run: serverStopped, test: 4, probe: 8 },
  serverKilled: { run: serverKilled, test: 2, probe: 6 },
  messagesOnce: { run: messagesOnce, test: 24, probe: 120 },
  behindProxy: { run: behindProxy, test: 2, probe: 6 },
  databaseKilled: { run: databaseKilled, test: 1, probe: 3 },
  databaseHeld: { run: databaseHeld, test: 6, probe: 20 },
};
