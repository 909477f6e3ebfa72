import { createHash } from 'node:crypto';
import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import { SHELF } from '~/core/games/shelf';
import { homeOf } from '~/core/lending/school';
import { AROUND } from '~/core/pack/sources';
import type { LineChange, Refused } from '~/core/words/exchange';
import { visible } from '~/core/check/keepable';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { nameOf } from '~/core/words/reading';
import { listKits } from '~/data/queries/kits';
import { writeLines } from '~/data/queries/wording';
import { allStates } from '~/data/queries/words';
import { textIn } from '~/server/forms';
import { listIn, MOST_OF_LINES } from '~/server/csv';
import { readFile, readOutside, TooMuch } from '~/server/outside';
import { requireRole } from '~/server/people/session';
import { linesHere, sourceWith, titleOf, WHICH } from '~/server/words/lines';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { color } from '~/app/ui/theme';
import type { Route } from './+types/out-and-in';

export const meta: Route.MetaFunction = () => [{ title: 'Lines out and in · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator');
  return {
    languages: school.languages,
    kits: (await listKits(at)).map(({ id, name }) => ({ id, name })),
    which: Object.entries(WHICH).map(([value, label]) => ({ value, label })),
  };
}

/** So many lines are shown; all of them are counted. */
const MOST_SHOWN = 200;

interface Preview {
  problem?: string;
  text: string;
  /** Stands for what is shown: what was looked at is what is written. */
  digest: string;
  to: Language;
  changes: (LineChange & { of: string })[];
  refused: (Refused & { of: string })[];
  changing: number;
  refusing: number;
  same: number;
  /** Lines that came back as final and that nobody here has found right. */
  final: number;
}
const NOTHING: Omit<Preview, 'problem'> = {
  text: '',
  digest: '',
  to: 'en',
  changes: [],
  refused: [],
  changing: 0,
  refusing: 0,
  same: 0,
  final: 0,
};

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at, school } = person;
  const form = await request.formData();
  const refuse = (problem: string, status = 400, shown: Omit<Preview, 'problem'> = NOTHING) =>
    data<Preview>({ ...shown, problem }, { status });
  const list = await listIn(form, 'lines', MOST_OF_LINES.bytes);
  if (!list.ok) return refuse(list.problem);
  const read = await readFile('lines', list.text);
  if (!read.ok) return refuse(read.problem);
  const { from, to, segments } = read;
  const strange = [from, to].find((one) => !school.languages.includes(one));
  if (strange !== undefined || from === to)
    return refuse(
      from === to
        ? 'The file has the same language twice.'
        : `The file is in ${aboutLanguage(strange!).name}, which is not one of the languages of your school.`,
    );
  const here = await linesHere(at, from, to);
  const taken = await readOutside('takenBack', segments, here, from, to).catch((error: unknown) => {
    if (error instanceof TooMuch) return undefined;
    throw error;
  });
  if (!taken) return refuse('These lines ask for more work than any of ours. Send them in parts.');
  const states = await allStates(
    at,
    [...new Set(taken.final.map(({ sourceId }) => sourceId))].map((id) => sourceWith(id)!),
    to,
  );
  const changed = new Set(taken.changes.map(({ sourceId, messageId }) => `${sourceId} ${messageId}`));
  const final = taken.final.filter(
    ({ sourceId, messageId }) =>
      changed.has(`${sourceId} ${messageId}`) || states.get(sourceId)?.get(messageId)?.kind !== 'checked',
  );
  const named = <T extends { sourceId: string }>(one: T): T & { of: string } => {
    const of = sourceWith(one.sourceId);
    return { ...one, of: of ? titleOf(of) : one.sourceId };
  };
  const digest = createHash('sha256')
    .update(JSON.stringify([to, taken, final]))
    .digest('base64url');
  const shown: Preview = {
    text: list.text,
    digest,
    to,
    changes: taken.changes.slice(0, MOST_SHOWN).map(named),
    refused: taken.refused.slice(0, MOST_SHOWN).map(named),
    changing: taken.changes.length,
    refusing: taken.refused.length,
    same: taken.same,
    final: final.length,
  };
  if (form.get('intent') !== 'take') return data<Preview>(shown);
  if (form.get('digest') !== digest)
    return refuse(
      'Something here has changed since you looked. Nothing was written; look once more at what would be.',
      409,
      shown,
    );
  if (taken.refused.length > 0 && form.get('without') !== 'yes')
    return refuse(
      'Some lines are refused. Nothing was written; tick that they are left out, or mend the file.',
      400,
      shown,
    );
  const readBy = visible(textIn(form, 'readBy')).slice(0, 80);
  const done = await writeLines(at, {
    language: to,
    changes: taken.changes.map(({ sourceId, messageId, was, becomes }) => ({
      of: sourceWith(sourceId)!,
      messageId,
      was,
      becomes,
    })),
    final: final.map(({ sourceId, messageId }) => ({ of: sourceWith(sourceId)!, messageId })),
    readBy,
    personId: person.id,
  });
  if (!done)
    return refuse(
      'Somebody worded one of these lines a moment ago. Nothing was written; look once more at what would be.',
      409,
      shown,
    );
  throw redirect(`/word/out-and-in?taken=${taken.changes.length}`);
}

const Both = styled.div`
  del {
    background: ${color.clayLight};
  }
  ins {
    background: ${color.sprout};
    text-decoration: none;
  }
  p + p {
    margin-top: 0.3rem;
  }
`;

