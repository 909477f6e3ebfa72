/** Families come first: a phone is opened in a minute before bed, and waits for no page of the workroom. */

/** No page of the workroom waits longer for families. */
const LONGEST_MS = 250;

let underWay = 0;
const waiting = new Set<() => void>();

/** Does the work of a family page. */
export async function forFamily<T>(work: () => Promise<T>): Promise<T> {
  underWay++;
  try {
    return await work();
  } finally {
    if (--underWay === 0) for (const goOn of waiting) goOn();
  }
}

/** Lets the family pages that are under way go first, for a while. */
export async function afterFamilies(): Promise<void> {
  if (underWay === 0) return;
  await new Promise<void>((done) => {
    const goOn = (): void => {
      clearTimeout(late);
      waiting.delete(goOn);
      done();
    };
    const late = setTimeout(goOn, LONGEST_MS);
    waiting.add(goOn);
  });
}
