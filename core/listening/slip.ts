/**
 * The paper slip: a few questions with boxes to tick, each box with its own digit. Typed in, a slip is the tag of
 * its bag and one digit for each question, 0 where nothing was ticked: "K7M4W 213420". How it was is asked of each
 * game of the bag.
 */
import { readTag, showTag } from '~/core/kits/tag';
import { LEVELS, slipQuestions, type Level } from '~/core/pack/questions';
import { count } from '~/core/words/numbers';
import { silent, type Answer, type WholeAnswer } from './answer';

const MISSING = 'Ticked on the paper slip that something was missing or broken.';

export type SlipAnswer = Pick<WholeAnswer, 'games'> & { answer: Omit<Answer, 'childDid' | 'anythingElse'> };

/** What a slip says, in a sentence for who types it: "2 children, 1 grown-up, Spill six just right." */
export function slipSentence({ answer, games }: SlipAnswer, names: readonly string[]): string {
  const { children, grownUps, times, minutes, missing } = answer;
  const parts = [
    children === undefined ? '' : count(children, 'child', 'children'),
    grownUps === undefined ? '' : count(grownUps, 'grown-up'),
    times === undefined ? '' : `played ${times === 1 ? 'once' : `${times} times`}`,
    minutes === undefined ? '' : `about ${count(minutes, 'minute')} each time`,
    ...games.map(({ position, said }) =>
      said === undefined
        ? ''
        : names.length > 1
          ? `${names[position] ?? `game ${position + 1}`} ${LEVELS[said]}`
          : LEVELS[said],
    ),
    missing ? 'something was missing or broken' : '',
  ].filter(Boolean);
  return parts.length ? `${parts.join(', ')}.` : 'Nothing else is ticked.';
}

/** The number of a slip, and the digits after it; or what is wrong with the number. */
export type SlipNumber = { ok: true; tag: string; digits: string } | { ok: false; problem: string };
export function readSlipNumber(text: string): SlipNumber {
  const compact = text.replace(/[\s-]/g, '').toUpperCase();
  const [, tagText = '', digits = ''] = /^(.{5})(.*)$/.exec(compact) ?? [];
  if (!tagText) return { ok: false, problem: 'Type the number of the slip first, such as K7M4-W.' };
  const tag = readTag(tagText);
  if (tag.kind !== 'tag')
    return {
      ok: false,
      problem:
        tag.kind === 'misread'
          ? tag.reason
          : `${tagText} is not the number of a slip. It stands at the top right, such as K7M4-W.`,
    };
  if (!/^\d*$/.test(digits))
    return { ok: false, problem: 'After the number come digits only: one for each question.' };
  return { ok: true, tag: tag.tag, digits };
}

export type SlipReading = ({ ok: true; tag: string } & SlipAnswer) | { ok: false; problem: string };

/** Reads what was typed from a slip of a bag with so many games: the tag, then a digit for each question. */
export function readSlip(text: string, games: number): SlipReading {
  const found = readSlipNumber(text);
  if (!found.ok) return found;
  const { tag, digits } = found;
  const questions = slipQuestions(games);
  if (digits.length !== questions.length) {
    const older = games > 1 && digits.length === slipQuestions(1).length;
    return {
      ok: false,
      problem: `There are ${questions.length} questions, and ${digits.length} ${digits.length === 1 ? 'digit' : 'digits'}. ${
        older
          ? `The bag has ${games} games: the fifth question stands once for each. An older slip asks it once; type its digit ${games} times.`
          : 'Type 0 where nothing is ticked.'
      }`,
    };
  }
  const picked = [...digits].map((digit, i) => ({
    digit: Number(digit),
    ...questions[i]!,
    value: questions[i]!.boxes[Number(digit) - 1],
  }));
  const wrong = picked.findIndex(({ digit, boxes }) => digit > boxes.length);
  if (wrong >= 0)
    return {
      ok: false,
      problem: `Question ${wrong + 1} has boxes 1 to ${picked[wrong]!.boxes.length}; ${picked[wrong]!.digit} was typed.`,
    };
  if (picked.every(({ digit }) => digit === 0))
    return {
      ok: false,
      problem: `Nothing is ticked on the slip of ${showTag(tag)}: there is nothing to keep.`,
    };
  const number = <N extends string>(name: N, id: string = name): { [K in N]?: number } => {
    const ticked = picked.find((one) => one.id === id)!.value as number | undefined;
    return ticked === undefined ? {} : ({ [name]: ticked } as { [K in N]: number });
  };
  return {
    ok: true,
    tag,
    answer: {
      ...number('children'),
      ...number('grownUps'),
      ...number('times'),
      ...number('minutes', 'minutesEach'),
      missing: picked.at(-1)!.value === 'yes' ? MISSING : '',
    },
    games: picked.flatMap(({ game, value }) =>
      game === undefined || value === undefined ? [] : [{ ...silent(game), said: value as Level }],
    ),
  };
}
