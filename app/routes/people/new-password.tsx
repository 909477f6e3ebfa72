import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { noteAtDoor } from '~/server/people/security';
import { findPasswordLink, spendPasswordLink } from '~/data/queries/sessions';
import { mayTryLink } from '~/server/limits';
import { hashPassword } from '~/server/people/password';
import { whoseDoor } from '~/data/queries/schools';
import { textIn } from '~/server/forms';
import { passwordFaults } from '~/server/people/passwords';
import { hashOf, signIn } from '~/server/people/session';
import { notFound, tooOften } from '~/server/refusals';
import { Button, useSending } from '~/app/ui/Button';
import { NotSaved } from '~/app/ui/NotSaved';
import { Stack } from '~/app/ui/Page';
import type { PageHandle } from '~/app/root';
import { Door } from './Door';
import { NewPasswordFields } from './NewPasswordFields';
import type { Route } from './+types/new-password';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [
  { title: 'A new password · Fern Basket' },
  { name: 'robots', content: 'noindex' },
];

const gone = () =>
  notFound('This link', 'It was used already, or it is too old. Ask a coordinator for another one.');

async function linkOf(key: string, address: string) {
  if (!(await mayTryLink(address))) throw tooOften('Please wait some minutes and open the link again.');
  const person = /^[\w-]{32}$/.test(key) ? await findPasswordLink(hashOf(key)) : undefined;
  if (!person) throw gone();
  return person;
}

export async function loader({ params, context }: Route.LoaderArgs) {
  const { name } = await linkOf(params.key, context.clientAddress);
  return { name };
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const { name } = await linkOf(params.key, context.clientAddress);
  const form = await request.formData();
  const errors = passwordFaults(form, [name, (await whoseDoor()) ?? '']);
  if (Object.keys(errors).length) return data({ errors }, { status: 400 });
  const personId = await spendPasswordLink(hashOf(params.key), await hashPassword(textIn(form, 'password')));
  if (!personId) throw gone();
  await noteAtDoor('linkUsed', personId);
  const headers = await signIn(request, personId);
  if (!headers) throw gone();
  throw redirect('/', { headers });
}

export default function NewPassword({ loaderData, actionData }: Route.ComponentProps) {
  const busy = useSending();
  const errors: Record<string, string> = actionData?.errors ?? {};
  return (
    <Door title="A new password" lead={`For ${loaderData.name}. This link works once.`}>
      <Form method="post">
        <Stack>
          <NotSaved errors={errors} />
          <input type="hidden" name="username" autoComplete="username" value={loaderData.name} readOnly />
          <NewPasswordFields again="The password again" errors={errors} autoFocus />
          <Button type="submit" isPending={busy}>
            Set this password and sign in
          </Button>
        </Stack>
      </Form>
    </Door>
  );
}
