import { data, redirect } from 'react-router';
import { asWritten, type MaterialFields } from '~/core/materials/school';
import { materialOf } from '~/core/materials/catalogue';
import { addMaterial } from '~/data/queries/materials';
import { fieldsOf, materialIn, newMaterialId, replaceable } from '~/server/kits/materials';
import { requireRole } from '~/server/people/session';
import { secureRandom } from '~/server/random';
import { ButtonLink } from '~/app/ui/Button';
import { KeptHere } from '~/app/ui/Changes';
import { Heading, Panel, Stack, Workplace } from '~/app/ui/Page';
import { useRemembered } from '~/app/ui/remember';
import { MaterialForm } from './MaterialForm';
import type { Route } from './+types/store-add';

export const meta: Route.MetaFunction = () => [{ title: 'Add a kind of part · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { school } = await requireRole(request, 'coordinator');
  const empty: MaterialFields = {
    ...fieldsOf(asWritten(materialOf('token'))),
    name: '',
    plural: '',
    form: 'box',
    washable: false,
  };
  return {
    empty,
    languages: school.languages.filter((one) => one !== 'en'),
    replaceable: replaceable().map(({ id, plural }) => ({ id, plural })),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const read = materialIn(await request.formData(), person.school.languages);
  if (!read.ok) return data({ errors: read.errors }, { status: 400 });
  const id = newMaterialId(read.fields.name, secureRandom);
  await addMaterial(person.at, id, read.fields, person.id);
  throw redirect(`/fill/store/${id}?done=added`);
}

export default function AddMaterial({ loaderData, actionData }: Route.ComponentProps) {
  const { empty, languages, replaceable: others } = loaderData;
  const { value, set, forget, restored } = useRemembered<MaterialFields>('new material', empty);
  return (
    <Workplace>
      <Stack>
        <Heading
          title="Add a kind of part"
          action={
            <ButtonLink quiet href="/fill/store">
              The store
            </ButtonLink>
          }
        >
          What your school has and the catalogue does not know: it can be counted, bought, and stand in for
          another part.
        </Heading>
        {restored && (
          <KeptHere
            onDrop={() => {
              set(empty);
              forget();
            }}
          />
        )}
        <Panel aria-label="The kind of part">
          <MaterialForm
            value={{ ...empty, ...value }}
            onChange={(change) => set((old) => ({ ...old, ...change }))}
            onSubmit={forget}
            errors={actionData?.errors ?? {}}
            shipped={false}
            replaceable={others}
            languages={languages}
            action="Add it to the store"
          />
        </Panel>
      </Stack>
    </Workplace>
  );
}
