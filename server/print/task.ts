/** What is drawn, as plain data: the same for a preview, for a single page and for the worker that makes the PDF. */
import { packSheets, type PackOrder } from '~/core/print/pack';
import { forTwoSides, type Sheet, type SheetContext } from '~/core/print/sheet';
import { measure } from './fonts';
import type { PdfAbout } from './pdf';

export interface Task {
  packs: PackOrder[];
  context: Omit<SheetContext, 'measure'>;
  twoSided: boolean;
  about: PdfAbout;
}

const MOST_KNOWN = 16;

/** Remembers the last few answers to a question that is plain data. */
export function rememberedBy<Q, A>(work: (question: Q) => A): (question: Q) => A {
  const known = new Map<string, A>();
  return (question) => {
    const key = JSON.stringify(question);
    const before = known.get(key);
    if (before !== undefined) return before;
    const made = work(question);
    if (known.size >= MOST_KNOWN) known.delete(known.keys().next().value!);
    known.set(key, made);
    return made;
  };
}

/** All pages of a task, in the order in which they are printed. Throws CannotPrint. */
export function sheetsOf({ packs, context, twoSided }: Omit<Task, 'about'>): Sheet[] {
  const sheets = packs.flatMap((pack) => packSheets(pack, { ...context, measure }));
  return twoSided ? forTwoSides(sheets) : sheets;
}
