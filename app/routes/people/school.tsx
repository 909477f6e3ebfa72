import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm, type FieldErrors } from '~/core/check/check';
import {
  isTimeZone,
  languagesIn,
  NO_TIME_ZONE,
  schoolSchema,
  timeZones,
  type SchoolFields,
} from '~/core/lending/school';
import { aboutLanguage } from '~/core/words/languages';
import { changeSchool, schoolFields } from '~/data/queries/schools';
import { changesOf, lateOf } from '~/server/changes';
import { UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { requireRole } from '~/server/people/session';
import { today } from '~/server/today';
import { showDay } from '~/core/lending/due';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Changes, DraftNote, plainValue, TooLate, type FieldWords, type Late } from '~/app/ui/Changes';
import { TextBox } from '~/app/ui/fields/TextBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { useDraft } from '~/app/ui/remember';
import { AboutSchool } from './AboutSchool';
import type { Route } from './+types/school';

export const meta: Route.MetaFunction = () => [{ title: 'This school · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator');
  return {
    fields: schoolFields(school),
    version: school.version,
    timeZones: timeZones(),
    today: today(at),
    changes: await changesOf(at, 'school', 'school'),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const refuse = (status: number, errors: FieldErrors, late?: Late<SchoolFields>) =>
    data({ errors, late }, { status });
  const checked = checkForm(schoolSchema, form);
  if (!checked.ok) return refuse(400, checked.errors);
  const { schoolName, paper, contact, timeZone } = checked.value;
  if (!isTimeZone(timeZone)) return refuse(400, { timeZone: NO_TIME_ZONE });
  const openedOn = versionIn(form);
  if (!openedOn) return refuse(400, { '': UNKNOWN_VERSION });
  const mine = {
    name: schoolName,
    paper,
    contact,
    timeZone,
    languages: languagesIn(form.getAll('languages')),
  };
  const saved = await changeSchool(at, mine, openedOn, id);
  if (!saved) return refuse(409, { schoolName: 'Another school of your district has this name.' });
  if (!saved.ok) return refuse(409, {}, lateOf(at, saved.stale));
  throw redirect('/school?saved=1');
}

const LABELS: Record<string, string> = {
  name: 'Name of the school',
  paper: 'Paper in the printer',
  languages: 'Languages of your families',
  contact: 'How families reach you',
  timeZone: 'Time zone',
};
const WORDS: FieldWords = {
  label: (field) => LABELS[field] ?? field,
  show: (field, value) =>
    field === 'languages' && Array.isArray(value)
      ? value.map((code) => aboutLanguage(code).name).join(', ')
      : plainValue(value),
};

export default function School(props: Route.ComponentProps) {
  return <Boxes key={props.loaderData.version} {...props} />;
}

function Boxes({ loaderData, actionData }: Route.ComponentProps) {
  const [search] = useSearchParams();
  const late = actionData?.late;
  const draft = useDraft<SchoolFields>(
    'this school',
    { value: loaderData.fields, version: loaderData.version },
    late,
    actionData?.errors,
  );
  const { value, set } = draft;
  const change = (fields: Partial<SchoolFields>): void => set((old) => ({ ...old, ...fields }));
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  return (
    <Workplace>
      <Stack>
        <Heading
          title="This school"
          action={
            <ButtonLink quiet href="/people">
              People
            </ButtonLink>
          }
        >
          What stands on labels and decides what day it is.
        </Heading>
        {search.has('saved') && !actionData && !draft.restored && (
          <Said kind="done" word="Saved" live>
            It holds from now on.
          </Said>
        )}
        {late ? (
          <TooLate late={late} draft={draft} words={WORDS} what="this school" />
        ) : (
          Object.keys(errors).length === 0 && <DraftNote draft={draft} words={WORDS} />
        )}
        <Panel>
          <Form method="post" onSubmit={draft.sent}>
            <input type="hidden" name="version" value={draft.version} />
            <Stack>
              <NotSaved errors={errors} />
              <TextBox
                name="schoolName"
                label={LABELS.name!}
                value={value.name}
                onChange={(name) => change({ name })}
                error={errors.schoolName}
                maxLength={120}
              />
              <AboutSchool value={value} onChange={change} timeZones={loaderData.timeZones} errors={errors} />
              <Row>
                <Button type="submit" isPending={busy}>
                  Save this school
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
        <Changes rows={loaderData.changes} words={WORDS} />
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Today at this school"
            number={showDay(loaderData.today)}
            reason="By its time zone."
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}
