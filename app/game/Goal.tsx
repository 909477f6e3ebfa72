import type { Variant } from '~/core/games/kit/game';
import { ENGLISH, say } from '~/core/words/reading';

/** What a variant is about, in a sentence. */
export default function Goal({ variant }: { variant: Variant }) {
  return say(ENGLISH, variant.game.words, 'goal', variant.about());
}
