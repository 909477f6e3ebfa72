import { useEffect, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useFetcher } from '~/app/ui/sending';
import styled from 'styled-components';
import type { DeskLine as Read } from '~/core/pack/desk';
import { schoolsWord, wordsChanged, type LineState, type Voice as Word } from '~/core/words/checks';
import { aboutLanguage, type Language } from '~/core/words/languages';
import type { Args } from '~/core/words/message';
import { count } from '~/core/words/numbers';
import { lineFromSaid } from '~/core/words/sentences';
import { SHARED } from '~/core/words/shared';
import { turnables } from '~/core/words/turnables';
import type { Voice } from '~/data/queries/voices';
import { GameDrawing } from '~/app/game/SheetView';
import { Button } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Faint, Row, Stack, State } from '~/app/ui/Page';
import { Sound } from '~/app/ui/Sound';
import { color } from '~/app/ui/theme';
import { OtherWords, read } from './Advice';
import { Preview } from './Preview';
import { Worder } from './Worder';
import type { action as wordIt } from './line';

/** A line as the desk shows it: both wordings as they are kept, and where it stands. */
export interface Shown extends Read {
  english: string;
  /** Nothing where families read it in English. */
  message?: string;
  state: LineState;
  /** Games that say it alike: it is worded and read once for all of them. */
  saidBy?: string[];
  /** Who says it aloud. */
  voices: Voice[];
  /** So many families did not understand it. */
  unclear: number;
}

const Chips = styled.p`
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem;
  margin-top: 0.3rem;
  button,
  span {
    font: inherit;
    font-size: 0.9rem;
    padding: 0.05rem 0.6rem;
    border: 1px solid ${color.line};
    border-radius: 9px 2px 9px 3px;
    background: ${color.sheet};
    color: ${color.ink};
  }
  button {
    min-height: 1.9rem;
    cursor: pointer;
    border-color: ${color.faint};
  }
`;
/** Next to every line, so it is kept small. */
const Small = styled(Row)`
  margin-top: 0.3rem;
  button {
    min-height: 2rem;
    padding: 0.1rem 0.8rem;
    font-weight: 500;
  }
`;
const Diff = styled.span`
  ins {
    text-decoration: underline;
    background: ${color.sprout};
  }
  del {
    background: ${color.clayLight};
  }
`;

interface Props {
  sourceId: string;
  line: Shown;
  number: number;
  target: Language;
  mayWord: boolean;
  /** Whether this person decides what families hear. */
  decides: boolean;
}

