import { useEffect } from 'react';
import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import { signInSchema } from '~/core/people/forms';
import { findPersonByName } from '~/data/queries/people';
import { whoseDoor } from '~/data/queries/schools';
import { textIn } from '~/server/forms';
import { trySignIn } from '~/server/limits';
import { noteAtDoor } from '~/server/people/security';
import { ownPath } from '~/server/links';
import { passwordFits } from '~/server/people/password';
import { knowsBrowser, signIn, whoIs } from '~/server/people/session';
import { dropPage } from '~/app/desk/hallKept';
import { Button, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Stack } from '~/app/ui/Page';
import type { PageHandle } from '~/app/root';
import { Door } from './Door';
import type { Route } from './+types/sign-in';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [{ title: 'Sign in · Fern Basket' }];

/** Only a path of this server may follow a sign-in. */
const safeNext = (request: Request): string => ownPath(new URL(request.url).searchParams.get('next'));

export async function loader({ request }: Route.LoaderArgs) {
  const school = await whoseDoor();
  if (school === undefined) throw redirect('/set-up');
  if (await whoIs(request)) throw redirect(safeNext(request));
  return { school };
}

export async function action({ request, context }: Route.ActionArgs) {
  const form = await request.formData();
  const checked = checkForm(signInSchema, form);
  const name = visible(textIn(form, 'name')).slice(0, 200);
  if (!checked.ok) return data({ name, errors: checked.errors, problem: undefined }, { status: 400 });
  const { clientAddress } = context;
  const person = await findPersonByName(checked.value.name);
  const attempt = await trySignIn({
    name: checked.value.name,
    who: person?.id,
    address: clientAddress,
    known: person !== undefined && (await knowsBrowser(request, person.id)),
  });
  if (attempt.wait) {
    void noteAtDoor('signInStopped', person?.id);
    return data(
      {
        name,
        errors: {},
        problem: `Too many tries. Please wait ${attempt.wait === 1 ? 'a minute' : `${attempt.wait} minutes`} and try again.`,
      },
      { status: 429 },
    );
  }
  // The password is not trimmed: it is compared as it was typed.
  const fits = await passwordFits(textIn(form, 'password'), person?.passwordHash).catch(
    async (error: unknown) => {
      // It was never looked at: the try does not count.
      await attempt.takenBack();
      throw error;
    },
  );
  if (!person || !fits) {
    // Nobody waits for it: the time taken must not tell which names there are.
    void noteAtDoor('signInFailed', person?.id);
    return data(
      {
        name,
        errors: {},
        problem:
          'This name and this password do not belong together. Look at the capital letters and try again.',
      },
      { status: 401 },
    );
  }
  await attempt.succeeded();
  const headers = await signIn(request, person.id);
  // Their last access was ended in this very moment.
  if (!headers) throw redirect('/sign-in');
  throw redirect(safeNext(request), { headers });
}

export default function SignIn({ loaderData, actionData }: Route.ComponentProps) {
  const busy = useSending();
  // Nobody is signed in here: what this browser kept of a school goes.
  useEffect(() => void dropPage().catch(() => undefined), []);
  const errors: Record<string, string> = actionData?.errors ?? {};
  return (
    <Door title="Fern Basket" lead={loaderData.school}>
      <Form method="post" data-nobody="">
        <Stack>
          {actionData?.problem && (
            <Said kind="mind" word="Not signed in" live>
              {actionData.problem}
            </Said>
          )}
          <TextBox
            name="name"
            label="Name"
            autoComplete="username"
            autoFocus
            defaultValue={actionData?.name}
            error={errors.name}
          />
          <TextBox
            name="password"
            label="Password"
            inputType="password"
            autoComplete="current-password"
            error={errors.password}
          />
          <Button type="submit" isPending={busy}>
            Sign in
          </Button>
          <Faint>
            <a href="/forgotten">Password forgotten?</a>
          </Faint>
        </Stack>
      </Form>
    </Door>
  );
}
