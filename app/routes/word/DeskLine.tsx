import { useEffect, useState } from 'react';
import { Link, useFetcher, useSearchParams } from 'react-router';
import styled from 'styled-components';
import type { DeskLine as Read } from '~/core/pack/desk';
import { wordsChanged, type LineState } from '~/core/words/checks';
import { aboutLanguage, type Language } from '~/core/words/languages';
import type { Args } from '~/core/words/message';
import { count } from '~/core/words/numbers';
import { SHARED } from '~/core/words/shared';
import { turnables } from '~/core/words/turnables';
import { GameDrawing } from '~/app/game/SheetView';
import { Button } from '~/app/ui/Button';
import { TextBox, TickBox } from '~/app/ui/fields';
import { Faint, Row, Stack, State } from '~/app/ui/Page';
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
}

export function DeskLine({ sourceId, line, number, target, mayWord }: Props) {
  const { id, english, message, picture, state, saidBy } = line;
  const home = saidBy ? SHARED.id : sourceId;
  const [turned, setTurned] = useState<Args>({});
  const [editing, setEditing] = useState(false);
  const args = { ...line.args, ...turned };
  const said = message === undefined ? undefined : read(message, target, args);
  const { direction } = aboutLanguage(target);
  const right = state.kind === 'checked';
  const note = state.kind === 'checked' || state.kind === 'doubt' ? state.note : '';
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
                aria-label={`${name} is ${now}; read line ${number} with ${next}`}
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
      <div className={editing ? 'editing' : undefined}>
        {editing ? (
          <EditLine {...{ home, sourceId, line, number, target, args }} done={() => setEditing(false)} />
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
            {mayWord && (
              <Small $gap="1rem">
                <Button
                  type="button"
                  quiet
                  aria-label={`Word line ${number} anew`}
                  onPress={() => setEditing(true)}
                >
                  Word it anew
                </Button>
                <Link
                  to={`/word/${home}/${id}?language=${target}`}
                  aria-label={`How line ${number} was worded`}
                >
                  its story
                </Link>
                <Link
                  to={`/word/${home}/${id}?language=en`}
                  aria-label={`Word the English of line ${number}`}
                >
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
      </div>
    </li>
  );
}

/** Where a line stands, in a few words. */
function Stands({ state }: { state: LineState }) {
  if (state.kind === 'checked') return <State tone="calm">read by {state.by}</State>;
  if (state.kind === 'doubt') return <State tone="hand">in doubt, {state.by}</State>;
  if (state.kind === 'stale') return <State tone="hand">stale</State>;
  return null;
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
  done,
}: Omit<Props, 'mayWord'> & {
  /** What the line is worded in: its game, or what games share. */
  home: string;
  args: Args;
  done: () => void;
}) {
  const { id, english } = line;
  const { name, direction } = aboutLanguage(target);
  const fetcher = useFetcher<typeof wordIt>();
  const [search] = useSearchParams();
  const [message, setMessage] = useState(line.message ?? '');
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
