/** The lines of a game as its sheet has them, in the order in which a family reads them. */
import { exampleArgs } from '~/core/games/kit/examples';
import type { Game, Variant } from '~/core/games/kit/game';
import { STEP_PARTS, type StepPart } from '~/core/games/kit/types';
import { SHELF } from '~/core/games/shelf';
import type { Shape } from '~/core/paper/sheet';
import type { Args, Messages } from '~/core/words/message';
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
