/** Looking quickly: arrangements that grow while they are seen at once, and shrink when they are not. */
import { seeded } from '~/core/chance/random';
import { settle } from '~/core/games/kit/game';
import { SHELF } from '~/core/games/shelf';
import type { Shape } from '~/core/paper/sheet';

/** So many in a row, and it grows. */
export const TO_GROW = 2;

export interface Look {
  /** The step of growing, from 0. */
  stage: number;
  /** Right ones in a row at this stage. */
  inRow: number;
  /** Which card. */
  card: number;
}
export const FIRST_LOOK: Look = { stage: 0, inRow: 0, card: 1 };

export interface LookCard {
  shapes: Shape[];
  seconds: number;
  /** How many there are to see. */
  number: number;
}

const game = SHELF.find((one) => one.peeks)!;
/** The settings of the game in which cards are peeked at, from few dots to many. */
const SETTINGS = game.presets.map(({ params }) => settle(game, params));
export const STAGES = SETTINGS.length;

/** So few dots are no task any more once it has grown. */
const LEAST = [1, 2, 4, 3, 5];
const TRIES = 40;

/** A card to look at: with enough dots for its stage. */
export function cardOf({ stage, card }: Look): LookCard {
  const variant = SETTINGS[stage]!;
  let found: LookCard | undefined;
  for (let i = 0; i < TRIES; i++) {
    const { shapes, seconds, says } = variant.peek(seeded(card * TRIES + i));
    const number = Number(says.args.answer ?? says.args.number);
    found = { shapes, seconds, number };
    if (number >= (LEAST[stage] ?? 1)) break;
  }
  return found!;
}

/** What comes after a look: more dots after two in a row, fewer after one that was not seen even a second time. */
export function afterLook(look: Look, right: boolean): Look {
  const card = look.card + 1;
  if (!right) return { stage: Math.max(0, look.stage - 1), inRow: 0, card };
  const inRow = look.inRow + 1;
  return inRow >= TO_GROW && look.stage < STAGES - 1
    ? { stage: look.stage + 1, inRow: 0, card }
    : { stage: look.stage, inRow, card };
}
