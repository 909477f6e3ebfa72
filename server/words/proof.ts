/** The lines of a kit as they are printed to be corrected on paper. */
import { open } from '~/core/own/open';
import { deskGroups } from '~/core/pack/desk';
import type { Language } from '~/core/words/languages';
import type { ProofLine } from '~/core/words/proof';
import { englishOf, isShared, messageIn } from '~/core/words/reading';
import { SHARED } from '~/core/words/shared';
import type { SchoolHandle } from '~/data/db';
import type { KitWithVariants } from '~/data/queries/kits';
import { readingAt } from '~/data/queries/wording';

/** Each line that the sheets of a kit say, once, in the order in which a family reads them. */
export async function proofLines(
  at: SchoolHandle,
  kit: KitWithVariants,
  language: Language,
): Promise<ProofLine[]> {
  const reading = await readingAt(at, language);
  const seen = new Set<string>();
  const lines: ProofLine[] = [];
  for (const one of kit.variants) {
    const variant = open(one);
    const { game } = variant;
    for (const { part, lines: inPart } of deskGroups(variant))
      for (const { id, args } of part === 'other' ? [] : inPart) {
        const sourceId = isShared(reading, game.words, id) ? SHARED.id : game.id;
        if (seen.has(`${sourceId} ${id}`)) continue;
        seen.add(`${sourceId} ${id}`);
        const message = messageIn(reading, game.words, id);
        lines.push({
          sourceId,
          messageId: id,
          args,
          english: englishOf(reading, game.words, id)!,
          ...(message === undefined ? {} : { message }),
        });
      }
  }
  return lines;
}
