/** What the family page says of a game, in one reading. */
import type { Variant } from '~/core/games/kit/game';
import type { StepPart } from '~/core/games/kit/types';
import type { Language } from '~/core/words/languages';
import type { Shape } from '~/core/paper/sheet';
import { nameOf, saidIn, say, type Reading } from '~/core/words/reading';

export interface PhoneStep {
  /** The message that says it. */
  id: string;
  part: StepPart;
  show?: 'pieces' | 'drawing' | 'symbols';
  text: string;
  /** The language it is said in: English where there is no other wording. */
  language: Language;
  sketch?: readonly Shape[];
}
export interface PhoneGame {
  name: string;
  goal: string;
  steps: PhoneStep[];
}

export const onPhone = (variant: Variant, reading: Reading): PhoneGame => ({
  name: nameOf(variant.game, reading),
  goal: say(reading, variant.game.words, 'goal', variant.about()),
  steps: variant.steps().map((step) => {
    const sketch = variant.picture(step);
    return {
      id: step.id,
      part: step.part,
      ...(step.show ? { show: step.show } : {}),
      text: say(reading, variant.game.words, step.id, step.args),
      language: saidIn(reading, variant.game.words, step.id),
      ...(sketch ? { sketch } : {}),
    };
  }),
});
