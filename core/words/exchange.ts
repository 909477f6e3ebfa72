/**
 * Lines on their way out of the house and back: sentence by sentence, in any two languages, and what may be taken over
 * of what comes back.
 */
import {
  branchesOf,
  emptyBranches,
  messageOf,
  sentencesOf,
  withForms,
  withSentences,
  type Branch,
  type Sentence,
} from './branches';
import { samplesOf } from './inspect';
import type { Language } from './languages';
import { faultsOfLine, MOST_LINE } from './line';
import { listed } from './numbers';
import { besides, neverSaid } from './sentences';

/** A line as it is here, in the language it is read from and the one it is worded in. */
export interface LineHere {
  /** Where it is worded: a game, or what stands around the games. */
  sourceId: string;
  messageId: string;
  english: string;
  /** The line in the language it is read from. */
  from: string;
  /** Nothing where it has no wording yet. */
  to?: string;
  /** Where a family reads it: "Get ready". */
  place: string;
  state: SegmentState;
  note: string;
}

/** States of XLIFF 2.0: nobody has worded it, nobody has checked it, it was found right. */
export type SegmentState = 'initial' | 'translated' | 'reviewed' | 'final';
export const SEGMENT_STATES: readonly SegmentState[] = ['initial', 'translated', 'reviewed', 'final'];

/** One sentence of a line: with its places, such as {counters}. */
export interface Segment {
  /** "one", or "n-few.players-other": which of the sentences of its line it is. */
  form: string;
  /** When it is said: "counters: 3, 4, 5 …"; empty where the line has one sentence only. */
  when: string;
  source: string;
  target: string;
}
export interface Unit extends LineHere {
  segments: Segment[];
}

/** Languages and lines of one file. */
export interface Exchange {
  from: Language;
  to: Language;
  units: readonly Unit[];
}

/** When a sentence is said: "counters: 3, 4, 5 …". */
export const whenOf = ({ when }: Sentence, language: Language): string =>
  when
    .map(({ name, kind, option }) => {
      if (kind === 'select') return `${name}: ${option}`;
      if (option.startsWith('=')) return `${name}: exactly ${option.slice(1)}`;
      const some = samplesOf(language, option, 4);
      return `${name}: ${some.slice(0, 3).join(', ')}${some.length > 3 ? ' …' : ''}`;
    })
    .join('; ');

const formOf = ({ when }: Sentence): string =>
  when.map(({ name, option }) => `${name}-${option.replace('=', 'exactly')}`).join('.') || 'all';

const branchOf = ({ english, to }: Pick<LineHere, 'english' | 'to'>, language: Language): Branch =>
  to === undefined ? emptyBranches(english, language) : withForms(branchesOf(to, language), language);

/** A line sentence by sentence: as many as its second language has forms. */
export function unitOf(line: LineHere, from: Language, to: Language): Unit {
  const branch = branchOf(line, to);
  const source = sentencesOf(branchesOf(line.from, from));
  return {
    ...line,
    segments: sentencesOf(branch)
      .filter((one) => !neverSaid(one, to))
      .map((one) => ({
        form: formOf(one),
        when: whenOf(one, to),
        source: besides(source, from, one, to).text,
        target: one.text,
      })),
  };
}

/** A sentence that comes back. */
export interface Returned {
  /** Where it stands in its file: "row 12", "unit goal". */
  at: string;
  sourceId: string;
  messageId: string;
  form: string;
  source: string;
  target: string;
  state?: SegmentState;
}

/** A line that would be worded anew. */
export interface LineChange {
  sourceId: string;
  messageId: string;
  english: string;
  /** How it is worded now; nothing where it is not. */
  was?: string;
  becomes: string;
  /** Those of its sentences that change. */
  sentences: { when: string; was: string; becomes: string }[];
}
export interface Refused {
  at: string;
  sourceId: string;
  messageId: string;
  why: string;
}
export interface Taken {
  changes: LineChange[];
  refused: Refused[];
  /** Lines that came back as they are. */
  same: number;
  /** Lines whose every sentence came back as final, changed or not. */
  final: { sourceId: string; messageId: string }[];
}