export function DeskLine({ sourceId, line, number, target, mayWord, decides }: Props) {
  const { id, english, message, picture, state, saidBy } = line;
  const home = saidBy ? SHARED.id : sourceId;
  const [turned, setTurned] = useState<Args>({});
  /** What the line begins with while it is worded anew. */
  const [editing, setEditing] = useState<string>();
  const args = { ...line.args, ...turned };
  const said = message === undefined ? undefined : read(message, target, args);
  const { direction } = aboutLanguage(target);
  const { right, note } = schoolsWord(state);
  const voices = state.kind === 'checked' || state.kind === 'doubt' ? state.voices : [];
  return (
    <li>
      <input type="hidden" name={`had ${id}`} value={`${right ? 1 : 0} ${note}`} />
      <span className="number">{number}</span>
      <div>
        {picture && <GameDrawing shapes={picture} width={90} />}
        <p lang="en">{read(english, 'en', args)}</p>
        <Chips>
          {turnables(english, line.args).map(({ name, values }) => {
            const now = String(args[name] ?? values[0]);
            const next = values[(values.findIndex((one) => String(one) === now) + 1) % values.length]!;
            return values.length > 1 ? (
              <button
                key={name}
                type="button"
                aria-label={`${name} ${now}: read line ${number} with ${next}`}
                onClick={() => setTurned({ ...turned, [name]: next })}
              >
                {name} <b>{now}</b>
              </button>
            ) : (
              <span key={name}>
                {name} <b>{now}</b>
              </span>
            );
          })}
        </Chips>
        {saidBy && saidBy.length > 1 && (
          <details>
            <summary>Said alike by {count(saidBy.length, 'game')}</summary>
            <Faint>{saidBy.join(', ')}</Faint>
          </details>
        )}
        {state.kind === 'stale' && <WhatChanged before={state.english} after={english} args={args} />}
      </div>
      <div className={editing === undefined ? undefined : 'editing'}>
        {editing !== undefined ? (
          <EditLine
            {...{ home, sourceId, line, number, target, args }}
            begin={editing}
            done={() => setEditing(undefined)}
          />
        ) : (
          <>
            {said === undefined ? (
              <Faint>There is no wording yet; families read it in English.</Faint>
            ) : (
              <p lang={target} dir={direction}>
                {said}
              </p>
            )}
            {message !== undefined && <OtherWords message={message} language={target} />}
            {voices
              // Where all find it right the flag beside it says so.
              .filter(({ invited }) => invited && state.kind === 'doubt')
              .map((voice) => (
                <Said
                  key={voice.by}
                  {...{ voice, message: message!, target, number }}
                  args={line.args}
                  onTake={mayWord ? setEditing : undefined}
                />
              ))}
            {line.voices.map((voice) => (
              <Aloud key={voice.id} {...{ voice, target, number, decides }} />
            ))}
            {mayWord && (
              <Small $gap="1rem">
                <Button
                  type="button"
                  quiet
                  aria-label={`Word it anew: line ${number}`}
                  onPress={() => setEditing(message ?? '')}
                >
                  Word it anew
                </Button>
                <Link to={`/word/${home}/${id}?language=${target}`} aria-label={`its story: line ${number}`}>
                  its story
                </Link>
                <Link to={`/word/${home}/${id}?language=en`} aria-label={`the English: line ${number}`}>
                  the English
                </Link>
              </Small>
            )}
          </>
        )}
      </div>
      <div className="verdict">
        <div>
          {message !== undefined && (
            <TickBox name={`right ${id}`} value="yes" defaultSelected={right}>
              It is right<span className="visually-hidden">, line {number}</span>
            </TickBox>
          )}
          <Stands state={state} />
        </div>
        <TextBox
          name={`note ${id}`}
          label={`Note on line ${number}`}
          labelHidden
          placeholder="how it should be said"
          defaultValue={note}
          maxLength={500}
        />
        {line.unclear > 0 && (
          <div style={{ gridColumn: '1 / -1' }}>
            <State tone="hand">unclear to {count(line.unclear, 'family', 'families')}</State>
          </div>
        )}
      </div>
    </li>
  );
}

/** Where a line stands, in a few words. */
function Stands({ state }: { state: LineState }) {
  if (state.kind === 'checked')
    return <State tone="calm">read by {state.voices.map(({ by }) => by).join(', ')}</State>;
  if (state.kind === 'doubt')
    return state.voices.some(({ right }) => right) ? (
      <State tone="hand">readers disagree</State>
    ) : (
      <State tone="hand">in doubt, {state.voices.map(({ by }) => by).join(', ')}</State>
    );
  if (state.kind === 'stale') return <State tone="hand">stale</State>;
  return null;
}

/** What an invited reader says of a line, and what can be made of it. */
function Said({
  voice,
  message,
  target,
  args,
  number,
  onTake,
}: {
  voice: Word;
  message: string;
  target: Language;
  args: Args;
  number: number;
  onTake: ((message: string) => void) | undefined;
}) {
  const { by, right, unsure, note } = voice;
  if (right || unsure || !note)
    return (
      <Faint>
        {by}: {right ? 'it is right' : 'not sure'}
      </Faint>
    );
  const taken = lineFromSaid(note, message, target, args);
  return (
    <div>
      <Faint>{by} would say:</Faint>
      <p lang={target} dir={aboutLanguage(target).direction}>
        {note}
      </p>
      {onTake && (
        <Small>
          <Button
            type="button"
            quiet
            aria-label={`${taken === undefined ? 'Word it so' : 'Take it'}: line ${number}, as ${by} says`}
            onPress={() => onTake(taken ?? message)}
          >
            {taken === undefined ? 'Word it so' : 'Take it'}
          </Button>
          {taken === undefined && <Faint>Its numbers are to be put in by hand.</Faint>}
        </Small>
      )}
    </div>
  );
}

