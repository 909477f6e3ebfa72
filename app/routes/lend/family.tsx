import { useState } from 'react';
import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { showDay } from '~/core/lending/due';
import { checkFamily, type FamilyFields } from '~/core/lending/families';
import { showTag } from '~/core/kits/tag';
import { renewCode } from '~/data/queries/browsers';
import { familyFields, findFamily, forgetFamily, updateFamily } from '~/data/queries/families';
import { withdrawHold } from '~/data/queries/holds';
import { listLoansOfFamily } from '~/data/queries/lending';
import { looksAt, noteLook } from '~/data/queries/privacy';
import { LOOKS } from '~/core/people/looks';
import { pageOfMessages } from '~/data/queries/outbox';
import { changesOf, lateOf, showTime } from '~/server/changes';
import { forgetCodeTries } from '~/server/limits';
import { byIntent, UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { wish, wishesOf } from '~/server/lending/wishes';
import { noteSecurity } from '~/server/people/security';
import { askAgain, requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { today } from '~/server/today';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Changes, DraftNote, TooLate, type Late } from '~/app/ui/Changes';
import { Said } from '~/app/ui/Notices';
import { Empty, Heading, Panel, Stack, Tag, Workplace, Row } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { useDraft } from '~/app/ui/remember';
import { DueFlag } from '~/app/desk/DueFlag';
import { Looked, Waits, Written } from './FamilyBeside';
import { FamilyForm, FAMILY_FIELDS } from './FamilyForm';
import type { Route } from './+types/family';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.family.name ?? 'Family'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school, id: personId } = await requireRole(request, 'coordinator');
  const family = isId(params.familyId) ? await findFamily(at, params.familyId) : undefined;
  if (!family) throw notFound('This family');
  const { id, version } = family;
  await noteLook(at, id, personId, 'page');
  const [changes, loans, wishes, said, looks] = await Promise.all([
    changesOf(at, 'family', id),
    listLoansOfFamily(at, id),
    wishesOf(at, family),
    pageOfMessages(at, { familyId: id, first: 0, most: MESSAGES }),
    looksAt(at, id, LOOKED),
  ]);
  return {
    id,
    version,
    family: familyFields(family),
    changes,
    loans,
    wishes,
    said: said.messages.map((one) => ({ ...one, createdAt: showTime(at, one.createdAt) })),
    looks: looks.map(({ at: moment, what, by }) => ({ by, what: LOOKS[what], at: showTime(at, moment) })),
    languages: school.languages,
    today: today(at),
  };
}

const MESSAGES = 5;
const LOOKED = 6;

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const id = params.familyId;
  if (!isId(id) || !(await findFamily(at, id))) throw notFound('This family');
  const form = await request.formData();
  return byIntent(form, {
    wish: async () => {
      const family = await findFamily(at, id);
      const kitId = form.get('kit');
      if (!family || !isId(kitId) || !(await wish(at, family, kitId, person.id)))
        return refuse({
          status: 409,
          problem: 'They wait for this kit already, or it is not one for them. Nothing was changed.',
        });
      throw redirect(`/lend/families/${id}?asked=1`);
    },
    withdraw: async () => {
      const holdId = form.get('hold');
      if (isId(holdId)) await withdrawHold(at, holdId, today(at), id);
      throw redirect(`/lend/families/${id}?withdrawn=1`);
    },
    code: async () => {
      const loan = form.get('loan');
      if (isId(loan) && (await renewCode(at, loan))) await forgetCodeTries(loan);
      throw redirect(`/lend/families/${id}#loans`);
    },
    forget: async () => {
      askAgain(request, person);
      if (!(await forgetFamily(at, id, person.id)))
        return refuse({
          status: 409,
          problem: 'A copy is still out with this family. Take it back first; nothing was changed.',
        });
      await noteSecurity(at, 'forgot', person.id);
      throw redirect('/lend/families?forgotten=1');
    },
    '': async () => {
      const checked = checkFamily(form);
      if (!checked.ok) return refuse({ status: 400, errors: checked.errors });
      const openedOn = versionIn(form);
      if (!openedOn)
        return refuse({
          status: 400,
          errors: {
            '': UNKNOWN_VERSION,
          },
        });
      const saved = await updateFamily(at, id, checked.value, openedOn, person.id);
      if (!saved)
        return refuse({
          status: 409,
          errors: { name: `There is a family called “${checked.value.name}” already.` },
        });
      if (saved === 'gone') throw notFound('This family');
      if (!saved.ok) return refuse({ status: 409, late: lateOf(at, saved.stale) });
      const merged = saved.taken.map(({ field }) => `&merged=${field}`).join('');
      throw redirect(`/lend/families/${id}?saved=1${merged}`);
    },
  });
}

/** What was refused, and why. */
function refuse({
  status,
  errors = {},
  problem,
  late,
}: {
  status: number;
  errors?: FieldErrors;
  problem?: string;
  late?: Late<FamilyFields>;
}) {
  return data({ errors, problem, late }, { status });
}

export default function FamilyPage(props: Route.ComponentProps) {
  // Begun anew when another family is opened, or when this one was saved.
  return <OneFamily key={`${props.loaderData.id} ${props.loaderData.version}`} {...props} />;
}

