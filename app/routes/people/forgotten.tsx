import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { visible } from '~/core/check/keepable';
import { LINK_HOURS } from '~/core/people/forms';
import { whoseDoor } from '~/data/queries/schools';
import { findPasswordLink } from '~/data/queries/sessions';
import { textIn } from '~/server/forms';
import { mayAskForPassword } from '~/server/limits';
import { askedHere, askForNewPassword } from '~/server/people/passwords';
import { hashOf } from '~/server/people/session';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Faint, Stack } from '~/app/ui/Page';
import type { PageHandle } from '~/app/root';
import { Door } from './Door';
import type { Route } from './+types/forgotten';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [
  { title: 'A new password · Fern Basket' },
  { name: 'robots', content: 'noindex' },
];

/** The page as it is for this browser: a name is asked for, a number waits, or the new password may be set. */
export async function loader({ request }: Route.LoaderArgs) {
  const school = await whoseDoor();
  if (school === undefined) throw redirect('/set-up');
  const asked = await askedHere(request);
  if (!asked || new URL(request.url).searchParams.has('anew')) return { school, number: undefined };
  if (await findPasswordLink(hashOf(asked.key))) throw redirect(`/new-password/${asked.key}`);
  return { school, number: asked.number };
}

export async function action({ request, context }: Route.ActionArgs) {
  const form = await request.formData();
  const name = visible(textIn(form, 'name')).slice(0, 80);
  const refuse = (problem: string, status: number) => data({ name, problem }, { status });
  if (!name) return refuse('Type the name with which you sign in.', 400);
  if (!(await mayAskForPassword(context.clientAddress)))
    return refuse('Too many people have asked from here. Please wait ten minutes and try again.', 429);
  const cookie = await askForNewPassword(request, name);
  throw redirect('/forgotten', { headers: { 'Set-Cookie': cookie } });
}

/** In two groups, as it is read aloud. */
const inGroups = (number: string): string => `${number.slice(0, 3)} ${number.slice(3)}`;

export default function Forgotten({ loaderData: { school, number }, actionData }: Route.ComponentProps) {
  const busy = useSending();
  if (number && !actionData)
    return (
      <Door title="A new password" lead={school}>
        <Stack>
          <p>
            Tell a coordinator of your school this number, in person or on the telephone. They type it under
            People.
          </p>
          <p style={{ fontSize: '2rem', fontWeight: 700, letterSpacing: '0.04em' }}>{inGroups(number)}</p>
          <p>Then go on here, in this browser: nobody else can set your password.</p>
          <ButtonLink href="/forgotten">Go on</ButtonLink>
          <Faint>
            The number holds for {LINK_HOURS} hours. Does “Go on” show this page again? Then nobody has typed
            it yet. <a href="/forgotten?anew=1">Ask with another name</a> or <a href="/sign-in">sign in</a>.
          </Faint>
        </Stack>
      </Door>
    );
  return (
    <Door title="A new password" lead={school}>
      <Form method="post">
        <Stack>
          <TextBox
            name="name"
            label="Your name, as you sign in"
            autoComplete="username"
            autoFocus
            maxLength={80}
            defaultValue={actionData?.name}
            error={actionData?.problem}
          />
          <Button type="submit" isPending={busy}>
            Ask for a new password
          </Button>
          <Faint>
            You get a number to tell a coordinator of your school. <a href="/sign-in">Back to signing in</a>
          </Faint>
        </Stack>
      </Form>
    </Door>
  );
}
