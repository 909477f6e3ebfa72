import { data, Link, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import { visible } from '~/core/check/keepable';
import { PART_NAMES } from '~/core/pack/desk';
import { minutesToRead, MOST_NOTE } from '~/core/words/invitation';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { format } from '~/core/words/message';
import { waysToRead } from '~/core/words/sentences';
import { endOwnVoice, keepVoice, voicesOf } from '~/data/queries/voices';
import { addLineChecks } from '~/data/queries/words';
import { showTime } from '~/server/changes';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { linesToRead, opened, type ToRead } from '~/server/words/reading';
import { soundIn } from '~/server/words/sound';
import { GameDrawing } from '~/app/game/SheetView';
import { useSending } from '~/app/ui/Button';
import type { PageHandle } from '~/app/root';
import { color, cut } from '~/app/ui/theme';
import { Recorder } from './Recorder';
import type { Route } from './+types/reader';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [
  { title: 'Read with us · Fern Basket' },
  { name: 'robots', content: 'noindex' },
];

const shownOf = (line: ToRead | undefined, number: number, language: string) => {
  if (!line) return undefined;
  const ways = waysToRead(line.english, line.message, language, line.args);
  return {
    key: line.key,
    number,
    game: line.gameName,
    part: PART_NAMES[line.part],
    picture: line.picture,
    message: line.message,
    ways,
    word: line.word,
  };
};

export async function loader({ request, params, context }: Route.LoaderArgs) {
  const { at, school, link } = await opened(params.key, context.clientAddress);
  const lines = await linesToRead(at, link);
  const search = new URL(request.url).searchParams;
  const asked = search.get('line');
  const index = lines.findIndex(({ key }) => key === asked);
  const line = lines[index];
  const said = line && format(line.message, link.language, line.args);
  const mine =
    line &&
    (await voicesOf(at, link.language, [line.home])).find(
      (one) => one.readerId === link.id && one.said === said,
    );
  return data(
    {
      reader: link.reader,
      school: { name: school.name },
      target: link.language,
      languages: [link.language],
      path: `/read/${params.key}`,
      until: showTime(at, link.expiresAt),
      of: lines.length,
      read: lines.filter(({ word }) => word).length,
      right: lines.filter(({ word }) => word?.right).length,
      first: lines.find(({ word }) => !word)?.key,
      line: shownOf(line, index + 1, link.language),
      voice: mine && { id: mine.id, letOut: mine.letOut },
      /** The line before, on which something was said just now. */
      before: lines.find(({ key, word }) => word && key === search.get('before'))?.key,
      previous: index > 0 ? lines[index - 1]!.key : undefined,
    },
    { headers: { 'Cache-Control': 'no-store' } },
  );
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const { at, link } = await opened(params.key, context.clientAddress);
  const form = await request.formData();
  const lines = await linesToRead(at, link);
  const index = lines.findIndex(({ key }) => key === form.get('line'));
  const line = lines[index];
  const refuse = (problem: string, status: number, better = '') => data({ problem, better }, { status });
  if (!line)
    return refuse(
      'This line is not asked any more: somebody at the school has settled it. Go on with the next one.',
      409,
    );
  const say = async (word: { right: boolean; note: string; unsure: boolean }, then: 'next' | 'stay') => {
    await addLineChecks(at, line.game, [
      { messageId: line.id, language: link.language, readerId: link.id, ...word },
    ]);
    const rest = [...lines.slice(index + 1), ...lines.slice(0, index)];
    const next = then === 'stay' ? line : rest.find(({ word: said }) => !said);
    const search = new URLSearchParams({
      ...(next ? { line: next.key } : {}),
      ...(then === 'next' ? { before: line.key } : {}),
    });
    throw redirect(`/read/${params.key}?${search.toString()}`);
  };
  // What was said last can be taken back without being read again.
  if (form.get('intent') !== 'undo' && form.get('message') !== line.message)
    return refuse('The school worded this line anew a moment ago. Read it once more, as it stands now.', 409);
  const { language } = link;
  const said = format(line.message, language, line.args);
  const better = visible(textIn(form, 'better'), true).trim();
  return byIntent(form, {
    right: () => say({ right: true, note: '', unsure: false }, 'next'),
    unsure: () => say({ right: false, note: '', unsure: true }, 'next'),
    speak: async () => {
      const recorded = await soundIn(form.get('sound'));
      if (!recorded.ok) return refuse(recorded.problem, 400);
      const { sound, kind } = recorded;
      await keepVoice(at, {
        sourceId: line.home,
        messageId: line.id,
        language,
        said,
        kind,
        sound,
        readerId: link.id,
      });
      return data({ problem: '', better: '' });
    },
    silence: async () => {
      const id = form.get('voice');
      if (isId(id)) await endOwnVoice(at, id, link.id);
      return data({ problem: '', better: '' });
    },
    undo: () => say({ right: false, note: '', unsure: false }, 'stay'),
    better: () => {
      if (better.length > MOST_NOTE) return refuse(`There is room for ${MOST_NOTE} characters.`, 400, better);
      if (better === '' || better === said)
        return refuse('Write how you would say it; or choose “I am not sure”.', 400, better);
      return say({ right: false, note: better, unsure: false }, 'next');
    },
  });
}

const Frame = styled.main`
  max-width: 34rem;
  margin: 0 auto;
  padding: 1rem 1.1rem 3rem;
  display: grid;
  gap: 1rem;
  font-size: 1.12rem;
  h1 {
    font-size: 1.5rem;
  }
  form {
    display: grid;
    gap: 0.6rem;
  }
`;
const Line = styled.div`
  ${cut}
  display: grid;
  gap: 0.5rem;
  padding: 1rem;
  background: ${color.sheet};
  border: 1.5px solid ${color.line};
  .said {
    font-size: 1.5rem;
    line-height: 1.4;
  }
`;
const Big = styled.button<{ $quiet?: boolean }>`
  ${cut}
  display: grid;
  place-items: center;
  min-height: 54px;
  width: 100%;
  padding: 0.5rem 1rem;
  font: inherit;
  font-weight: 700;
  cursor: pointer;
  text-decoration: none;
  border: 2px solid ${color.fern};
  background: ${({ $quiet }) => ($quiet ? color.paper : color.fern)};
  color: ${({ $quiet }) => ($quiet ? color.deepFern : color.paper)};
`;
const Better = styled.details`
  summary {
    ${cut}
    display: grid;
    place-items: center;
    min-height: 54px;
    font-weight: 700;
    cursor: pointer;
    border: 2px solid ${color.fern};
    color: ${color.deepFern};
    list-style: none;
  }
  form {
    margin-top: 0.6rem;
  }
  textarea {
    ${cut}
    width: 100%;
    min-height: 7rem;
    padding: 0.6rem 0.8rem;
    border: 1.5px solid ${color.faint};
    background: ${color.sheet};
    font: inherit;
    font-size: 1.2rem;
  }
`;
const Others = styled.details`
  dl {
    display: grid;
    gap: 0.2rem;
  }
  dd {
    margin: 0 0 0.6rem;
    font-size: 1.15rem;
  }
  dt {
    color: ${color.faint};
  }
`;
const Small = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 0.6rem;
  color: ${color.faint};
  button {
    font: inherit;
    min-height: 44px;
    padding: 0 0.4rem;
    border: 0;
    background: none;
    color: ${color.shore};
    text-decoration: underline;
    cursor: pointer;
  }
  a {
    min-height: 44px;
  }
`;

export default function Reader({ loaderData, actionData }: Route.ComponentProps) {
  const { line, target, path, of, read, right, first, reader, school, until, before, previous } = loaderData;
  const busy = useSending();
  const { name, direction } = aboutLanguage(target);
  const to = (key: string): string => `${path}?line=${encodeURIComponent(key)}`;
  if (!line)
    return (
      <Frame>
        {first ? (
          <>
            <h1>
              {read ? 'Welcome back' : 'Hello'}, {reader}
            </h1>
            <p>
              {school.name} lends math games to families, and tells them how to play in {name}. Does each line
              say what the English says, the way a family would say it?
            </p>
            <p>
              {read
                ? `You have read ${read} of ${count(of, 'line')}. `
                : `${count(of, 'line')}, one at a time. `}
              About {count(minutesToRead(of - read), 'minute')}; you can stop and come back until {until}.
            </p>
            <Big as={Link} to={to(first)}>
              {read ? 'Go on' : 'Begin'}
            </Big>
            <p>Nothing here names a family. Your name is kept with what you say, for the school.</p>
          </>
        ) : (
          <>
            <h1>Thank you, {reader}</h1>
            <p role="status">
              {of === 0
                ? 'There is nothing to read any more: every line was found right.'
                : `You have read ${count(of, 'line')}: ${right} right, ${of - right} to be looked at again. The school decides about those.`}
            </p>
          </>
        )}
        {before && <Undo {...{ path, before }} />}
        <script src="/door.js" defer />
      </Frame>
    );
  const { ways, message, key } = line;
  const [as, ...others] = ways;
  const hidden = (intent: string) => (
    <>
      <input type="hidden" name="intent" value={intent} />
      <input type="hidden" name="line" value={key} />
      <input type="hidden" name="message" value={message} />
    </>
  );
  return (
    <Frame key={key}>
      <Small>
        <span>
          Line {line.number} of {of}
        </span>
        <span>{read} read</span>
      </Small>
      <h1>
        <span lang={target} dir={direction}>
          {line.game}
        </span>
        <br />
        <small>{line.part}</small>
      </h1>
      {actionData?.problem && <p role="alert">{actionData.problem}</p>}
      {line.picture && <GameDrawing shapes={line.picture} width={150} />}
      <Line lang="en">
        <small>English</small>
        <p>{as!.english}</p>
      </Line>
      <Line>
        <small>{name}</small>
        <p className="said" lang={target} dir={direction}>
          {as!.said}
        </p>
      </Line>
      {others.length > 0 && (
        <Others>
          <summary>With other numbers it is said so</summary>
          <dl>
            {others.map((one) => (
              <div key={one.said}>
                <dt lang="en">{one.english}</dt>
                <dd lang={target} dir={direction}>
                  {one.said}
                </dd>
              </div>
            ))}
          </dl>
        </Others>
      )}
      <Recorder
        line={key}
        message={message}
        name={name}
        voice={loaderData.voice && { ...loaderData.voice, src: `${path}/voice/${loaderData.voice.id}` }}
      />
      {line.word && (
        <p>
          You said:{' '}
          <b>
            {line.word.right ? 'it is right' : line.word.unsure ? 'I am not sure' : `“${line.word.note}”`}
          </b>
          . You can say otherwise.
        </p>
      )}
      <Form method="post">
        {hidden('right')}
        <Big type="submit" disabled={busy}>
          It is right
        </Big>
      </Form>
      <Better open={Boolean(actionData?.better)}>
        <summary>Not quite: I would say it otherwise</summary>
        <Form method="post">
          {hidden('better')}
          <label htmlFor="better">How would you say it? Leave the numbers as they are.</label>
          <textarea
            id="better"
            name="better"
            lang={target}
            dir={direction}
            maxLength={MOST_NOTE}
            defaultValue={actionData?.better || line.word?.note || as!.said}
          />
          <Big type="submit" disabled={busy}>
            Send it
          </Big>
        </Form>
      </Better>
      <Form method="post">
        {hidden('unsure')}
        <Big $quiet type="submit" disabled={busy}>
          I am not sure
        </Big>
      </Form>
      <Small>
        {previous ? <Link to={to(previous)}>The line before</Link> : <span />}
        <Link to={path}>Stop here</Link>
      </Small>
      {before && before !== key && <Undo {...{ path, before }} />}
      <script src="/record.js" defer />
      <script src="/door.js" defer />
    </Frame>
  );
}

/** Takes back what was said last. */
const Undo = ({ path, before }: { path: string; before: string }) => (
  <Form method="post" action={path}>
    <input type="hidden" name="intent" value="undo" />
    <input type="hidden" name="line" value={before} />
    <Small>
      <button type="submit">Undo: I pressed the wrong one</button>
    </Small>
  </Form>
);
