import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import { personSchema } from '~/core/people/forms';
import { ROLE_NAMES, ROLES } from '~/core/people/role';
import { refusedBy } from '~/data/trouble';
import {
  admit,
  createPerson,
  deactivatePerson,
  listPeople,
  peopleOfSisters,
  type Ending,
} from '~/data/queries/people';
import { changesOfAll, showTime } from '~/server/changes';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { mayTryNumber } from '~/server/limits';
import { forgottenAt } from '~/server/links';
import { letSetNewPassword } from '~/server/people/passwords';
import { hashPassword } from '~/server/people/password';
import { weakness } from '~/server/people/weak';
import { noteSecurity } from '~/server/people/security';
import { askAgain, faultOfAgain, requireRole } from '~/server/people/session';
import { SECURITY, unusual } from '~/core/people/security';
import { securityEvents, securityOfADay } from '~/data/queries/security';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Changes, plainValue, type FieldWords } from '~/app/ui/Changes';
import { OnceMore } from '~/app/ui/OnceMore';
import { Choice } from '~/app/ui/fields/Choice';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Row, Panel, Stack, State, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/staff-list';

export const meta: Route.MetaFunction = () => [{ title: 'People · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, ofDistrict, schools, proven } = await requireRole(request, 'coordinator');
  const [people, sisters, events, day] = await Promise.all([
    listPeople(at),
    ofDistrict ? peopleOfSisters(at) : [],
    securityEvents(at),
    securityOfADay(at),
  ]);
  const changes = await changesOfAll(
    at,
    'person',
    people.map(({ id }) => id),
  );
  return {
    people: people.map((one) => ({ ...one, changes: changes.get(one.id)! })),
    sisters,
    proven,
    forgottenAt: forgottenAt(request),
    unusual: unusual(day),
    events: events.map(({ hour, ...one }) => ({ ...one, hour: showTime(at, hour) })),
    ofDistrict,
    several: schools > 1,
  };
}

const STAYS: Record<Exclude<Ending, 'ended'>, string> = {
  gone: 'This person is not here any more.',
  last: 'A school needs a coordinator, so this access stays.',
  district: 'They coordinate the district, so they stay in all of its schools.',
};

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at, id: me, ofDistrict, school } = person;
  const form = await request.formData();
  const name = visible(textIn(form, 'name')).slice(0, 80);
  const id = form.get('person');
  const refuse = (errors: FieldErrors, status: number) =>
    data({ errors, name, of: undefined, allowed: undefined }, { status });
  return byIntent(form, {
    password: async () => {
      askAgain(request, person);
      const number = textIn(form, 'number').replace(/\D/g, '');
      const of = isId(id) ? id : undefined;
      const tell = (problem: string, status: number, field = 'number') =>
        data({ errors: { [field]: problem }, name, of, allowed: undefined }, { status });
      if (!of) return tell('Choose who it is.', 400, 'who');
      if (number.length !== 6) return tell('The number has six digits.', 400);
      if (!(await mayTryNumber(of))) return tell('Too many numbers. Please wait ten minutes.', 429);
      const answer = await letSetNewPassword(at, { personId: of, number, by: me });
      if (answer === 'number')
        return tell('Nobody asked under this number for this person. Ask them to read it once more.', 409);
      if (answer === 'refused')
        return tell(
          'You cannot do this for them: they have left, or sign in to another school as well. Who coordinates the district can.',
          409,
          'who',
        );
      await noteSecurity(at, 'linkGiven', me);
      return data({ errors: {}, name: '', of: undefined, allowed: of });
    },
    end: async () => {
      askAgain(request, person);
      const ending = isId(id) ? await deactivatePerson(at, id, me) : 'gone';
      if (ending !== 'ended') return refuse({ end: STAYS[ending] }, 409);
      await noteSecurity(at, 'accessEnded', me);
      throw redirect('/people?ended=1');
    },
    admit: async () => {
      askAgain(request, person);
      const role = ROLES.find((one) => one === form.get('role'));
      const who = ofDistrict && isId(id) && role && (await admit(at, id, role, me));
      if (!who) return refuse({ sister: 'Choose somebody of another school of your district.' }, 409);
      await noteSecurity(at, 'accessGiven', me);
      throw redirect('/people?admitted=1');
    },
    '': async () => {
      const checked = checkForm(personSchema, form);
      if (!checked.ok) return refuse(checked.errors, 400);
      const weak = weakness(textIn(form, 'password'), [checked.value.name, school.name]);
      if (weak) return refuse({ password: weak }, 400);
      const again = await faultOfAgain(request, person, form);
      if (again) return refuse({ confirm: again }, 401);
      try {
        const passwordHash = await hashPassword(textIn(form, 'password'));
        const { name: called, role } = checked.value;
        await createPerson(at, { name: called, role, passwordHash, passwordGiven: true }, me);
      } catch (error) {
        if (refusedBy(error) !== 'person_name_is_taken') throw error;
        return refuse(
          { name: `Somebody called “${checked.value.name}” is here already. Choose another name.` },
          409,
        );
      }
      await noteSecurity(at, 'accessGiven', me);
      throw redirect(`/people?added=${encodeURIComponent(checked.value.name)}`);
    },
  });
}

