import { redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { ROLE_NAMES } from '~/core/people/role';
import { openSchool, schoolsOf } from '~/data/queries/sessions';
import { isId } from '~/server/ids';
import { requireRole, sessionHash } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Faint, Heading, Panel, Row, Stack, State, Wide } from '~/app/ui/Page';
import type { Route } from './+types/schools';

export const meta: Route.MetaFunction = () => [{ title: 'Your schools · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { id, school, ofDistrict } = await requireRole(request, 'coordinator', 'helper', 'reader');
  return { here: school.id, schools: await schoolsOf(id), ofDistrict };
}

/** Opens another school in this browser: every page is of that one from now on. */
export async function action({ request }: Route.ActionArgs) {
  const { id } = await requireRole(request, 'coordinator', 'helper', 'reader');
  const wanted = (await request.formData()).get('school');
  if (!isId(wanted) || !(await openSchool(await sessionHash(request), id, wanted)))
    throw notFound('This school');
  throw redirect('/');
}

export default function Schools({ loaderData }: Route.ComponentProps) {
  return (
    <Wide>
      <Stack>
        <Heading
          title="Your schools"
          action={
            loaderData.ofDistrict && (
              <ButtonLink quiet href="/district">
                The whole district
              </ButtonLink>
            )
          }
        >
          Which school do you work for now? Everything you see and do is of that one.
        </Heading>
        {loaderData.schools.map(({ id, name, role }) => (
          <Panel key={id} aria-label={name}>
            <Row style={{ justifyContent: 'space-between', alignItems: 'center' }}>
              <div>
                <h2>{name}</h2>
                <Faint>{ROLE_NAMES[role]}</Faint>
              </div>
              {id === loaderData.here ? (
                <State tone="calm">open now</State>
              ) : (
                <Form method="post">
                  <input type="hidden" name="school" value={id} />
                  <Button type="submit" aria-label={`Open this school: ${name}`}>
                    Open this school
                  </Button>
                </Form>
              )}
            </Row>
          </Panel>
        ))}
      </Stack>
    </Wide>
  );
}
