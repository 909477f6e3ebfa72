import { useState } from 'react';
import { data, redirect, useSearchParams, type ShouldRevalidateFunction } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import { argumentsIn } from '~/core/words/inspect';
import { aboutLanguage } from '~/core/words/languages';
import { faultsOfLine } from '~/core/words/line';
import type { Args } from '~/core/words/message';
import { count } from '~/core/words/numbers';
import { lineHistory, lineNow, writeLine } from '~/data/queries/wording';
import { showTime } from '~/server/changes';
import { byIntent, textIn } from '~/server/forms';
import { requireWorded } from '~/server/games/find';
import { isId } from '~/server/ids';
import { settleIn, unclearIn } from '~/server/listening/unclear';
import { requireRole } from '~/server/people/session';
import { fitOf, type Fit } from '~/server/print/fit';
import { notFound } from '~/server/refusals';
import type { SchoolHandle } from '~/data/db';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Faint, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { read, Reads } from './Advice';
import { Preview } from './Preview';
import { Worder } from './Worder';
import type { Route } from './+types/line';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `A line of ${loaderData?.title ?? 'a game'} · Fern Basket` },
];

/** A line of a game or a page in a language of the school. Throws a 404 page when there is none. */
async function lineOf(
  at: SchoolHandle,
  request: Request,
  params: Route.LoaderArgs['params'],
  school: readonly string[],
) {
  const of = await requireWorded(at, params.gameId);
  const language = new URL(request.url).searchParams.get('language') ?? '';
  // A game of the school's own is worded in itself.
  if (of.words.own || !Object.hasOwn(of.words.en, params.messageId) || !school.includes(language))
    throw notFound('This line');
  return { of, language, messageId: params.messageId };
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'reader');
  const { of, language, messageId } = await lineOf(at, request, params, school.languages);
  const [now, history, unclear] = await Promise.all([
    lineNow(at, of, messageId, language),
    lineHistory(at, of.id, messageId, language),
    unclearIn(at, of.id, language),
  ]);
  return {
    id: of.id,
    title: of.title,
    messageId,
    // Not "language": that is what a page as a whole is written in.
    target: language,
    now,
    args: of.args[messageId] ?? {},
    unclear: unclear[messageId] ?? 0,
    history: history.map((one) => ({ ...one, at: showTime(at, one.at) })),
  };
}

interface Answer {
  errors: FieldErrors;
  /** How somebody else worded it meanwhile. */
  now?: string | undefined;
  saved: boolean;
  /** What becomes of the sheets; their pages only where they are looked at. */
  fit?: Omit<Fit, 'pages'> & { pages?: Fit['pages'] };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'reader');
  const { at } = person;
  const { of, language, messageId } = await lineOf(at, request, params, person.school.languages);
  const form = await request.formData();
  const refuse = (status: number, errors: FieldErrors, now?: string) =>
    data<Answer>({ errors, now, saved: false }, { status });
  const done = () => data<Answer>({ errors: {}, saved: true });
  const write = async (message: string | null) => {
    const had = form.get('had');
    if (typeof had !== 'string') return refuse(400, { '': 'Load this page again; nothing was changed.' });
    const written = await writeLine(at, of, { messageId, language, message, had, personId: person.id });
    if (!written.ok)
      return refuse(
        409,
        {
          '': 'Somebody else worded this line a moment ago; it stands below. Look at it, and save again where yours is better.',
        },
        written.now,
      );
    // What families did not understand was the line as it stood.
    await seen();
    if (form.has('inPlace')) return done();
    throw redirect(`/word/${of.id}/${messageId}?language=${language}&saved=1`);
  };
  const seen = () => settleIn(at, { gameId: of.id, messageId, language });
  const typed = visible(textIn(form, 'message'), true).trim();
  return byIntent(form, {
    // What would become of the sheets and the page with the line as it is typed; nothing is written.
    see: async () => {
      const { english } = await lineNow(at, of, messageId, language);
      const faults = faultsOfLine(typed, english, language);
      if (faults.length) return refuse(400, { message: faults.join(' ') });
      const [gameId, kitId] = [form.get('game'), form.get('kit')];
      const fit = await fitOf(at, person.school, of, {
        messageId,
        language,
        message: typed,
        ...(typeof gameId === 'string' ? { gameId } : {}),
        ...(isId(kitId) ? { kitId } : {}),
      });
      const { pages, ...rest } = fit;
      return data<Answer>({
        errors: {},
        saved: false,
        fit: form.has('pages') ? { pages, ...rest } : rest,
      });
    },
    back: () => write(null),
    setAside: async () => {
      await seen();
      return done();
    },
    '': async () => {
      const { english } = await lineNow(at, of, messageId, language);
      const faults = faultsOfLine(typed, english, language);
      return faults.length ? refuse(400, { message: faults.join(' ') }) : write(typed);
    },
  });
}

/** Looking at a line changes nothing that was loaded. */
export const shouldRevalidate: ShouldRevalidateFunction = ({ formData, defaultShouldRevalidate }) =>
  formData?.get('intent') === 'see' ? false : defaultShouldRevalidate;