const PERSON_FIELDS: FieldWords = { label: (field) => field, show: (_, value) => plainValue(value) };

export default function People({ loaderData, actionData }: Route.ComponentProps) {
  const [search] = useSearchParams();
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  const added = search.get('added');
  return (
    <Workplace>
      <Stack>
        <Heading
          title="People"
          action={
            <Row $gap="0.6rem">
              <ButtonLink quiet href="/me">
                Your own sign-in
              </ButtonLink>
              <ButtonLink quiet href="/school">
                This school
              </ButtonLink>
              <ButtonLink quiet href={loaderData.ofDistrict ? '/district' : '/district/shared'}>
                {loaderData.ofDistrict ? 'District' : 'What schools share'}
              </ButtonLink>
            </Row>
          }
        >
          Who may sign in, and what is each of them here for?
        </Heading>
        {loaderData.unusual.length > 0 && (
          <Said kind="mind" word="Unusual since yesterday">
            {loaderData.unusual.join(' ')}
          </Said>
        )}
        {errors.end && (
          <Said kind="stop" word="Not ended" live>
            {errors.end}
          </Said>
        )}
        {actionData?.allowed && (
          <Said kind="done" word="They may" live>
            {loaderData.people.find((one) => one.id === actionData.allowed)?.name} can go on now, in the
            browser in which they asked, and set a new password. Nobody else sees it.
          </Said>
        )}
        {!actionData && added && (
          <Said kind="done" word="Added" live>
            {added} can sign in now. Hand over the password in person.
          </Said>
        )}
        {!actionData && search.has('admitted') && (
          <Said kind="done" word="Let in" live>
            They sign in as before, and find this school among theirs.
          </Said>
        )}
        {!actionData && search.has('ended') && (
          <Said kind="done" word="Ended" live>
            They can no longer sign in. What they did keeps their name.
          </Said>
        )}
        <Table
          rows={loaderData.people}
          rowKey={(person) => person.id}
          columns={[
            { head: 'Name', cell: (person) => person.name },
            {
              head: 'Role',
              cell: (person) => (
                <>
                  {ROLE_NAMES[person.role]}
                  {person.byDistrict && loaderData.several && (
                    <div>
                      <State tone="note">of the district</State>
                    </div>
                  )}
                </>
              ),
            },
            {
              head: <span className="visually-hidden">Action</span>,
              cell: (person) => (
                <>
                  <Row $gap="0.5rem">
                    <Form method="post">
                      <input type="hidden" name="intent" value="end" />
                      <input type="hidden" name="person" value={person.id} />
                      <Button type="submit" quiet clay aria-label={`End this access: ${person.name}`}>
                        End this access
                      </Button>
                    </Form>
                  </Row>
                  <Changes rows={person.changes} words={PERSON_FIELDS} />
                </>
              ),
            },
          ]}
        />
      </Stack>
      <Stack>
        <Panel aria-labelledby="add">
          <Form method="post" key={added ?? ''}>
            <Stack>
              <h2 id="add">Add a person</h2>
              <TextBox
                name="name"
                label="Name"
                defaultValue={actionData?.name}
                error={errors.name}
                maxLength={80}
              />
              <Choice
                name="role"
                label="Role"
                defaultValue="helper"
                error={errors.role}
                options={Object.entries(ROLE_NAMES).map(([value, label]) => ({ value, label }))}
              />
              <TextBox
                name="password"
                label="Password"
                inputType="password"
                autoComplete="new-password"
                error={errors.password}
                hint="At least 12 characters."
              />
              <OnceMore proven={loaderData.proven} error={errors.confirm} />
              <Button type="submit" isPending={busy}>
                Add this person
              </Button>
              <Faint>A helper builds, prints, lends and takes back. A fluent reader sees words only.</Faint>
            </Stack>
          </Form>
        </Panel>
        <Panel aria-labelledby="forgotten">
          <Form method="post" key={`${actionData?.allowed ?? ''} allowed`}>
            <input type="hidden" name="intent" value="password" />
            <Stack>
              <h2 id="forgotten">Somebody forgot the password</h2>
              <Faint>
                They open <span style={{ overflowWrap: 'anywhere' }}>{loaderData.forgottenAt}</span>, type
                their name and read you a number. Be sure that it is them: in person, or by their voice.
              </Faint>
              <Pick
                name="person"
                label="Who"
                options={[
                  { value: '', label: 'Choose a person' },
                  ...loaderData.people.map((one) => ({ value: one.id, label: one.name })),
                ]}
                defaultValue={actionData?.of ?? ''}
                error={errors.who}
              />
              <TextBox
                name="number"
                label="The number they read"
                autoComplete="off"
                maxLength={12}
                error={errors.number}
              />
              <Button type="submit" quiet isPending={busy}>
                Let them set a new password
              </Button>
            </Stack>
          </Form>
        </Panel>
        {loaderData.sisters.length > 0 && (
          <Panel aria-labelledby="admit">
            <Form method="post">
              <input type="hidden" name="intent" value="admit" />
              <Stack>
                <h2 id="admit">Let in somebody of another school</h2>
                <Pick
                  name="person"
                  label="Person"
                  options={loaderData.sisters.map((one) => ({ value: one.id, label: one.name }))}
                  error={errors.sister}
                />
                <Choice
                  name="role"
                  label="Role here"
                  defaultValue="helper"
                  options={Object.entries(ROLE_NAMES).map(([value, label]) => ({ value, label }))}
                />
                <Button type="submit" quiet isPending={busy}>
                  Let them in
                </Button>
              </Stack>
            </Form>
          </Panel>
        )}
        <Panel aria-labelledby="doors">
          <Stack $gap="0.6rem">
            <h2 id="doors">What happened at the doors</h2>
            {loaderData.events.length === 0 ? (
              <Faint>
                Nothing out of the ordinary. Wrong passwords, links, exports and the like stand here.
              </Faint>
            ) : (
              <details open={loaderData.unusual.length > 0}>
                <summary>{`The last ${loaderData.events.length}, hour by hour`}</summary>
                <ul style={{ paddingInlineStart: '1.1rem' }}>
                  {loaderData.events.map(({ id, hour, who, kind, times }) => (
                    <li key={id}>
                      {hour}: {kind === 'totalReached' ? '' : `${who ?? 'somebody'} `}
                      {SECURITY[kind]}
                      {times > 1 ? `, ${times} times` : ''}
                    </li>
                  ))}
                </ul>
                <Faint>
                  What was typed is kept nowhere. Names that nobody here has stand in the server’s log only.
                </Faint>
              </details>
            )}
          </Stack>
        </Panel>
      </Stack>
    </Workplace>
  );
}
