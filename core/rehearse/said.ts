/** A rehearsal as it is read: its scenes, said in a language. */
import type { Fact } from '~/core/cards/facts';
import { REHEARSE_WORDS } from '~/core/words/rehearse';
import { say, type Reading, type Source } from '~/core/words/reading';
import type { Line, Scene } from './rehearsal';

export interface SceneSaid {
  task: string;
  child: string;
  /** Lots of pieces to draw beside it; none where that would say something else. */
  shown: number[];
  /** They lie one below the other, and the smaller lot is spread out, so that it looks longer. */
  spread: boolean;
  choices: { say: string; then: string; why: string; helps: boolean }[];
  /** How the game itself goes on. */
  turn: string;
}

/** So many pieces can be drawn beside a sentence. */
const DRAWN = 20;
function lotsOf({ op, a, b }: Fact): number[] {
  if (![a, b].every((n) => Number.isInteger(n) && n >= 0 && n <= DRAWN)) return [];
  if (op === 'split' || op === 'add' || op === 'compare') return [a, b];
  return op === 'count' || op === 'glance' || op === 'subtract' ? [a] : [];
}

/** A scene said in a reading; `words` are those of its game. */
export function sceneSaid(
  { task, child, choices, turn, fact }: Scene,
  reading: Reading,
  words: Source,
): SceneSaid {
  const said = ({ id, args }: Line): string => say(reading, REHEARSE_WORDS, id, args);
  return {
    task: said(task),
    child: said(child),
    shown: lotsOf(fact),
    spread: fact.op === 'compare',
    choices: choices.map((one) => ({
      say: said(one.say),
      then: said(one.then),
      why: said(one.why),
      helps: one.helps,
    })),
    turn: say(reading, words, turn.id, turn.args),
  };
}
