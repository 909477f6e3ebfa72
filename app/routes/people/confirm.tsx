import { data, redirect, redirectDocument } from 'react-router';
import { textIn } from '~/server/forms';
import { confirmPassword, requireRole } from '~/server/people/session';
import { ownPath } from '~/server/links';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Row, Stack } from '~/app/ui/Page';
import { Form } from '~/app/ui/sending';
import type { PageHandle } from '~/app/root';
import { Door } from './Door';
import type { Route } from './+types/confirm';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [{ title: 'Is it you? · Fern Basket' }];

const nextOf = (request: Request): string => ownPath(new URL(request.url).searchParams.get('next'));

export async function loader({ request }: Route.LoaderArgs) {
  const { name, proven } = await requireRole(request, 'coordinator', 'helper', 'reader');
  if (proven) throw redirect(nextOf(request));
  return { name, next: nextOf(request), sent: new URL(request.url).searchParams.has('sent') };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper', 'reader');
  const form = await request.formData();
  const problem = await confirmPassword(request, person, textIn(form, 'password'));
  if (problem) return data({ problem }, { status: 401 });
  // It may be a file that comes next.
  throw redirectDocument(nextOf(request));
}

export default function Confirm({ loaderData: { name, next, sent }, actionData }: Route.ComponentProps) {
  const busy = useSending();
  return (
    <Door
      title="Is it you?"
      lead={`You are signed in as ${name}, and your password was not asked for ten minutes. What comes next can take something away from others, or out of the school.`}
    >
      <Form method="post">
        <Stack>
          {actionData?.problem && (
            <Said kind="mind" word="Not yet" live>
              {actionData.problem}
            </Said>
          )}
          {sent && (
            <Said kind="know" word="Not done yet">
              Nothing was changed. You come back to your page: press the button there once more.
            </Said>
          )}
          <TextBox
            name="password"
            label="Your password"
            inputType="password"
            autoComplete="current-password"
            autoFocus
          />
          <Row>
            <Button type="submit" isPending={busy}>
              It is me
            </Button>
            <ButtonLink quiet href={next}>
              Go back
            </ButtonLink>
          </Row>
        </Stack>
      </Form>
    </Door>
  );
}