export default function OutAndIn({ loaderData, actionData }: Route.ComponentProps) {
  const { languages, kits, which } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const shown = actionData?.digest ? actionData : undefined;
  const choices = languages.map((one) => ({ value: one, label: aboutLanguage(one).name }));
  return (
    <Wide>
      <Stack>
        <Heading
          title="Lines out and in"
          action={
            <ButtonLink quiet href="/word">
              All words
            </ButtonLink>
          }
        >
          Does somebody word the games elsewhere? Take the lines out as a file, and bring the file back: you
          see what would change before anything does.
        </Heading>
        {!actionData && search.has('taken') && (
          <Said kind="done" word="Taken" live>
            {count(Number(search.get('taken')) || 0, 'line')} worded anew. They wait to be checked.
          </Said>
        )}
        {actionData?.problem && (
          <Said kind="stop" word="Not taken" live>
            {actionData.problem}
          </Said>
        )}
        <Panel aria-labelledby="out">
          <h2 id="out">Out</h2>
          <form method="get">
            <Stack>
              <Row>
                <Pick name="from" label="From" defaultValue="en" options={choices} />
                <Pick name="to" label="Into" defaultValue={homeOf(languages)} options={choices} />
                <Pick
                  name="what"
                  label="Of what"
                  defaultValue="all"
                  options={[
                    { value: 'all', label: 'everything' },
                    ...kits.map(({ id, name }) => ({ value: `kit ${id}`, label: `${name} (kit)` })),
                    ...AROUND.map(({ id, title }) => ({ value: `game ${id}`, label: title })),
                    ...SHELF.map((game) => ({ value: `game ${game.id}`, label: nameOf(game) })),
                  ]}
                />
                <Pick name="which" label="Which" defaultValue="all" options={which} />
              </Row>
              <Row>
                <Button type="submit" formAction="/word/lines/lines.xlf">
                  Take them out as XLIFF
                </Button>
                <Button type="submit" quiet formAction="/word/lines/lines.csv">
                  as a table (CSV)
                </Button>
              </Row>
              <Faint>
                XLIFF 2.0 is for people with a translation tool. The table opens anywhere: write in the column
                “wording”, and leave what stands in braces as it is.
              </Faint>
            </Stack>
          </form>
        </Panel>
        <Panel aria-labelledby="in">
          <h2 id="in">In</h2>
          <Form method="post" encType="multipart/form-data">
            <Stack $gap="0.7rem">
              <label>
                <strong>The file</strong>
                <br />
                <input type="file" name="file" accept=".xlf,.xliff,.csv,application/xliff+xml,text/csv" />
              </label>
              <Row>
                <Button type="submit" isPending={busy} quiet={shown !== undefined}>
                  Show what would change
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
        {shown && (
          <>
            <Said
              kind={shown.refusing ? 'mind' : 'know'}
              word={`${count(shown.changing, 'line')} would be worded anew in ${aboutLanguage(shown.to).name}`}
              live
            >
              {shown.same} as they are, {shown.refusing} refused. Nothing is written yet.
            </Said>
            {(shown.changing > 0 || shown.final > 0) && (
              <Form method="post" encType="multipart/form-data">
                <input type="hidden" name="intent" value="take" />
                <input type="hidden" name="digest" value={shown.digest} />
                <textarea name="text" hidden readOnly value={shown.text} />
                <Stack $gap="0.7rem">
                  {shown.refusing > 0 && (
                    <TickBox name="without" value="yes">
                      Leave out the {count(shown.refusing, 'line')} that {shown.refusing === 1 ? 'is' : 'are'}{' '}
                      refused
                    </TickBox>
                  )}
                  {shown.final > 0 && (
                    <TextBox
                      name="readBy"
                      label={`${count(shown.final, 'line')} came back as final. Who found them right?`}
                      hint="Leave it empty, and they wait to be checked like all others."
                      maxLength={80}
                    />
                  )}
                  <Row>
                    <Button type="submit" isPending={busy}>
                      {shown.changing > 0
                        ? `Word ${count(shown.changing, 'line')} anew`
                        : 'Take what was found right'}
                    </Button>
                  </Row>
                </Stack>
              </Form>
            )}
            {shown.refused.length > 0 && (
              <Table
                rows={shown.refused}
                rowKey={(one) => `${one.at} ${one.why}`}
                columns={[
                  { head: 'Where', cell: (one) => one.at },
                  { head: 'Of', cell: (one) => one.of },
                  {
                    head: 'Refused, because',
                    cell: (one) => (
                      <>
                        <State tone="hand">refused</State> {one.why}
                      </>
                    ),
                  },
                ]}
              />
            )}
            {shown.changes.length > 0 && (
              <Table
                rows={shown.changes}
                rowKey={(one) => `${one.sourceId} ${one.messageId}`}
                columns={[
                  { head: 'Of', cell: (one) => one.of },
                  { head: 'Line', cell: (one) => one.messageId },
                  {
                    head: 'As it is, and as it would be',
                    cell: (one) => (
                      <Both>
                        {one.sentences.map(({ when, was, becomes }) => (
                          <div key={when}>
                            {when && <Faint>{when}</Faint>}
                            <p lang={shown.to} dir={aboutLanguage(shown.to).direction}>
                              {was && <del>{was}</del>} <ins>{becomes}</ins>
                            </p>
                          </div>
                        ))}
                      </Both>
                    ),
                  },
                ]}
              />
            )}
            {(shown.changing > MOST_SHOWN || shown.refusing > MOST_SHOWN) && (
              <Faint>Of each kind {MOST_SHOWN} are shown.</Faint>
            )}
          </>
        )}
      </Stack>
    </Wide>
  );
}