const keyOf = (one: { sourceId: string; messageId: string }): string => `${one.sourceId} ${one.messageId}`;

/** What may be taken over of what comes back, and why the rest may not. Nothing is written by it. */
export function takeBack(
  returned: readonly Returned[],
  here: readonly LineHere[],
  from: Language,
  to: Language,
): Taken {
  const lines = new Map(here.map((line) => [keyOf(line), line]));
  const groups = new Map<string, Returned[]>();
  for (const one of returned) groups.set(keyOf(one), [...(groups.get(keyOf(one)) ?? []), one]);
  const taken: Taken = { changes: [], refused: [], same: 0, final: [] };
  for (const [key, group] of groups) {
    const first = group[0]!;
    const { sourceId, messageId } = first;
    const refuse = (why: string, at = first.at): void =>
      void taken.refused.push({ at, sourceId, messageId, why });
    const line = lines.get(key);
    if (!line) {
      refuse('There is no such line here.');
      continue;
    }
    const branch = branchOf(line, to);
    const all = sentencesOf(branch);
    const unit = unitOf(line, from, to);
    const byForm = new Map(group.map((one) => [one.form, one]));
    const strange = group.find(({ form }) => !unit.segments.some((one) => one.form === form));
    const missing = unit.segments.filter(({ form }) => !byForm.has(form));
    const stale = unit.segments.find(({ form, source }) => {
      const back = byForm.get(form);
      return back && back.source.trim() !== source.trim();
    });
    if (byForm.size < group.length) refuse('The same sentence stands in the file twice.');
    else if (strange) refuse(`This line has no sentence “${strange.form}” in this language.`, strange.at);
    else if (stale)
      refuse(
        'What it was worded from has changed since the file was written. Send the line out once more.',
        byForm.get(stale.form)!.at,
      );
    else if (missing.length)
      refuse(
        `A form is missing: ${listed(missing.map(({ when }) => when || 'the sentence'))}. Every form that the language has is needed.`,
      );
    else {
      const texts: string[] = [];
      for (const one of all) {
        const back = byForm.get(formOf(one));
        // A form that is never said follows the one before it.
        texts.push(back ? back.target.trim() : (texts.at(-1) ?? ''));
      }
      const before = unit.segments.map(({ target }) => target.trim());
      const now = unit.segments.map(({ form }) => byForm.get(form)!.target.trim());
      const unchanged = now.every((text, i) => text === before[i]);
      if (unchanged) taken.same++;
      else {
        const fault = faultOf(now, texts, branch, line, to);
        if (fault) {
          refuse(fault);
          continue;
        }
        taken.changes.push({
          sourceId,
          messageId,
          english: line.english,
          ...(line.to === undefined ? {} : { was: line.to }),
          becomes: messageOf(withSentences(branch, texts)),
          sentences: unit.segments.flatMap(({ when, target }, i) =>
            now[i] === before[i] ? [] : [{ when, was: target, becomes: now[i]! }],
          ),
        });
      }
      if (group.every(({ state }) => state === 'final') && (line.to !== undefined || !unchanged))
        taken.final.push({ sourceId, messageId });
    }
  }
  return taken;
}

/** What is wrong with a line that was worded anew elsewhere, in one sentence. */
function faultOf(
  now: readonly string[],
  texts: readonly string[],
  branch: Branch,
  line: LineHere,
  to: Language,
): string | undefined {
  if (now.some((text) => text === ''))
    return now.every((text) => text === '')
      ? 'The wording is empty.'
      : 'One of its sentences is empty: every form that the language has is needed.';
  if (now.some((text) => text.length > MOST_LINE)) return `A line has room for ${MOST_LINE} characters.`;
  // Braces are places and nothing else: what is typed is text, never syntax.
  if (now.some((text) => /[{}]/.test(text.replace(/\{\w+\}/g, ''))))
    return 'A brace stands alone: the places that the game fills in are one piece each, such as {counters}.';
  return faultsOfLine(messageOf(withSentences(branch, texts)), line.english, to)[0];
}
