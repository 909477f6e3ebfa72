import { data, redirect } from 'react-router';
import { checkFamily, NEW_FAMILY } from '~/core/lending/families';
import { createFamily } from '~/data/queries/families';
import { requireRole } from '~/server/people/session';
import { Faint, Heading, Margin, Panel, Stack, Workplace } from '~/app/ui/Page';
import { KeptHere } from '~/app/ui/Changes';
import { useRemembered } from '~/app/ui/remember';
import { FamilyForm } from './FamilyForm';
import type { Route } from './+types/family-new';

export const meta: Route.MetaFunction = () => [{ title: 'Add a family · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { school } = await requireRole(request, 'coordinator');
  return { languages: school.languages };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const checked = checkFamily(await request.formData());
  if (!checked.ok) return data({ errors: checked.errors }, { status: 400 });
  const made = await createFamily(at, checked.value, person.id);
  if (!made)
    return data(
      { errors: { name: `There is a family called “${checked.value.name}” already.` } },
      { status: 409 },
    );
  throw redirect(`/lend/families?added=${made.id}`);
}

export default function NewFamily({ loaderData, actionData }: Route.ComponentProps) {
  const { value, set, forget, restored } = useRemembered('new family', NEW_FAMILY);
  const drop = (): void => {
    set(NEW_FAMILY);
    forget();
  };
  return (
    <Workplace>
      <Stack>
        <Heading title="Add a family" />
        {restored && <KeptHere onDrop={drop} />}
        <Panel>
          <FamilyForm
            value={value}
            onChange={(change) => set((old) => ({ ...old, ...change }))}
            onSubmit={forget}
            errors={actionData?.errors ?? {}}
            languages={loaderData.languages}
            action="Add this family"
          />
        </Panel>
      </Stack>
      <Margin label="About this page">
        <Faint>
          Only what changes a decision is kept: of a child a nickname or an initial and the grade, no birth
          dates, nothing about income or status. A family can be forgotten on request.
        </Faint>
      </Margin>
    </Workplace>
  );
}
