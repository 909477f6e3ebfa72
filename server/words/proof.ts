/** The lines of a kit as they are printed to be corrected on paper. */
import { open } from '~/core/own/open';
import { linesOnce } from '~/core/pack/desk';
import type { Language } from '~/core/words/languages';
import type { ProofLine } from '~/core/words/proof';
import type { SchoolHandle } from '~/data/db';
import type { KitWithVariants } from '~/data/queries/kits';
import { readingAt } from '~/data/queries/wording';

/** Each line that the sheets of a kit say, once, in the order in which a family reads them. */
export async function proofLines(
  at: SchoolHandle,
  kit: KitWithVariants,
  language: Language,
): Promise<ProofLine[]> {
  const lines = linesOnce(
    kit.variants.map((one) => open(one)),
    await readingAt(at, language),
  );
  return lines
    .filter(({ part }) => part !== 'other')
    .map(({ home, id, args, english, message }) => ({
      sourceId: home,
      messageId: id,
      args,
      english,
      ...(message === undefined ? {} : { message }),
    }));
}
