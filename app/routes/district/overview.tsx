import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { getLocalTimeZone } from '@internationalized/date';
import { checkForm, type FieldErrors } from '~/core/check/check';
import {
  districtSchema,
  isTimeZone,
  languagesIn,
  NO_TIME_ZONE,
  schoolSchema,
  timeZones,
} from '~/core/lending/school';
import { count } from '~/core/words/numbers';
import { appoint, coordinatorsOfSchools, dismiss, districtCoordinators } from '~/data/queries/people';
import { districtName, makeSchool, nameDistrict, schoolsInNumbers } from '~/data/queries/schools';
import { openSchool } from '~/data/queries/sessions';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { requireDistrict, sessionHash } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { NotSaved } from '~/app/ui/NotSaved';
import { Entered, Entries, Faint, Heading, Margin, Panel, Row, Stack, State, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { AboutNewSchool } from '~/app/routes/people/AboutSchool';
import type { Route } from './+types/overview';

export const meta: Route.MetaFunction = () => [{ title: 'District · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { id, school } = await requireDistrict(request);
  const { districtId } = school;
  const [name, schools, coordinators, others] = await Promise.all([
    districtName(districtId),
    schoolsInNumbers(districtId),
    districtCoordinators(districtId),
    coordinatorsOfSchools(districtId),
  ]);
  return {
    me: id,
    here: school.id,
    name,
    schools,
    coordinators,
    others,
    about: { timeZones: timeZones(), here: getLocalTimeZone() },
  };
}

const refuse = (status: number, what: 'school' | 'name' | 'people', errors: FieldErrors) =>
  data({ what, errors }, { status });

export async function action({ request }: Route.ActionArgs) {
  const { id: me, school } = await requireDistrict(request);
  const { districtId } = school;
  const form = await request.formData();
  const wanted = form.get('person');
  return byIntent(form, {
    open: async () => {
      const to = form.get('school');
      if (!isId(to) || !(await openSchool(await sessionHash(request), me, to))) throw notFound('This school');
      throw redirect('/lend');
    },
    make: async () => {
      const checked = checkForm(schoolSchema, form);
      if (!checked.ok) return refuse(400, 'school', checked.errors);
      const { schoolName, paper, contact, timeZone } = checked.value;
      if (!isTimeZone(timeZone)) return refuse(400, 'school', { timeZone: NO_TIME_ZONE });
      const languages = languagesIn(form.getAll('languages'));
      const made = await makeSchool(
        districtId,
        { name: schoolName, paper, contact, timeZone, languages },
        me,
      );
      if (!made)
        return refuse(409, 'school', { schoolName: 'There is a school of this name in your district.' });
      throw redirect(`/district?made=${made.id}`);
    },
    name: async () => {
      const checked = checkForm(districtSchema, form);
      if (!checked.ok) return refuse(400, 'name', checked.errors);
      await nameDistrict(districtId, checked.value.districtName);
      throw redirect('/district');
    },
    appoint: async () => {
      if (!isId(wanted) || !(await appoint(districtId, wanted, me)))
        return refuse(409, 'people', { '': 'This person coordinates no school of your district any more.' });
      throw redirect('/district');
    },
    dismiss: async () => {
      if (!isId(wanted) || !(await dismiss(districtId, wanted, me)))
        return refuse(409, 'people', { '': 'A district needs somebody who coordinates it, so they stay.' });
      throw redirect(wanted === me ? '/' : '/district');
    },
  });
}

export default function District({ loaderData, actionData }: Route.ComponentProps) {
  const { me, here, name, schools, coordinators, others, about } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const errorsOf = (what: 'school' | 'name' | 'people'): FieldErrors =>
    actionData?.what === what ? actionData.errors : {};
  const made = schools.find((one) => one.id === search.get('made'));
  const sum = (of: 'copies' | 'out' | 'overdue' | 'families'): number =>
    schools.reduce((total, one) => total + one[of], 0);
  return (
    <Workplace>
      <Stack>
        <Heading
          title={name}
          action={
            <Row>
              <ButtonLink quiet href="/district/shared">
                What schools share
              </ButtonLink>
              <ButtonLink quiet href="/district/move">
                Move copies
              </ButtonLink>
            </Row>
          }
        >
          How are the schools doing, and which one do you go into?
        </Heading>
        {made && !actionData && (
          <Said kind="done" word="Made" live>
            {made.name} is there. Open it to add its people, its families and its kits.
          </Said>
        )}
        <Table
          label="Schools of the district"
          rows={schools}
          rowKey={({ id }) => id}
          columns={[
            { head: 'School', cell: (one) => one.name },
            { head: 'Families', cell: (one) => one.families },
            { head: 'Copies', cell: (one) => one.copies },
            {
              head: 'Out',
              cell: (one) => (
                <>
                  {one.out} {one.overdue > 0 && <State tone="hand">{one.overdue} overdue</State>}
                </>
              ),
            },
            { head: 'New answers', cell: (one) => one.unread },
            {
              head: <span className="visually-hidden">Action</span>,
              cell: (one) =>
                one.id === here ? (
                  <State tone="calm">open now</State>
                ) : (
                  <Form method="post">
                    <input type="hidden" name="intent" value="open" />
                    <input type="hidden" name="school" value={one.id} />
                    <Button type="submit" quiet aria-label={`Open ${one.name}`}>
                      Open
                    </Button>
                  </Form>
                ),
            },
          ]}
        />
        <Panel aria-labelledby="make">
          <Form method="post" key={search.get('made')}>
            <input type="hidden" name="intent" value="make" />
            <Stack>
              <h2 id="make">Make a school</h2>
              <NotSaved errors={errorsOf('school')} />
              <TextBox
                name="schoolName"
                label="Name of the school"
                error={errorsOf('school').schoolName}
                maxLength={120}
              />
              <AboutNewSchool {...about} errors={errorsOf('school')} />
              <Row>
                <Button type="submit" isPending={busy}>
                  Make this school
                </Button>
              </Row>
              <Faint>
                Everybody who coordinates the district comes in at once. What a school shares is taken from
                there by <Link to="/district/shared">What schools share</Link>.
              </Faint>
            </Stack>
          </Form>
        </Panel>
        <Panel aria-labelledby="who">
          <Stack>
            <h2 id="who">Who coordinates the district</h2>
            {errorsOf('people')[''] && (
              <Said kind="stop" word="Not changed" live>
                {errorsOf('people')['']}
              </Said>
            )}
            <Table
              rows={coordinators}
              rowKey={({ id }) => id}
              columns={[
                { head: 'Name', cell: (one) => (one.id === me ? `${one.name} (you)` : one.name) },
                {
                  head: <span className="visually-hidden">Action</span>,
                  cell: (one) => (
                    <Form method="post">
                      <input type="hidden" name="intent" value="dismiss" />
                      <input type="hidden" name="person" value={one.id} />
                      <Button
                        type="submit"
                        quiet
                        clay
                        aria-label={`${one.name} no longer coordinates the district`}
                      >
                        No longer
                      </Button>
                    </Form>
                  ),
                },
              ]}
            />
            {others.length > 0 && (
              <Form method="post">
                <input type="hidden" name="intent" value="appoint" />
                <Row style={{ alignItems: 'end' }}>
                  <Pick
                    name="person"
                    label="One more, from the coordinators of the schools"
                    options={others.map(({ id, name: label }) => ({ value: id, label }))}
                  />
                  <Button type="submit" quiet>
                    Let them coordinate the district
                  </Button>
                </Row>
              </Form>
            )}
          </Stack>
        </Panel>
        <Panel aria-labelledby="called">
          <Form method="post">
            <input type="hidden" name="intent" value="name" />
            <Stack>
              <h2 id="called">What the district is called</h2>
              <TextBox
                key={name}
                name="districtName"
                label="Name of the district"
                defaultValue={name}
                error={errorsOf('name').districtName}
                maxLength={120}
              />
              <Row>
                <Button type="submit" quiet isPending={busy}>
                  Save this name
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Schools"
            number={String(schools.length)}
            unit={schools.length === 1 ? 'school' : 'schools'}
            reason={`${count(sum('families'), 'family', 'families')} in all.`}
          />
          <Entered
            label="Copies"
            number={String(sum('copies'))}
            unit={sum('copies') === 1 ? 'copy' : 'copies'}
            reason={`${sum('out')} out, ${sum('overdue')} overdue, each by the clock of its school.`}
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}
