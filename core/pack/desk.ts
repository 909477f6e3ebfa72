/** The lines of a game as its sheet has them, in the order in which a family reads them. */
import { exampleArgs } from '~/core/games/kit/examples';
import { settle, type Game, type Variant } from '~/core/games/kit/game';
import { STEP_PARTS, type StepPart } from '~/core/games/kit/types';
import { SHELF } from '~/core/games/shelf';
import type { Shape } from '~/core/paper/sheet';
import { FAMILY_WORDS } from '~/core/words/family';
import type { Args, Messages } from '~/core/words/message';
import { englishOf, isShared, messageIn, type Reading } from '~/core/words/reading';
import { SHARED } from '~/core/words/shared';

export interface DeskLine {
  id: string;
  args: Args;
  /** The small drawing of its step. */
  picture?: readonly Shape[];
}
export interface DeskGroup {
  /** The head of the sheet, a part of its steps, or what is only said in a play or with other settings. */
  part: 'head' | StepPart | 'other';
  lines: DeskLine[];
}

/** What each group is called. */
export const PART_NAMES: Readonly<Record<DeskGroup['part'], string>> = {
  head: 'At the top of the sheet',
  ...(Object.fromEntries(STEP_PARTS.map((part) => [part, FAMILY_WORDS.en[`part.${part}`]])) as Record<
    StepPart,
    string
  >),
  other: 'In a play, or with other settings',
};

/** The ordinary settings of a game: with them it is read where no kit says otherwise. */
export const ordinaryPreset = ({ presets }: Game): Game['presets'][number] => presets[1] ?? presets[0]!;
export const ordinary = (game: Game): Variant => settle(game, ordinaryPreset(game).params);

/** Each line of the game of a variant once, where it is read first. */
export function deskGroups(variant: Variant): DeskGroup[] {
  const { game } = variant;
  const seen = new Set(['name', 'goal']);
  const groups: DeskGroup[] = [
    {
      part: 'head',
      lines: [
        { id: 'name', args: {} },
        { id: 'goal', args: variant.about() },
      ],
    },
  ];
  const steps = variant.steps();
  for (const part of STEP_PARTS) {
    const lines: DeskLine[] = [];
    for (const step of steps.filter((one) => one.part === part && !seen.has(one.id))) {
      // A line that is said twice on a sheet is read once.
      if (seen.has(step.id)) continue;
      seen.add(step.id);
      const picture = variant.picture(step);
      lines.push({ id: step.id, args: step.args, ...(picture ? { picture } : {}) });
    }
    if (lines.length) groups.push({ part, lines });
  }
  const examples = exampleArgs(game);
  const other = Object.keys(game.words.en).filter((id) => !seen.has(id));
  return other.length
    ? [...groups, { part: 'other', lines: other.map((id) => ({ id, args: examples[id] ?? {} })) }]
    : groups;
}

/** The games of the shelf that say a shared line as it is. */
export const gamesThatSay = (id: string): Game[] =>
  SHELF.filter(({ words }) => words.en[id] !== undefined && words.en[id] === (SHARED.en as Messages)[id]);

/** A line of some variants, as a reading has it. */
export interface LineOnce extends DeskLine {
  game: Game;
  part: DeskGroup['part'];
  /** Where it is worded: its game, or once for all that say it. */
  home: string;
  english: string;
  /** Nothing where families read it in English. */
  message?: string;
}
/** Each line of these variants once, in the order in which a family reads them. */
export function linesOnce(variants: readonly Variant[], reading: Reading): LineOnce[] {
  const lines = new Map<string, LineOnce>();
  for (const variant of variants) {
    const { game } = variant;
    for (const { part, lines: inPart } of deskGroups(variant))
      for (const line of inPart) {
        const home = isShared(reading, game.words, line.id) ? SHARED.id : game.id;
        const key = `${home} ${line.id}`;
        if (lines.has(key)) continue;
        const message = messageIn(reading, game.words, line.id);
        lines.set(key, {
          ...line,
          game,
          part,
          home,
          english: englishOf(reading, game.words, line.id)!,
          ...(message === undefined ? {} : { message }),
        });
      }
  }
  return [...lines.values()];
}