/** A line as somebody says it aloud: families hear it once somebody here has listened. */
function Aloud({
  voice,
  target,
  number,
  decides,
}: {
  voice: Voice;
  target: Language;
  number: number;
  decides: boolean;
}) {
  const fetcher = useFetcher();
  const { id, by, said, letOut } = voice;
  const send = (intent: 'letOut' | 'end'): void =>
    void fetcher.submit({ intent }, { method: 'post', action: `/word/voices/${id}` });
  return (
    <div>
      <Faint>
        {by} says aloud{letOut ? ', and families hear it' : ''}: <span lang={target}>{said}</span>
      </Faint>
      <Sound src={`/word/voices/${id}`} label={`Line ${number}, said aloud by ${by}`} />
      {decides && (
        <Small>
          {!letOut && (
            <Button
              type="button"
              quiet
              aria-label={`Let families hear it: line ${number}`}
              onPress={() => send('letOut')}
            >
              Let families hear it
            </Button>
          )}
          <Button
            type="button"
            quiet
            aria-label={`Take it away: the voice of line ${number}`}
            onPress={() => send('end')}
          >
            Take it away
          </Button>
        </Small>
      )}
    </div>
  );
}

/** How the English changed since somebody read the line. */
function WhatChanged({ before, after, args }: { before: string; after: string; args: Args }) {
  const [was, is] = [read(before, 'en', args) ?? before, read(after, 'en', args) ?? after];
  // Where both say the same with these numbers, it is the message that changed.
  const pieces = was === is ? wordsChanged(before, after, 'en') : wordsChanged(was, is, 'en');
  return (
    <Faint>
      Changed since it was read:{' '}
      <Diff lang="en">
        {pieces.map(({ text, how }, i) =>
          how === 'come' ? <ins key={i}>{text}</ins> : how === 'gone' ? <del key={i}>{text}</del> : text,
        )}
      </Diff>
    </Faint>
  );
}

function EditLine({
  home,
  sourceId,
  line,
  number,
  target,
  args,
  begin,
  done,
}: Omit<Props, 'mayWord' | 'decides'> & {
  begin: string;
  /** What the line is worded in: its game, or what games share. */
  home: string;
  args: Args;
  done: () => void;
}) {
  const { id, english } = line;
  const { name, direction } = aboutLanguage(target);
  const fetcher = useFetcher<typeof wordIt>();
  const [search] = useSearchParams();
  const [message, setMessage] = useState(begin);
  const answer = fetcher.data;
  // After somebody else was quicker, what they wrote is what is worded anew.
  const had = answer?.now ?? line.message ?? '';
  useEffect(() => {
    if (answer?.saved) done();
  }, [answer, done]);
  return (
    <Stack $gap="0.5rem">
      {answer?.errors[''] && <p role="alert">{answer.errors['']}</p>}
      {answer?.now !== undefined && (
        <p lang={target} dir={direction}>
          {answer.now}
        </p>
      )}
      <Worder
        english={english}
        worded={line.message}
        begin={begin}
        message={message}
        onMessage={setMessage}
        target={target}
        args={args}
        label={`Line ${number} in ${name}`}
      />
      <Preview
        of={home}
        id={id}
        english={english}
        target={target}
        message={message}
        was={line.message ?? ''}
        gameId={sourceId}
        kitId={search.get('kit') ?? undefined}
      />
      <Row>
        <Button
          type="button"
          isPending={fetcher.state !== 'idle'}
          onPress={() =>
            void fetcher.submit(
              { message, had, inPlace: '1' },
              { method: 'post', action: `/word/${home}/${id}?language=${target}` },
            )
          }
        >
          Save this line
        </Button>
        <Button type="button" quiet onPress={done}>
          Leave it
        </Button>
      </Row>
    </Stack>
  );
}
