import { data, redirect } from 'react-router';
import { ENOUGH_ANSWERS, LOAN_DAYS, USUAL_PLAYS } from '~/core/kits/loan';
import { listVariants } from '~/data/queries/kits';
import { playsHeard } from '~/data/queries/listening';
import { saveKitForm } from '~/server/kits/save';
import { requireRole } from '~/server/people/session';
import { today } from '~/server/today';
import { useCatalogue } from '~/app/ui/catalogue';
import { Heading, Stack, Workplace, Panel } from '~/app/ui/Page';
import { KeptHere } from '~/app/ui/Changes';
import { useRemembered } from '~/app/ui/remember';
import { Contents, KitForm, RecipeMargin, recipeOfDraft, shownOf, type KitDraft } from './KitForm';
import type { Route } from './+types/new';

export const meta: Route.MetaFunction = () => [{ title: 'New kit · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator');
  const [variants, heard] = await Promise.all([listVariants(at), playsHeard(at, today(at))]);
  return { variants, paper: school.paper, languages: school.languages, heard };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const saved = await saveKitForm(at, await request.formData(), person.id);
  if (!saved.ok) return data({ errors: saved.errors }, { status: saved.status });
  throw redirect(`/fill/${saved.id}?saved=1`);
}

export default function NewKit({ loaderData, actionData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const { variants, paper, heard, languages } = loaderData;
  const empty: KitDraft = {
    name: '',
    ageBand: 'g1',
    players: 2,
    paper,
    assurance: 'usual',
    finish: 'plain',
    daysOut: LOAN_DAYS,
    // What families told, once enough of them have.
    playsAWeek:
      heard.answers >= ENOUGH_ANSWERS ? Math.min(21, Math.max(1, Math.round(heard.playsAWeek))) : USUAL_PLAYS,
    languages: [],
    swaps: {},
    variantIds: [],
  };
  const { value: kept, set, forget, restored } = useRemembered<KitDraft>('new kit', empty);
  // What was kept by an earlier edition of the form knows fewer fields.
  const draft = { ...empty, ...kept };
  const drop = (): void => {
    set(empty);
    forget();
  };
  const recipe = shownOf(recipeOfDraft(draft, variants, catalogue));
  return (
    <Workplace>
      <Stack>
        <Heading title="A new kit">
          For whom is it, and what goes in? The margin counts as you choose.
        </Heading>
        {restored && <KeptHere onDrop={drop} />}
        <Panel aria-label="The kit">
          <KitForm
            draft={draft}
            onChange={(change) => set((old) => ({ ...old, ...change }))}
            onSubmit={forget}
            variants={variants}
            errors={actionData?.errors ?? {}}
            action="Save this kit"
            heard={heard}
            languages={languages}
          />
        </Panel>
        <Contents recipe={recipe} />
      </Stack>
      <RecipeMargin recipe={recipe} />
    </Workplace>
  );
}
