import { data, Form, Link } from 'react-router';
import styled from 'styled-components';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { ENGLISH, linesOf, messageIn, say } from '~/core/words/reading';
import { homeOf } from '~/core/lending/school';
import { readingAt } from '~/data/queries/wording';
import { visible } from '~/core/check/keepable';
import { lineChecks, saveLineWords } from '~/data/queries/words';
import { changesOf } from '~/server/changes';
import { lineKey } from '~/core/words/checks';
import { otherWords } from '~/core/words/glossary';
import { requireRole } from '~/server/people/session';
import { requireWorded } from '~/server/games/find';
import { Button, useSending } from '~/app/ui/Button';
import { Changes, type FieldWords } from '~/app/ui/Changes';
import { TextBox, TickBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Stack, Wide } from '~/app/ui/Page';
import { color, narrow } from '~/app/ui/theme';
import type { Route } from './+types/desk';

export const meta: Route.MetaFunction = () => [{ title: 'Words desk · Fern Basket' }];

const languageIn = (request: Request, languages: readonly Language[]): Language => {
  const wanted = new URL(request.url).searchParams.get('language');
  return languages.find((language) => language !== 'en' && language === wanted) ?? homeOf(languages);
};

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'reader');
  const game = await requireWorded(at, params.gameId);
  const target = languageIn(request, school.languages);
  const reading = await readingAt(at, target);
  const { args } = game;
  const [checks, changes] = await Promise.all([
    lineChecks(at, game, target),
    changesOf(at, 'wording', game.id),
  ]);
  return {
    id: game.id,
    title: game.title,
    // A game of the school's own is worded in itself.
    mayWord: !game.words.own,
    target,
    lines: Object.keys(game.words.en).map((id) => ({
      id,
      english: say({ ...ENGLISH, wording: reading.english ?? {} }, game.words, id, args[id]),
      said: say(reading, game.words, id, args[id]),
      other: otherWords(messageIn(reading, game.words, id) ?? '', target),
    })),
    checks,
    changes,
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'reader');
  const { at } = person;
  const game = await requireWorded(at, params.gameId);
  const language = languageIn(request, person.school.languages);
  const reading = await readingAt(at, language);
  const form = await request.formData();
  // Of each line the form says what it showed when it was opened: only what was changed since is an opinion.
  const lines = Object.keys(linesOf(reading, game.words)).flatMap((messageId) => {
    const had = /^([01]) ?([^]*)$/.exec(String(form.get(`had ${messageId}`) ?? ''));
    if (!had) return [];
    const right = form.get(`right ${messageId}`) === 'yes';
    const note = visible(String(form.get(`note ${messageId}`) ?? ''), true).slice(0, MOST_NOTE);
    return [{ messageId, right, note, had: { right: had[1] === '1', note: visible(had[2] ?? '', true) } }];
  });
  if (lines.length === 0)
    return data(
      { saved: 0, clashes: [], problem: 'Load this page again; nothing was changed.' },
      { status: 400 },
    );
  const { saved, clashes } = await saveLineWords(at, game, language, lines, person.id);
  return data({ saved, clashes, problem: undefined }, { status: clashes.length ? 409 : 200 });
}

const MOST_NOTE = 500;

/** A refusal too is followed by a fresh look: what others said in the meantime is shown. */
export const shouldRevalidate = (): boolean => true;

const Lines = styled.ol`
  display: grid;
  li {
    display: grid;
    grid-template-columns: 2rem minmax(0, 1fr) minmax(0, 1fr) 25rem;
    gap: 1.2rem;
    padding: 0.45rem 0;
    .number {
      color: ${color.faint};
      text-align: end;
    }
    p,
    .number {
      padding-top: 0.6rem;
    }
    .verdict {
      display: grid;
      grid-template-columns: 8rem minmax(0, 1fr);
      gap: 0.8rem;
    }
    border-bottom: 1px solid ${color.line};
    align-items: start;
  }
  ${narrow} {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

const verdictWords = ({ right, note }: { right: boolean; note: string }): string =>
  `${right ? '“it is right”' : '“not right yet”'}${note ? `, with the note “${note}”` : ''}`;
const LINES: FieldWords = {
  label: (id) => `Line “${id}”`,
  show: (_, value) => verdictWords(value as { right: boolean; note: string }),
};

export default function Desk({ loaderData, actionData }: Route.ComponentProps) {
  const { id: sourceId, title, target, lines, checks, mayWord } = loaderData;
  const busy = useSending();
  return (
    <Wide>
      <Form method="post">
        <Stack>
          <Heading
            title={`${title} in ${aboutLanguage(target).name}`}
            action={
              <Button type="submit" isPending={busy}>
                Save what was checked
              </Button>
            }
          >
            Does each line on the right say what the line on the left says, the way a family would say it?
            Tick the right ones; write a note where it should be said differently.
          </Heading>
          {actionData?.problem && <Said kind="stop">{actionData.problem}</Said>}
          {actionData && actionData.clashes.length > 0 && (
            <Said kind="mind" word="Some lines were not saved" live>
              Somebody else said something other about them while you had them open. They stand below as they
              are now; change them once more where you still think otherwise.
              <ul>
                {actionData.clashes.map(({ messageId, by, mine, theirs }) => (
                  <li key={messageId}>
                    Line {lines.findIndex(({ id }) => id === messageId) + 1}: {by} says {verdictWords(theirs)}
                    ; you said {verdictWords(mine)}.
                  </li>
                ))}
              </ul>
            </Said>
          )}
          {actionData && !actionData.problem && (actionData.saved > 0 || actionData.clashes.length === 0) && (
            <Said kind="done" word="Saved" live>
              {actionData.saved === 0
                ? 'Nothing had changed.'
                : `${actionData.saved} ${actionData.saved === 1 ? 'line was' : 'lines were'} noted.`}
            </Said>
          )}
          <Lines>
            {lines.map(({ id, english, said, other }, line) => {
              const check = checks[lineKey(id, target)];
              const had = `${check?.right ? 1 : 0} ${check?.note ?? ''}`;
              return (
                <li key={`${id} ${had}`}>
                  <input type="hidden" name={`had ${id}`} value={had} />
                  <span className="number">{line + 1}</span>
                  <p lang="en">{english}</p>
                  <div>
                    <p lang={target} dir={aboutLanguage(target).direction}>
                      {said}
                    </p>
                    {other.map(({ found, say }) => (
                      <Faint key={found}>
                        It says “{found}”; the other lines say “{say}”.
                      </Faint>
                    ))}
                    {mayWord && (
                      <Link
                        to={`/word/${sourceId}/${id}?language=${target}`}
                        aria-label={`Word line ${line + 1} anew`}
                      >
                        word it anew
                      </Link>
                    )}
                  </div>
                  <div className="verdict">
                    <TickBox name={`right ${id}`} value="yes" defaultSelected={check?.right ?? false}>
                      It is right<span className="visually-hidden">, line {line + 1}</span>
                      {check?.right && <Faint as="small"> ({check.by})</Faint>}
                    </TickBox>
                    <TextBox
                      name={`note ${id}`}
                      label={`Note on line ${line + 1}`}
                      labelHidden
                      placeholder="how it should be said"
                      defaultValue={check?.note}
                      maxLength={500}
                    />
                  </div>
                </li>
              );
            })}
          </Lines>
          <Faint>A line that is worded anew must be checked anew.</Faint>
          <Changes rows={loaderData.changes} words={LINES} />
        </Stack>
      </Form>
    </Wide>
  );
}
