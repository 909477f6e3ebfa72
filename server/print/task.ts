/** What is drawn, as plain data: the same for a preview, for a single page and for the worker that makes the PDF. */
import { packSheets, type PackOrder } from '~/core/pack/pack';
import { forTwoSides, type Sheet, type SheetContext } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import type { Revised } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { measure } from './fonts';
import type { PdfAbout } from './pdf';

export interface Task {
  packs: PackOrder[];
  context: Omit<SheetContext, 'measure' | 'readings'> & {
    languages: readonly Language[];
    /** What the school changed in their wording. */
    changed?: Revised;
  };
  twoSided: boolean;
  about: PdfAbout;
}

/** What sheets are drawn with, where they are drawn. */
export const contextOf = ({ languages, changed, ...context }: Task['context']): SheetContext => ({
  ...context,
  readings: languages.map((language) => readingOf(language, changed)),
  measure,
});

/** All pages of a task, in the order in which they are printed. Throws CannotPrint. */
export function sheetsOf({ packs, context, twoSided }: Omit<Task, 'about'>): Sheet[] {
  const sheets = packs.flatMap((pack) => packSheets(pack, contextOf(context)));
  return twoSided ? forTwoSides(sheets) : sheets;
}
