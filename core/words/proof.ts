/** A wording on paper, line by line, to be corrected by number. */
import type { Args } from './message';

export interface ProofLine {
  sourceId: string;
  messageId: string;
  /** With which numbers it is read. */
  args: Args;
  english: string;
  /** Nothing where families read it in English. */
  message?: string;
}
