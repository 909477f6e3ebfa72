import { getLocalTimeZone } from '@internationalized/date';
import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm } from '~/core/check/check';
import { isTimeZone, languagesIn, NO_TIME_ZONE, setUpSchema, timeZones } from '~/core/lending/school';
import { setUpSchool, whoseDoor } from '~/data/queries/schools';
import { textIn } from '~/server/forms';
import { hashPassword } from '~/server/people/password';
import { weakness } from '~/server/people/weak';
import { signIn } from '~/server/people/session';
import { Button, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Stack } from '~/app/ui/Page';
import { AboutNewSchool } from './AboutSchool';
import { Door } from './Door';
import { NewPasswordFields } from './NewPasswordFields';
import type { Route } from './+types/set-up';

export const meta: Route.MetaFunction = () => [{ title: 'Set up · Fern Basket' }];

export async function loader() {
  if ((await whoseDoor()) !== undefined) throw redirect('/');
  return { timeZones: timeZones(), here: getLocalTimeZone() };
}

export async function action({ request }: Route.ActionArgs) {
  if ((await whoseDoor()) !== undefined) throw redirect('/');
  const form = await request.formData();
  const kept = {
    schoolName: textIn(form, 'schoolName'),
    personName: textIn(form, 'personName'),
  };
  const checked = checkForm(setUpSchema, form);
  const errors = checked.ok ? {} : checked.errors;
  const weak = checked.ok && weakness(textIn(form, 'password'), [kept.schoolName, kept.personName]);
  if (weak) errors.password = weak;
  if (form.get('password') !== form.get('again')) errors.again = 'The two passwords are not the same.';
  if (checked.ok && !isTimeZone(checked.value.timeZone)) errors.timeZone = NO_TIME_ZONE;
  if (!checked.ok || Object.keys(errors).length) return data({ kept, errors }, { status: 400 });
  const { schoolName: name, paper, contact, timeZone, personName } = checked.value;
  const made = await setUpSchool({
    school: { name, paper, contact, timeZone, languages: languagesIn(form.getAll('languages')) },
    person: { name: personName, passwordHash: await hashPassword(textIn(form, 'password')) },
  });
  const headers = made && (await signIn(request, made.person.id));
  if (!headers) throw redirect('/sign-in');
  throw redirect('/', { headers });
}

export default function SetUp({ loaderData, actionData }: Route.ComponentProps) {
  const busy = useSending();
  const errors: Record<string, string> = actionData?.errors ?? {};
  return (
    <Door
      title="Set up your school"
      lead="This makes the school and your own sign-in. All of it stays on this server."
    >
      <Form method="post">
        <Stack>
          {actionData && (
            <Said kind="mind" word="Not saved yet" live>
              Please look at the marked places. Passwords are asked for again.
            </Said>
          )}
          <TextBox
            name="schoolName"
            label="Name of the school"
            defaultValue={actionData?.kept.schoolName}
            error={errors.schoolName}
            autoFocus
          />
          <AboutNewSchool {...loaderData} errors={errors} />
          <TextBox
            name="personName"
            label="Your name"
            autoComplete="username"
            defaultValue={actionData?.kept.personName}
            error={errors.personName}
            hint="You will be the coordinator."
          />
          <NewPasswordFields label="Password" again="The password again" errors={errors} />
          <Button type="submit" isPending={busy}>
            Set up the school
          </Button>
        </Stack>
      </Form>
    </Door>
  );
}