function OneFamily({ loaderData, actionData }: Route.ComponentProps) {
  const { id, version, family, loans, languages, changes, wishes, said, looks, today } = loaderData;
  const [search] = useSearchParams();
  const late = actionData?.late;
  const draft = useDraft<FamilyFields>(`family ${id}`, { value: family, version }, late, actionData?.errors);
  const [asking, setAsking] = useState(false);
  return (
    <Workplace>
      <Stack>
        <Heading
          title={family.name}
          action={
            <Row $gap="0.6rem">
              <ButtonLink quiet href={`/lend/families/cards.pdf?family=${id}`}>
                Print their card
              </ButtonLink>
              <ButtonLink quiet href={`/listen/families/${id}`}>
                Their next bag
              </ButtonLink>
              <ButtonLink href={`/lend?family=${id}`}>Lend something to them</ButtonLink>
            </Row>
          }
        />
        {actionData?.problem && (
          <Said kind="stop" word="Not done">
            {actionData.problem}
          </Said>
        )}
        {search.has('saved') && !actionData && !draft.restored && (
          <Said kind="done" word="Saved" live>
            What changed is kept.
            {search.has('merged') &&
              ` Somebody else had changed meanwhile, and it stays: ${search.getAll('merged').map(FAMILY_FIELDS.label).join(', ')}.`}
          </Said>
        )}
        {(search.has('asked') || search.has('withdrawn')) && !actionData && (
          <Said kind="done" word={search.has('asked') ? 'Asked for' : 'Done'} live>
            {search.has('asked')
              ? 'What comes home complete is set aside for whoever has waited longest.'
              : 'They do not wait for it any more.'}
          </Said>
        )}
        {late ? (
          <TooLate late={late} draft={draft} words={FAMILY_FIELDS} what="this family" />
        ) : (
          <DraftNote draft={draft} words={FAMILY_FIELDS} />
        )}
        <Panel>
          <FamilyForm
            value={draft.value}
            version={draft.version}
            onChange={(change) => draft.set((old) => ({ ...old, ...change }))}
            onSubmit={draft.sent}
            errors={actionData?.errors ?? {}}
            languages={languages}
            action="Save this family"
          />
        </Panel>
        <Panel aria-labelledby="loans">
          <Stack $gap="0.6rem">
            <h2 id="loans">Loans</h2>
            {loans.length === 0 ? (
              <Empty title="Nothing lent yet">What this family borrows is listed here.</Empty>
            ) : (
              <Table
                rows={loans}
                rowKey={(loan) => loan.id}
                columns={[
                  {
                    head: 'Copy',
                    cell: (loan) => (
                      <Link to={`/copies/${loan.copyId}`}>
                        <Tag>{showTag(loan.tag)}</Tag>
                      </Link>
                    ),
                  },
                  { head: 'Kit', cell: (loan) => loan.kitName },
                  { head: 'Lent', cell: (loan) => showDay(loan.lentOn) },
                  {
                    head: 'Number for a phone',
                    cell: (loan) =>
                      loan.closedAs !== null ? (
                        ''
                      ) : (
                        <Form method="post">
                          <input type="hidden" name="intent" value="code" />
                          <input type="hidden" name="loan" value={loan.id} />
                          <Row $gap="0.5rem" style={{ alignItems: 'center' }}>
                            {loan.code || 'used'}
                            <Button type="submit" quiet>
                              {`A new number for ${showTag(loan.tag)}`}
                            </Button>
                          </Row>
                        </Form>
                      ),
                  },
                  {
                    head: 'Back',
                    cell: (loan) =>
                      loan.closedAs === 'undone' ? (
                        'undone'
                      ) : loan.returnedOn ? (
                        showDay(loan.returnedOn)
                      ) : (
                        <DueFlag dueOn={loan.dueOn} arrivedOn={loan.arrivedOn} today={today} />
                      ),
                  },
                ]}
              />
            )}
          </Stack>
        </Panel>
      </Stack>
      <Stack>
        <Waits wishes={wishes} />
        <Written said={said} />
        <Panel aria-labelledby="forget">
          <Stack $gap="0.7rem">
            <h2 id="forget">Forget this family</h2>
            {!asking ? (
              <>
                <p>
                  On their request: name, children, reach, flags and the words of their answers are wiped;
                  past loans stay as loans of nobody. Older backups hold them until they are replaced.
                </p>
                <Button quiet clay onPress={() => setAsking(true)}>
                  Forget this family …
                </Button>
              </>
            ) : (
              <Form method="post" onSubmit={draft.drop}>
                <input type="hidden" name="intent" value="forget" />
                <Stack $gap="0.7rem">
                  <p>{family.name} will be gone from every list. This cannot be undone.</p>
                  <Row $gap="0.6rem">
                    <Button type="submit" clay>
                      Forget them for good
                    </Button>
                    <Button quiet onPress={() => setAsking(false)}>
                      Keep them
                    </Button>
                  </Row>
                </Stack>
              </Form>
            )}
          </Stack>
        </Panel>
        <Looked familyId={id} looks={looks} />
        <Changes rows={changes} words={FAMILY_FIELDS} />
      </Stack>
    </Workplace>
  );
}
