/** How the games of a bag are called in a reading, so that they can be told apart. */
import { open, type VariantRef } from '~/core/own/open';
import { nameOf, type Reading } from '~/core/words/reading';

/** The name of each game; where two of them are the same game, the name of the setting stands with it. */
export function gameNames(variants: readonly VariantRef[], reading: Reading): string[] {
  const names = variants.map((one) => nameOf(open(one).game, reading));
  return names.map((name, i) =>
    names.filter((other) => other === name).length > 1 && variants[i]!.name
      ? `${name} (${variants[i]!.name})`
      : name,
  );
}
