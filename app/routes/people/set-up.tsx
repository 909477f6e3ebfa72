import { data, Form, redirect, useNavigation } from 'react-router';
import { checkForm } from '~/core/check/check';
import { setUpSchema } from '~/core/lending/school';
import { LANGUAGES, type Language } from '~/core/words/languages';
import { findSchool, setUpSchool } from '~/data/queries/people';
import { hashPassword } from '~/server/people/password';
import { signIn } from '~/server/people/session';
import { Button } from '~/app/ui/Button';
import { Choice, TextBox, TickBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Row, Stack } from '~/app/ui/Page';
import { Door } from './Door';
import { NewPasswordFields } from './NewPasswordFields';
import type { Route } from './+types/set-up';

export const meta: Route.MetaFunction = () => [{ title: 'Set up · Fern Basket' }];

export async function loader() {
  if (await findSchool()) throw redirect('/');
  return null;
}

export async function action({ request }: Route.ActionArgs) {
  if (await findSchool()) throw redirect('/');
  const form = await request.formData();
  const kept = {
    schoolName: String(form.get('schoolName') ?? ''),
    personName: String(form.get('personName') ?? ''),
  };
  const checked = checkForm(setUpSchema, form);
  const errors = checked.ok ? {} : checked.errors;
  const languages = form.getAll('languages').filter((code): code is Language => String(code) in LANGUAGES);
  if (!languages.includes('en')) languages.unshift('en');
  if (form.get('password') !== form.get('again')) errors.again = 'The two passwords are not the same.';
  if (!checked.ok || Object.keys(errors).length) return data({ kept, errors }, { status: 400 });
  const { password: _, ...rest } = checked.value;
  const person = await setUpSchool({
    ...rest,
    languages,
    passwordHash: await hashPassword(String(form.get('password'))),
  });
  if (!person) throw redirect('/sign-in');
  throw redirect('/', { headers: await signIn(request, person.id) });
}

export default function SetUp({ actionData }: Route.ComponentProps) {
  const busy = useNavigation().state !== 'idle';
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
          <Choice
            name="paper"
            label="Paper in the printer"
            defaultValue="letter"
            error={errors.paper}
            options={[
              { value: 'letter', label: 'Letter' },
              { value: 'a4', label: 'A4' },
            ]}
          />
          <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
            <legend style={{ fontWeight: 700, padding: 0 }}>Languages of your families</legend>
            <Row>
              {(Object.keys(LANGUAGES) as Language[]).map((code) => (
                <TickBox
                  key={code}
                  name="languages"
                  value={code}
                  defaultSelected={code === 'en' || code === 'es'}
                >
                  {LANGUAGES[code].name}
                </TickBox>
              ))}
            </Row>
          </fieldset>
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
