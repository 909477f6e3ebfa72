declare module 'linebreak' {
  /** Finds where a line of a text may end. */
  export default class LineBreaker {
    constructor(text: string);
    nextBreak(): { position: number; required: boolean } | null;
  }
}
