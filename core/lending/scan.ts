/** One thing that can be done with what was scanned: said before it is done, and where that is. */
export interface ScanChoice {
  says: string;
  go: string;
}

/** What is made of a scanned text. `q` is the text it answers to. */
export interface ScanReading {
  q: string;
  choices: ScanChoice[];
  /** Why nothing can be done with it. */
  problem?: string | undefined;
}