/** Counts that show every plural form of the languages there are. */
const SAMPLES = [1, 2, 3, 5, 11, 100];

export default function Line({ loaderData, actionData }: Route.ComponentProps) {
  const { id, messageId, target, now } = loaderData;
  // Begun anew for another line, and when this one was saved.
  return <OneLine key={`${id} ${messageId} ${target} ${now.message}`} {...{ loaderData, actionData }} />;
}

function OneLine({
  loaderData,
  actionData,
}: Pick<Route.ComponentProps, 'loaderData'> & {
  actionData: Route.ComponentProps['actionData'] | undefined;
}) {
  const { id, title, messageId, target: language, now, args, history, unclear } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const [message, setMessage] = useState(now.message ?? '');
  const [turned, setTurned] = useState<Args>({});
  const { name, direction } = aboutLanguage(language);
  const shown = { ...args, ...turned };
  return (
    <Workplace>
      <Stack>
        <Heading
          title={`${title} in ${name}`}
          action={
            <ButtonLink quiet href={`/word/${id}?language=${language}`}>
              All its lines
            </ButtonLink>
          }
        >
          One line. What stands in braces is filled in by the game: keep it, and put it where it belongs.
        </Heading>
        {search.has('saved') && !actionData && (
          <Said kind="done" word="Saved" live>
            Sheets, labels and pages say it so from now on. It has to be checked anew.
          </Said>
        )}
        {unclear > 0 && (
          <Said kind="mind" word={`${count(unclear, 'family', 'families')} did not understand this step`}>
            <Form method="post">
              <Row $gap="0.8rem">
                <span>It is settled when you word it anew.</span>
                <Button type="submit" quiet name="intent" value="setAside" isPending={busy}>
                  Leave it as it is
                </Button>
              </Row>
            </Form>
          </Said>
        )}
        <Panel aria-labelledby="english">
          <h2 id="english">English</h2>
          <p lang="en">{read(now.english, 'en', shown)}</p>
          <Reads text={read(now.english, 'en', shown) ?? ''} language="en" />
          <Faint>
            <code>{now.english}</code>
          </Faint>
        </Panel>
        <Panel aria-label={name}>
          <Form method="post">
            <input type="hidden" name="had" value={actionData?.now ?? now.message ?? ''} />
            <Stack>
              <NotSaved errors={actionData?.errors ?? {}} />
              {actionData?.now !== undefined && (
                <p lang={language} dir={direction}>
                  {actionData.now}
                </p>
              )}
              <input type="hidden" name="message" value={message} />
              <Worder
                english={now.english}
                worded={now.message}
                message={message}
                onMessage={setMessage}
                target={language}
                args={shown}
                label={`The line in ${name}`}
                error={actionData?.errors.message}
              />
              <Preview
                of={id}
                id={messageId}
                english={now.english}
                target={language}
                message={message}
                was={now.message ?? ''}
              />
              <Row>
                <Button type="submit" isPending={busy}>
                  Save this line
                </Button>
              </Row>
            </Stack>
          </Form>
          {now.shipped !== undefined && now.shipped !== now.message && (
            <Form method="post" style={{ marginTop: '0.8rem' }}>
              <input type="hidden" name="intent" value="back" />
              <input type="hidden" name="had" value={now.message ?? ''} />
              <Stack $gap="0.4rem">
                <Faint>
                  As it ships:{' '}
                  <span lang={language} dir={direction}>
                    {now.shipped}
                  </span>
                </Faint>
                <Row>
                  <Button type="submit" quiet isPending={busy}>
                    Go back to what ships
                  </Button>
                </Row>
              </Stack>
            </Form>
          )}
        </Panel>
        {history.length > 0 && (
          <Panel aria-labelledby="before">
            <h2 id="before">How your school worded it</h2>
            <Table
              rows={history}
              rowKey={(one) => one.id}
              columns={[
                { head: 'When', cell: (one) => one.at },
                {
                  head: 'Line',
                  cell: (one) =>
                    one.message === null ? (
                      'as it ships'
                    ) : (
                      <span lang={language} dir={direction}>
                        {one.message}
                      </span>
                    ),
                },
                { head: 'By', cell: (one) => one.by ?? '' },
              ]}
            />
          </Panel>
        )}
      </Stack>
      <Margin label="Sample values">
        <Entries>
          {argumentsIn(now.english).map(({ name: argument, kind, options }) => (
            <Entered
              key={argument}
              label={`{${argument}}`}
              number={String(shown[argument] ?? '')}
              reason={
                kind === 'select' || typeof args[argument] === 'number' ? (
                  <Pick
                    name={`sample ${argument}`}
                    label={`Try another value for ${argument}`}
                    value={String(shown[argument] ?? '')}
                    onChange={(value) =>
                      setTurned((old) => ({ ...old, [argument]: kind === 'select' ? value : Number(value) }))
                    }
                    options={[
                      ...new Set(
                        kind === 'select' ? options : [String(args[argument]), ...SAMPLES.map(String)],
                      ),
                    ].map((value) => ({ value, label: value }))}
                  />
                ) : (
                  'Words, filled in where it is said.'
                )
              }
            />
          ))}
        </Entries>
      </Margin>
    </Workplace>
  );
}
