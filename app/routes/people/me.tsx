import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { ROLE_NAMES } from '~/core/people/role';
import { endSessions, listSessions } from '~/data/queries/sessions';
import { showTime } from '~/server/changes';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { changeOwnPassword } from '~/server/people/passwords';
import { noteSecurity } from '~/server/people/security';
import { askAgain, requireRole, sessionHash } from '~/server/people/session';
import { Button, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { NotSaved } from '~/app/ui/NotSaved';
import { Faint, Heading, Panel, Stack, State, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { NewPasswordFields } from './NewPasswordFields';
import type { Route } from './+types/me';

export const meta: Route.MetaFunction = () => [{ title: 'Your sign-in · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { id, name, role, at } = await requireRole(request, 'coordinator', 'helper', 'reader');
  const sessions = await listSessions(id, await sessionHash(request));
  return {
    name,
    role,
    sessions: sessions.map(({ createdAt, usedAt, ...one }) => ({
      ...one,
      since: showTime(at, createdAt),
      used: showTime(at, usedAt),
    })),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper', 'reader');
  const { id, at, name, school } = person;
  const form = await request.formData();
  const here = await sessionHash(request);
  return byIntent(form, {
    endOthers: async () => {
      askAgain(request, person);
      await noteSecurity(at, 'sessionsEnded', id);
      throw redirect(`/me?ended=${await endSessions(id, { keep: here })}`);
    },
    end: async () => {
      askAgain(request, person);
      await noteSecurity(at, 'sessionsEnded', id);
      const session = form.get('session');
      throw redirect(`/me?ended=${isId(session) ? await endSessions(id, { id: session }) : 0}`);
    },
    '': async () => {
      const errors = await changeOwnPassword(id, form, here, [name, school.name]);
      if (Object.keys(errors).length) return data({ errors }, { status: 400 });
      await noteSecurity(at, 'passwordChanged', id);
      throw redirect('/me?changed=1');
    },
  });
}

export default function Me({ loaderData, actionData }: Route.ComponentProps) {
  const { name, role, sessions } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  const ended = search.get('ended');
  return (
    <Workplace>
      <Stack>
        <Heading title={name}>
          {ROLE_NAMES[role]}. Where are you signed in, and is it all you?
          {role === 'coordinator' && (
            <>
              {' '}
              <Link to="/people">All people</Link>
            </>
          )}
        </Heading>
        {search.has('first') && !actionData && (
          <Said kind="mind" word="Choose your own password" live>
            The one you signed in with was chosen by somebody else. Type it once more, and then one that only
            you know; everything else opens afterwards.
          </Said>
        )}
        {search.has('changed') && !actionData && (
          <Said kind="done" word="Changed" live>
            Your new password holds from now on. In all other browsers you were signed out.
          </Said>
        )}
        {ended && !actionData && (
          <Said kind="done" word="Ended" live>
            {ended === '0' ? 'There was nothing to end.' : 'You are signed out there.'}
          </Said>
        )}
        <Table
          rows={sessions}
          rowKey={(session) => session.id}
          columns={[
            {
              head: 'Signed in with',
              cell: (session) => (
                <>
                  {session.browser || 'a browser'} {session.here && <State tone="calm">here</State>}
                </>
              ),
            },
            { head: 'Since', cell: (session) => session.since },
            { head: 'Last used', cell: (session) => session.used },
            {
              head: <span className="visually-hidden">Action</span>,
              cell: (session) =>
                !session.here && (
                  <Form method="post">
                    <input type="hidden" name="intent" value="end" />
                    <input type="hidden" name="session" value={session.id} />
                    <Button
                      type="submit"
                      quiet
                      clay
                      aria-label={`End it: the session with ${session.browser} since ${session.since}`}
                    >
                      End it
                    </Button>
                  </Form>
                ),
            },
          ]}
        />
        {sessions.length > 1 && (
          <Form method="post">
            <input type="hidden" name="intent" value="endOthers" />
            <Button type="submit" quiet clay>
              End all but this one
            </Button>
          </Form>
        )}
        <Faint>
          A session that nobody uses ends after twelve hours, and every session after thirty days.
        </Faint>
      </Stack>
      <Panel aria-labelledby="password">
        <Form method="post" key={search.get('changed') ?? ''}>
          <Stack>
            <h2 id="password">Change your password</h2>
            <NotSaved errors={errors} />
            <TextBox
              name="old"
              label="Password now"
              inputType="password"
              autoComplete="current-password"
              error={errors.old}
            />
            <NewPasswordFields errors={errors} />
            <Button type="submit" isPending={busy}>
              Change the password
            </Button>
          </Stack>
        </Form>
      </Panel>
    </Workplace>
  );
}
