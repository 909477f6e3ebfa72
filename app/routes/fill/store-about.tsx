import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { asWritten, catalogueOf, isOwnMaterial, type MaterialFields } from '~/core/materials/school';
import { materialOf } from '~/core/materials/catalogue';
import { storable } from '~/core/kits/store';
import type { SchoolHandle } from '~/data/db';
import { listMaterials, materialVersion, putAwayMaterial, saveMaterial } from '~/data/queries/materials';
import { changesOf, lateOf } from '~/server/changes';
import { byIntent, UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { fieldsOf, materialIn, replaceable, writtenOf } from '~/server/kits/materials';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Changes, DraftNote, TooLate, type Late } from '~/app/ui/Changes';
import { Said } from '~/app/ui/Notices';
import { Heading, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { useDraft } from '~/app/ui/remember';
import { MaterialForm, materialWords } from './MaterialForm';
import type { Route } from './+types/store-about';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `What ${loaderData?.written.plural ?? 'a part'} are · Fern Basket` },
];

/** What the school wrote of a part in its store, and what it is as it ships. */
async function partOf(at: SchoolHandle, id: string) {
  const school = await listMaterials(at);
  const found = storable(catalogueOf(school)).find((one) => one.id === id);
  if (!found) throw notFound('This part');
  const written = writtenOf(school, found);
  return { written, usual: isOwnMaterial(found.id) ? written : asWritten(materialOf(found.id)) };
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator');
  const { written } = await partOf(at, params.material);
  const [version, changes] = await Promise.all([
    materialVersion(at, written.id),
    changesOf(at, 'material', written.id),
  ]);
  return {
    written,
    fields: fieldsOf(written),
    version,
    changes,
    languages: [...new Set([...school.languages, ...Object.keys(written.names)])].filter(
      (one) => one !== 'en',
    ),
    replaceable: replaceable()
      .filter(({ id }) => id !== written.id)
      .map(({ id, plural }) => ({ id, plural })),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const { written, usual } = await partOf(at, params.material);
  const { id } = written;
  const form = await request.formData();
  const refuse = (status: number, errors: FieldErrors, late?: Late<MaterialFields>) =>
    data({ errors, late }, { status });
  const away = (yes: boolean) => async () => {
    await putAwayMaterial(at, { id, usual: fieldsOf(usual), away: yes }, person.id);
    throw redirect(`/fill/store/${id}/about?done=${yes ? 'away' : 'back'}`);
  };
  return byIntent(form, {
    putAway: away(true),
    bringBack: away(false),
    save: async () => {
      const read = materialIn(form, [...person.school.languages, ...Object.keys(written.names)], id);
      if (!read.ok) return refuse(400, read.errors);
      const openedOn = versionIn(form);
      if (openedOn === undefined) return refuse(400, { '': UNKNOWN_VERSION });
      const saved = await saveMaterial(
        at,
        { id, mine: read.fields, usual: fieldsOf(usual), openedOn },
        person.id,
      );
      if (!saved.ok) return refuse(409, {}, lateOf(at, saved.stale));
      throw redirect(`/fill/store/${id}/about?done=saved`);
    },
  });
}

const DONE: Record<string, string> = {
  saved: 'Safety, names and tasks follow it from now on.',
  away: 'It is chosen for nothing new. What is on hand, and what copies hold, stays.',
  back: 'It can be chosen again.',
};

export default function About(props: Route.ComponentProps) {
  const { written, version } = props.loaderData;
  return <OneMaterial key={`${written.id} ${version}`} {...props} />;
}

function OneMaterial({ loaderData, actionData }: Route.ComponentProps) {
  const { written, fields, version, changes, languages, replaceable: others } = loaderData;
  const [search] = useSearchParams();
  const late = actionData?.late;
  const draft = useDraft<MaterialFields>(
    `material ${written.id}`,
    { value: fields, version },
    late,
    actionData?.errors,
  );
  const words = materialWords(others);
  const done = DONE[search.get('done') ?? ''];
  return (
    <Workplace>
      <Stack>
        <Heading
          title={`What ${written.plural} are`}
          action={
            <ButtonLink quiet href={`/fill/store/${written.id}`}>
              Back to the store
            </ButtonLink>
          }
        >
          {isOwnMaterial(written.id)
            ? 'Added by your school.'
            : 'It ships with the application; what you write here is true of those at your school.'}
        </Heading>
        {done && !actionData && (
          <Said kind="done" word="Done" live>
            {done}
          </Said>
        )}
        {late ? (
          <TooLate late={late} draft={draft} words={words} what="this part" />
        ) : (
          <DraftNote draft={draft} words={words} />
        )}
        <Panel aria-label="The kind of part">
          <MaterialForm
            value={draft.value}
            version={draft.version}
            onChange={(change) => draft.set((old) => ({ ...old, ...change }))}
            onSubmit={draft.sent}
            errors={actionData?.errors ?? {}}
            shipped={!isOwnMaterial(written.id)}
            replaceable={others}
            languages={languages}
            action="Save"
          />
        </Panel>
        <Panel aria-labelledby="away">
          <Form method="post">
            <input type="hidden" name="intent" value={written.putAway ? 'bringBack' : 'putAway'} />
            <Stack $gap="0.6rem">
              <h2 id="away">{written.putAway ? 'It is put away' : 'No longer used here?'}</h2>
              <p>
                {written.putAway
                  ? 'It is not counted on the walk and stands in for nothing.'
                  : 'Put away, it is not counted on the walk and stands in for nothing; games that need it still say so.'}
              </p>
              <Row>
                <Button type="submit" quiet>
                  {written.putAway ? 'Bring it back' : 'Put it away'}
                </Button>
              </Row>
            </Stack>
          </Form>
          <Changes rows={changes} words={words} />
        </Panel>
      </Stack>
    </Workplace>
  );
}
