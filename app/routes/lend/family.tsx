import { useState } from 'react';
import { data, Form, Link, redirect, useSearchParams } from 'react-router';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { showDay } from '~/core/lending/due';
import { familySchema, type FamilyFields } from '~/core/lending/families';
import { showTag } from '~/core/lending/tag';
import { findFamily, forgetFamily, updateFamily } from '~/data/queries/families';
import { listLoansOfFamily } from '~/data/queries/lending';
import { findSchool } from '~/data/queries/people';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { today } from '~/server/today';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Empty, Heading, Sheet, Stack, TableFrame, Tag, Workplace, Row } from '~/app/ui/Page';
import { useRemembered } from '~/app/ui/remember';
import { DueFlag } from '~/app/ui/DueFlag';
import { FamilyForm } from './FamilyForm';
import type { Route } from './+types/family';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.family.name ?? 'Family'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  const family = isId(params.familyId) ? await findFamily(params.familyId) : undefined;
  if (!family) throw notFound('This family');
  const { id, name, language, reach, underThree, allergens } = family;
  return {
    id,
    family: { name, language, reach, underThree, allergens },
    loans: await listLoansOfFamily(id),
    languages: (await findSchool())!.languages,
    today: today(),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  await requireRole(request, 'coordinator');
  const id = params.familyId;
  if (!isId(id) || !(await findFamily(id))) throw notFound('This family');
  const form = await request.formData();
  if (form.get('intent') === 'forget') {
    if (!(await forgetFamily(id)))
      return data(
        {
          errors: {} as FieldErrors,
          problem: 'A copy is still out with this family. Take it back first; nothing was changed.',
        },
        { status: 409 },
      );
    throw redirect('/lend/families?forgotten=1');
  }
  const checked = checkForm(familySchema, form);
  if (!checked.ok) return data({ errors: checked.errors, problem: undefined }, { status: 400 });
  const saved = await updateFamily(id, checked.value);
  if (!saved)
    return data(
      {
        errors: { name: `There is a family called “${checked.value.name}” already.` } as FieldErrors,
        problem: undefined,
      },
      { status: 409 },
    );
  throw redirect(`/lend/families/${id}?saved=1`);
}

export default function FamilyPage({ loaderData, actionData }: Route.ComponentProps) {
  const { id, family, loans, languages, today } = loaderData;
  const [search] = useSearchParams();
  const { value, set, forget } = useRemembered<FamilyFields>(`family ${id}`, family);
  const [asking, setAsking] = useState(false);
  return (
    <Workplace>
      <Stack>
        <Heading
          title={family.name}
          action={<ButtonLink href={`/lend?family=${id}`}>Lend something to them</ButtonLink>}
        />
        {actionData?.problem && (
          <Said kind="stop" word="Not forgotten">
            {actionData.problem}
          </Said>
        )}
        {search.has('saved') && !actionData && (
          <Said kind="done" word="Saved" live>
            What changed is kept.
          </Said>
        )}
        <Sheet>
          <FamilyForm
            value={value}
            onChange={(change) => set((old) => ({ ...old, ...change }))}
            onSubmit={forget}
            errors={actionData?.errors ?? {}}
            languages={languages}
            action="Save this family"
          />
        </Sheet>
        <Sheet aria-labelledby="loans">
          <Stack $gap="0.6rem">
            <h2 id="loans">Loans</h2>
            {loans.length === 0 ? (
              <Empty title="Nothing lent yet">What this family borrows is listed here.</Empty>
            ) : (
              <TableFrame>
                <table>
                  <thead>
                    <tr>
                      <th>Copy</th>
                      <th>Kit</th>
                      <th>Lent</th>
                      <th>Back</th>
                    </tr>
                  </thead>
                  <tbody>
                    {loans.map((loan) => (
                      <tr key={loan.id}>
                        <td>
                          <Link to={`/copies/${loan.copyId}`}>
                            <Tag>{showTag(loan.tag)}</Tag>
                          </Link>
                        </td>
                        <td>{loan.kitName}</td>
                        <td>{showDay(loan.lentOn)}</td>
                        <td>
                          {loan.closedAs === 'undone' ? (
                            'undone'
                          ) : loan.returnedOn ? (
                            showDay(loan.returnedOn)
                          ) : (
                            <DueFlag dueOn={loan.dueOn} today={today} />
                          )}
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </TableFrame>
            )}
          </Stack>
        </Sheet>
      </Stack>
      <Sheet aria-labelledby="forget">
        <Stack $gap="0.7rem">
          <h2 id="forget">Forget this family</h2>
          {!asking ? (
            <>
              <p>On their request: name, reach and flags are wiped; past loans stay as loans of nobody.</p>
              <Button quiet clay onPress={() => setAsking(true)}>
                Forget this family …
              </Button>
            </>
          ) : (
            <Form method="post">
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
      </Sheet>
    </Workplace>
  );
}
