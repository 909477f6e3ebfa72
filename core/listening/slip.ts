/**
 * The paper slip: a few questions with boxes to tick, each box with its own digit. Typed in, a slip is the tag of
 * its bag and one digit for each question, 0 where nothing was ticked: "K7M4W 213420".
 */
import { readTag, showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import type { Answer } from './answer';
import { LEVELS, SLIP_QUESTIONS, type Level } from '~/core/pack/questions';

/** What a slip says, in a sentence for who types it: "2 children, 1 grown-up, just right". */
export function slipSentence({ children, grownUps, times, minutes, level, missing }: SlipAnswer): string {
  const parts = [
    children === undefined ? '' : count(children, 'child', 'children'),
    grownUps === undefined ? '' : count(grownUps, 'grown-up'),
    times === undefined ? '' : `played ${times === 1 ? 'once' : `${times} times`}`,
    minutes === undefined ? '' : `about ${count(minutes, 'minute')} each time`,
    level === undefined ? '' : LEVELS[level],
    missing ? 'something was missing or broken' : '',
  ].filter(Boolean);
  return parts.length ? `${parts.join(', ')}.` : 'Nothing else is ticked.';
}

const MISSING = 'Ticked on the paper slip that something was missing or broken.';

export type SlipAnswer = Omit<Answer, 'childDid' | 'anythingElse'>;
export type SlipReading = { ok: true; tag: string; answer: SlipAnswer } | { ok: false; problem: string };

/** Reads what was typed from a slip: the tag, then a digit for each question, with or without blanks. */
export function readSlip(text: string): SlipReading {
  const compact = text.replace(/[\s-]/g, '').toUpperCase();
  const digits = /^(.{5})(.*)$/.exec(compact);
  if (!digits) return { ok: false, problem: 'Type the number of the slip first, such as K7M4-W.' };
  const [, tagText, rest] = digits as unknown as [string, string, string];
  const tag = readTag(tagText);
  if (tag.kind !== 'tag')
    return {
      ok: false,
      problem:
        tag.kind === 'misread'
          ? tag.reason
          : `${tagText} is not the number of a slip. It stands at the top right, such as K7M4-W.`,
    };
  if (!/^\d*$/.test(rest))
    return { ok: false, problem: 'After the number come digits only: one for each question.' };
  if (rest.length !== SLIP_QUESTIONS.length)
    return {
      ok: false,
      problem: `There are ${SLIP_QUESTIONS.length} questions, and ${rest.length} ${rest.length === 1 ? 'digit' : 'digits'}. Type 0 where nothing is ticked.`,
    };
  const picked = [...rest].map((digit, i) => {
    const { boxes } = SLIP_QUESTIONS[i]!;
    return { digit: Number(digit), most: boxes.length, value: boxes[Number(digit) - 1] };
  });
  const wrong = picked.findIndex(({ digit, most }) => digit > most);
  if (wrong >= 0)
    return {
      ok: false,
      problem: `Question ${wrong + 1} has boxes 1 to ${picked[wrong]!.most}; ${picked[wrong]!.digit} was typed.`,
    };
  if (picked.every(({ digit }) => digit === 0))
    return {
      ok: false,
      problem: `Nothing is ticked on the slip of ${showTag(tag.tag)}: there is nothing to keep.`,
    };
  const number = (i: number) => picked[i]!.value as number | undefined;
  return {
    ok: true,
    tag: tag.tag,
    answer: {
      children: number(0),
      grownUps: number(1),
      times: number(2),
      minutes: number(3),
      level: picked[4]!.value as Level | undefined,
      missing: picked[5]!.value === 'yes' ? MISSING : '',
    },
  };
}
