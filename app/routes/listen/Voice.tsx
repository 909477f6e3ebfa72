import { useState } from 'react';
import { Link } from 'react-router';
import { Form, useFetcher } from '~/app/ui/sending';
import styled from 'styled-components';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import type { Voiced } from '~/server/listening/heard';
import { Button } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Row, Stack, State, Tag } from '~/app/ui/Page';
import { color, cut } from '~/app/ui/theme';

const Strip = styled.article<{ $new: boolean }>`
  padding: 0.7rem 0 0.7rem 1rem;
  border-inline-start: 5px solid ${({ $new }) => ($new ? color.straw : color.line)};
  display: grid;
  gap: 0.4rem;
  blockquote {
    margin: 0;
    font-size: 1.08rem;
  }
  img {
    ${cut}
    max-width: 14rem;
    max-height: 12rem;
    border: 1px solid ${color.line};
  }
`;
const Marks = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.4rem;
  button {
    ${cut}
    min-height: 36px;
    padding: 0 0.8rem;
    border: 1.5px dashed ${color.faint};
    background: ${color.sheet};
    color: ${color.ink};
    font: inherit;
    cursor: pointer;
  }
  button[aria-pressed='true'] {
    border: 1.5px solid ${color.fern};
    background: ${color.sprout};
    font-weight: 700;
  }
`;

export interface Theme {
  id: string;
  name: string;
}
interface Told {
  problem?: string;
  said?: string;
}

/** What one family said, with its games, its themes, and a line back. */
export function Voice({
  voice,
  themes,
  thanks,
}: {
  voice: Voiced;
  themes: readonly Theme[];
  /** “Thank you” in the languages of families. */
  thanks: Readonly<Record<string, string>>;
}) {
  const { id, language, games, facts, pictures } = voice;
  const { direction } = aboutLanguage(language);
  const words = { lang: language, dir: direction } as const;
  return (
    <Strip $new={voice.isNew} aria-label={`Answer of ${voice.familyName}`}>
      <Row $gap="0.7rem" style={{ alignItems: 'center' }}>
        <strong>
          <Link to={`/listen/families/${voice.familyId}`}>{voice.familyName}</Link>
        </strong>
        <span>
          <Tag>{showTag(voice.tag)}</Tag> {voice.kitName}
        </span>
        <Faint as="span">
          {voice.at}, {voice.via}
        </Faint>
        {voice.isNew && <State tone="note">new</State>}
      </Row>
      {games.map((game) => (
        <div key={game.position}>
          <Row $gap="0.6rem" style={{ alignItems: 'center' }}>
            <span>{game.name}</span>
            {game.said && (
              <State tone={game.said.level === 'justRight' ? 'calm' : 'wait'}>{game.said.word}</State>
            )}
            <Faint as="span">
              {[game.child && `by ${game.child}`, ...game.facts].filter(Boolean).join(', ')}
            </Faint>
            {game.unclear && <State tone="hand">a step was unclear</State>}
          </Row>
          {game.childSaid && <blockquote {...words}>“{game.childSaid}”</blockquote>}
          {game.changed && (
            <p>
              Changed: <span {...words}>{game.changed}</span>
            </p>
          )}
        </div>
      ))}
      {facts.length > 0 && <Faint>{facts.join(', ')}</Faint>}
      {voice.childDid && <blockquote {...words}>“{voice.childDid}”</blockquote>}
      {voice.missing && (
        <p>
          <State tone="hand">missing or broken</State> <span {...words}>{voice.missing}</span>{' '}
          <Link to="/take-back/tasks">What the bags need</Link>
        </p>
      )}
      {voice.anythingElse && <p {...words}>{voice.anythingElse}</p>}
      {pictures.map((picture) => (
        <Picture key={picture} id={picture} of={voice.familyName} />
      ))}
      {themes.length > 0 && <Themes answerId={id} marked={voice.themes} themes={themes} />}
      <LineBack voice={voice} thanks={thanks[language] ?? ''} />
    </Strip>
  );
}

function Picture({ id, of }: { id: string; of: string }) {
  const fetcher = useFetcher();
  return (
    <Row $gap="0.7rem">
      <a href={`/listen/pictures/${id}`}>
        <img src={`/listen/pictures/${id}`} alt={`What a child of ${of} made`} loading="lazy" />
      </a>
      <Form by={fetcher} method="post" action="/listen">
        <input type="hidden" name="picture" value={id} />
        <Button type="submit" quiet name="intent" value="dropPicture" isPending={fetcher.state !== 'idle'}>
          Delete this picture
        </Button>
      </Form>
    </Row>
  );
}

function Themes({
  answerId,
  marked,
  themes,
}: {
  answerId: string;
  marked: readonly string[];
  themes: readonly Theme[];
}) {
  const fetcher = useFetcher();
  const [now, setNow] = useState(marked);
  return (
    <Marks role="group" aria-label="Themes">
      {themes.map(({ id, name }) => {
        const on = now.includes(id);
        return (
          <button
            key={id}
            type="button"
            aria-pressed={on}
            onClick={() => {
              setNow(on ? now.filter((one) => one !== id) : [...now, id]);
              void fetcher.submit(
                { intent: 'mark', answer: answerId, theme: id, on: on ? '' : '1' },
                { method: 'post', action: '/listen' },
              );
            }}
          >
            {name}
          </button>
        );
      })}
    </Marks>
  );
}

/** A line to the family; folded away until it is wanted. */
function LineBack({ voice, thanks }: { voice: Voiced; thanks: string }) {
  const fetcher = useFetcher<Told>();
  const [open, setOpen] = useState(false);
  const { direction } = aboutLanguage(voice.language);
  if (fetcher.data?.said && fetcher.state === 'idle')
    return (
      <Said kind="done" word="Said" live>
        {fetcher.data.said}
      </Said>
    );
  if (!open)
    return (
      <div>
        <Button quiet onPress={() => setOpen(true)}>
          Thank {voice.familyName}, or answer
        </Button>
      </div>
    );
  return (
    <Form by={fetcher} method="post" action="/listen">
      <Stack $gap="0.6rem">
        <input type="hidden" name="answer" value={voice.id} />
        <TextBox
          name="line"
          label={`A line to ${voice.familyName}, in ${aboutLanguage(voice.language).name}`}
          defaultValue={thanks}
          lines={2}
          maxLength={600}
          lang={voice.language}
          dir={direction}
          autoFocus
          error={fetcher.data?.problem}
          hint="It goes by the way they chose, or on a strip in their next bag."
        />
        <Row $gap="0.6rem">
          <Button type="submit" name="intent" value="line" isPending={fetcher.state !== 'idle'}>
            Say it to them
          </Button>
          <Button quiet onPress={() => setOpen(false)}>
            Not now
          </Button>
        </Row>
      </Stack>
    </Form>
  );
}
