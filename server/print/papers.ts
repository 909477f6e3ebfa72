/** Papers that are drawn from a list at once, each by its name: what a thread is told to draw. */
import { doorSheets, groupCards, hostCards, tableSigns, type Printed } from '~/core/evening/papers';
import { cardSheets, handOutSheets, signInSheets, stickerSheets, stripSheets } from '~/core/lending/papers';
import { reportSheets } from '~/core/looking/report';
import { proofSheets } from '~/core/pack/proof';
import type { Measure, Paper, Sheet } from '~/core/paper/sheet';

interface On {
  paper: Paper;
  measure: Measure;
  school: string;
}

const papers = {
  cards: cardSheets,
  strips: stripSheets,
  signIn: signInSheets,
  handOut: handOutSheets,
  stickers: stickerSheets,
  signs: (evening: Printed, on: On): Sheet[] => tableSigns(evening, on),
  hosts: (evening: Printed, on: On): Sheet[] => hostCards(evening, on),
  door: (evening: Printed, on: On): Sheet[] => doorSheets(evening, on),
  ways: (evening: Printed, on: On): Sheet[] => groupCards(evening, on),
  report: reportSheets,
  proof: (
    lines: Parameters<typeof proofSheets>[0],
    about: Omit<Parameters<typeof proofSheets>[1], 'measure' | 'paper'>,
    { paper, measure }: On,
  ): Sheet[] => proofSheets(lines, { ...about, paper, measure }),
};
type Papers = typeof papers;
export type PaperName = keyof Papers;
/** What a paper is drawn from, without what it is drawn on. */
export type PaperOf<K extends PaperName> =
  Parameters<Papers[K]> extends [...infer Given, unknown] ? Given : never;

export function sheetsOfPaper<K extends PaperName>(name: K, given: PaperOf<K>, on: On): Sheet[] {
  // Which paper takes what is held where it is named: `PaperOf`.
  const draw = papers[name] as unknown as (...all: unknown[]) => Sheet[];
  return draw(...given, on);
}
