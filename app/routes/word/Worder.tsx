import { useState } from 'react';
import {
  branchesOf,
  emptyBranches,
  messageOf,
  sentencesOf,
  withForms,
  withSentences,
  type Branch,
} from '~/core/words/branches';
import { whenOf } from '~/core/words/exchange';
import { argumentsIn } from '~/core/words/inspect';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { faultsOfLine, MOST_LINE } from '~/core/words/line';
import type { Args } from '~/core/words/message';
import { neverSaid, saidWith } from '~/core/words/sentences';
import { Button } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Faint, Row, Stack } from '~/app/ui/Page';
import { OtherWords, read, Reads } from './Advice';

/** A line with more sentences than these is written as one text. */
const MOST_SENTENCES = 12;

function branchOf(message: string | undefined, english: string, language: Language): Branch | undefined {
  try {
    const branch = message
      ? withForms(branchesOf(message, language), language)
      : emptyBranches(english, language);
    return sentencesOf(branch).length > MOST_SENTENCES ? undefined : branch;
  } catch {
    return undefined;
  }
}

/**
 * Where a line is worded: a sentence for each form that its language has, with the places that the game fills in. Says
 * what is wrong while it is typed. `label` names it for those who do not see it.
 */
export function Worder({
  english,
  worded,
  begin = worded,
  message,
  onMessage,
  target,
  args,
  label,
  error,
}: {
  english: string;
  /** The line as it was when it was opened; nothing where there was none. */
  worded: string | undefined;
  /** What it begins with, where that is not how it was. */
  begin?: string | undefined;
  message: string;
  onMessage: (message: string) => void;
  target: Language;
  args: Args;
  label: string;
  error?: string | undefined;
}) {
  const { direction } = aboutLanguage(target);
  const [branch, setBranch] = useState(() => branchOf(begin, english, target));
  const [at, setAt] = useState<{ sentence: number; caret: number }>();
  const sentences = branch && sentencesOf(branch);
  const put = (texts: readonly string[]): void => {
    const next = withSentences(branch!, texts);
    setBranch(next);
    onMessage(texts.every((text) => text.trim() === '') ? '' : messageOf(next));
  };
  const write = (sentence: number, text: string): void => {
    const texts = sentences!.map((one) => one.text);
    texts[sentence] = text;
    // A form that is never said follows the one before it.
    for (let i = sentence + 1; i < texts.length && neverSaid(sentences![i]!, target); i++) texts[i] = text;
    put(texts);
  };
  const faults = message === (worded ?? '') ? [] : faultsOfLine(message, english, target);
  const unwritten = sentences?.some(({ text }) => text.trim() === '') && message !== '';
  const said = read(message, target, args);
  const places = argumentsIn(english).filter(({ kind }) => kind !== 'select');
  return (
    <Stack $gap="0.6rem">
      <div role="group" aria-label={label}>
        <Stack $gap="0.6rem">
          {sentences ? (
            sentences.map((one, i) =>
              neverSaid(one, target) ? null : (
                <TextBox
                  key={i}
                  name={`sentence ${i}`}
                  label={one.when.length ? whenOf(one, target) : label}
                  lines={2}
                  lang={target}
                  dir={direction}
                  value={one.text}
                  onChange={(text) => write(i, text)}
                  onBlur={({ target: box }) => {
                    if (box instanceof HTMLTextAreaElement) setAt({ sentence: i, caret: box.selectionStart });
                  }}
                  maxLength={MOST_LINE}
                  hint={
                    one.when.length > 0 &&
                    one.text.includes('{') && (
                      <span lang={target} dir={direction} style={{ display: 'block' }}>
                        {read(messageOf({ text: one.text }), target, saidWith(one, target, args))}
                      </span>
                    )
                  }
                />
              ),
            )
          ) : (
            <TextBox
              name="text"
              label={label}
              lines={4}
              lang={target}
              dir={direction}
              value={message}
              onChange={onMessage}
              maxLength={MOST_LINE}
            />
          )}
        </Stack>
      </div>
      {sentences && places.length > 0 && (
        <Row $gap="0.4rem">
          <Faint>Put in:</Faint>
          {places.map(({ name }) => (
            <Button
              key={name}
              type="button"
              quiet
              aria-label={`Put in {${name}}`}
              onPress={() => {
                const { sentence, caret } = at ?? { sentence: 0, caret: sentences[0]!.text.length };
                const { text } = sentences[sentence]!;
                write(sentence, `${text.slice(0, caret)}{${name}}${text.slice(caret)}`);
                setAt({ sentence, caret: caret + name.length + 2 });
              }}
            >
              {`{${name}}`}
            </Button>
          ))}
        </Row>
      )}
      {(faults.length > 0 || unwritten || error) && (
        <p role="alert">
          {[...(unwritten ? ['Write every one of the sentences.'] : []), ...faults].join(' ') || error}
        </p>
      )}
      {said !== undefined && said !== '' && (
        <div aria-live="polite">
          <Faint>So it is read:</Faint>
          <p lang={target} dir={direction}>
            {said}
          </p>
          <Reads text={said} language={target} />
          <OtherWords message={message} language={target} />
        </div>
      )}
      {sentences && sentences.length > 1 ? (
        <Row>
          <Button type="button" quiet onPress={() => setBranch(undefined)}>
            Write it as one text
          </Button>
        </Row>
      ) : null}
    </Stack>
  );
}
