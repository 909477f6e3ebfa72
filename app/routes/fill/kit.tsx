import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { AGE_BANDS } from '~/core/games/kit/types';
import { buildSchema, kitAbout } from '~/core/kits/forms';
import { ASSURANCES } from '~/core/kits/assurance';
import { changeBetween, changeSays } from '~/core/kits/versions';
import { hazardsOf } from '~/core/kits/safety';
import { dueWords, showDay } from '~/core/lending/due';
import { randomTag, showTag } from '~/core/kits/tag';
import { PAPERS } from '~/core/paper/sheet';
import { count } from '~/core/words/numbers';
import { buildCopies, undoBuild } from '~/data/queries/building';
import { pageOfCopies, tagsOfRun } from '~/data/queries/copies';
import { findKit, listVariants, planOf } from '~/data/queries/kits';
import { changesOf, lateOf } from '~/server/changes';
import { secureRandom } from '~/server/random';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { saveKitForm } from '~/server/kits/save';
import { newLinkKey } from '~/server/links';
import { listMaterials } from '~/data/queries/materials';
import { catalogueOf } from '~/core/materials/school';
import { playsHeard } from '~/data/queries/listening';
import { followed, stopFollowing } from '~/data/queries/sharing';
import { bringUpToDate, builtBatches } from '~/data/queries/versions';
import { offersOf, freeNow } from '~/data/queries/store';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { costOfKit } from '~/server/kits/making';
import { forUnderThree, keepSafer } from '~/server/kits/safer';
import { recipeOf } from '~/server/threads';
import { today } from '~/server/today';
import { Follows } from '~/app/desk/Follows';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Changes, DraftNote, TooLate, type Late } from '~/app/ui/Changes';
import { Said } from '~/app/ui/Notices';
import { Empty, Heading, Row, Panel, Stack, State, Tag, Workplace } from '~/app/ui/Page';
import { same } from '~/core/check/merge';
import { firstOf, Pager, Table } from '~/app/ui/Table';
import { useDraft } from '~/app/ui/remember';
import { Contents, kitFields, KitForm, RecipeMargin, recipeOfDraft, shownOf, type KitDraft } from './KitForm';
import { BuildForm } from './BuildForm';
import { KitCost } from './KitCost';
import { KitSafety } from './KitSafety';
import { KitVersions, type Behind } from './KitVersions';
import type { Route } from './+types/kit';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.kit.name ?? 'Kit'} · Fern Basket` },
];

/** Copies on one page. */
const SIZE = 50;

export async function loader({ request, params }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const kit = isId(params.kitId) ? await findKit(at, params.kitId) : undefined;
  if (!kit) throw notFound('This kit');
  const search = new URL(request.url).searchParams;
  const first = firstOf(search, SIZE);
  const run = search.get('run');
  const written = await listMaterials(at);
  const catalogue = catalogueOf(written);
  const [page, fresh, recipe, changes, variants, follows, onHand, batches] = await Promise.all([
    pageOfCopies(at, kit.id, first, SIZE),
    isId(run) ? tagsOfRun(at, run) : [],
    // Reckoned beside the thread that answers: a full basket takes a while.
    recipeOf({ plan: planOf(kit), school: written }),
    changesOf(at, 'kit', kit.id),
    listVariants(at),
    followed(at, 'kit', kit.id),
    freeNow(at),
    builtBatches(at, kit.id),
  ]);
  // A version without what can hurt is looked for when somebody asks for it: that takes a moment.
  const safety = search.has('safer') ? await forUnderThree(at, kit, recipe.parts) : undefined;
  const offers = await offersOf(
    at,
    recipe.parts.map(({ material }) => material),
  );
  const [cost, heard] = await Promise.all([
    search.has('cost') ? costOfKit(at, kit, offers) : undefined,
    search.has('change') ? playsHeard(at, today(at)) : undefined,
  ]);
  return {
    kit,
    recipe: shownOf(recipe),
    behind: batches.flatMap(({ id, builtOn, home, out, ...before }): Behind[] => {
      const change = changeBetween(before, { plan: planOf(kit), parts: recipe.parts });
      return change ? [{ id, builtOn, home, out, says: changeSays(change, catalogue) }] : [];
    }),
    hazards: hazardsOf(recipe.parts, catalogue),
    cost,
    heard,
    safety,
    copies: page.copies.map(({ id, tag, builtOn, printedAt, readyAt, makingId, loan }) => ({
      id,
      tag,
      builtOn,
      printed: printedAt !== null,
      makingId: readyAt === null ? makingId : null,
      loan: loan && { familyName: loan.familyName, dueOn: loan.dueOn },
    })),
    found: page.found,
    first,
    fresh,
    changes,
    /** Sent with the form: one form builds once, however often it is sent. */
    formKey: crypto.randomUUID(),
    variants,
    onHand,
    offers,
    mayChange: person.role === 'coordinator',
    languages: person.school.languages,
    follows,
    today: today(at),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const form = await request.formData();
  const build = form.get('intent') === 'build' || form.get('intent') === 'undoBuild';
  const person = await requireRole(request, 'coordinator', ...(build ? (['helper'] as const) : []));
  const { at } = person;
  const kit = isId(params.kitId) ? await findKit(at, params.kitId) : undefined;
  if (!kit) throw notFound('This kit');
  const written = await listMaterials(at);
  const catalogue = catalogueOf(written);
  return byIntent(form, {
    stopFollowing: async () => {
      await stopFollowing(at, 'kit', kit.id, person.id);
      throw redirect(`/fill/${kit.id}`);
    },
    undoBuild: async () => {
      const run = form.get('run');
      if (isId(run) && (await undoBuild(at, run, kit.id, person.id)))
        throw redirect(`/fill/${kit.id}?undone=1`);
      return refuse(409, true, {
        copies: 'One of these copies was printed or lent meanwhile, so they stay.',
      });
    },
    upToDate: async () => {
      const batchId = form.get('batch');
      const { parts } = await recipeOf({ plan: planOf(kit), school: written });
      const { tags, lacks } = isId(batchId)
        ? await bringUpToDate(at, { batchId, kit, parts }, person.id)
        : { tags: [], lacks: undefined };
      if (lacks)
        return refuse(409, false, {
          behind: `${lacks.onHand} ${catalogue.of(lacks.material).plural} are free in the store, and these copies take ${lacks.need} more. Buy or count some first.`,
        });
      if (tags.length === 0)
        return refuse(409, false, { behind: 'None of these copies is at school and behind any more.' });
      throw redirect(`/fill/${kit.id}?updated=${tags.length}`);
    },
    safer: async () => {
      const { safer } = await forUnderThree(
        at,
        kit,
        (await recipeOf({ plan: planOf(kit), school: written })).parts,
      );
      if (!safer) return refuse(409, false, { '': 'No game of this kit is left without these parts.' });
      throw redirect(`/fill/${await keepSafer(at, kit, safer, person.id)}`);
    },
    build: async () => {
      const checked = checkForm(buildSchema, form);
      if (!checked.ok) return refuse(400, true, checked.errors);
      const formKey = form.get('formKey');
      if (!isId(formKey))
        return refuse(400, true, { copies: 'Load this page again, then build; nothing was built yet.' });
      if (kit.variants.length === 0) return refuse(400, true, { copies: 'Put a game into this kit first.' });
      const { runId, lacks } = await buildCopies(at, {
        kit,
        count: checked.value.copies,
        builtOn: today(at),
        builtBy: person.id,
        formKey,
        parts: (await recipeOf({ plan: planOf(kit), school: written })).parts,
        newTag: () => randomTag(secureRandom),
        newLinkKey,
        take: form.get('anyway') === 'yes' ? 'whatIsThere' : 'all',
      });
      if (lacks)
        return refuse(409, true, {
          copies: `The store has ${lacks.onHand} ${catalogue.of(lacks.material).plural}, and these copies take ${lacks.need}. Buy or count some first, build fewer, or tick that they come from elsewhere; nothing was built.`,
        });
      throw redirect(`/fill/${kit.id}?run=${runId}`);
    },
    save: async () => {
      const saved = await saveKitForm(at, form, person.id, kit.id);
      if (!saved.ok) return refuse(saved.status, false, saved.errors, saved.stale && lateOf(at, saved.stale));
      throw redirect(`/fill/${kit.id}?saved=1${saved.taken.map((field) => `&merged=${field}`).join('')}`);
    },
  });
}

/** What was refused: a build, or a change. */
const refuse = (status: number, build: boolean, errors: FieldErrors, late?: Late<KitDraft>) =>
  data({ build, errors, late }, { status });

export default function KitPage({ loaderData, actionData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const { kit, copies, fresh, variants, mayChange } = loaderData;
  const [search] = useSearchParams();
  const changing = search.has('change');
  const run = search.get('run');
  const { recipe } = loaderData;
  const errors: FieldErrors = actionData?.errors ?? {};
  if (mayChange && changing && !loaderData.follows)
    return (
      <Change
        key={`${kit.id} ${kit.version}`}
        kit={kit}
        recipe={recipe}
        variants={variants}
        errors={errors}
        late={actionData?.late}
        heard={loaderData.heard}
        languages={loaderData.languages}
        offers={loaderData.offers}
      />
    );
  return (
    <Workplace>
      <Stack>
        <Heading
          title={kit.name}
          action={
            mayChange &&
            !loaderData.follows && (
              <ButtonLink quiet href={`/fill/${kit.id}?change=1`}>
                Change this kit
              </ButtonLink>
            )
          }
        >
          {AGE_BANDS[kit.ageBand]}, {count(kit.players, 'player')}:{' '}
          {kit.variants.map((variant) => variant.name).join(', ')}. {PAPERS[kit.paper].name} paper.{' '}
          {ASSURANCES[kit.assurance]}. Out for {count(kit.daysOut, 'day')}.
        </Heading>
        {fresh.length > 0 && (
          <Said
            kind="done"
            word="Built"
            live
            action={
              <Row $gap="0.6rem">
                <ButtonLink
                  href={`/print?run=${run}${kit.languages.length ? `&home=${kit.languages[0]}` : ''}`}
                >
                  {`Print ${fresh.length === 1 ? 'its pack' : `${fresh.length} packs`}`}
                </ButtonLink>
                <Form method="post">
                  <input type="hidden" name="intent" value="undoBuild" />
                  <input type="hidden" name="run" value={run ?? ''} />
                  <Button type="submit" quiet>
                    Undo this build
                  </Button>
                </Form>
              </Row>
            }
          >
            {fresh.length === 1 ? 'One copy has' : `${fresh.length} copies have`} a tag now:{' '}
            {fresh.map(showTag).join(', ')}.
          </Said>
        )}
        {search.has('undone') && (
          <Said kind="done" word="Undone" live>
            These copies and their tags are gone, as if they had not been built.
          </Said>
        )}
        {search.has('saved') && !run && (
          <Said kind="done" word="Saved" live>
            Copies built before stay as they were; new ones follow the kit as it is now.
            {search.has('merged') &&
              ` Somebody else had changed meanwhile, and it stays: ${search.getAll('merged').map(kitFields(variants, catalogue).label).join(', ')}.`}
          </Said>
        )}
        {search.has('updated') && (
          <Said kind="done" word="Up to date" live>
            {count(Number(search.get('updated')), 'copy', 'copies')} of an earlier version are as the kit is
            now.
          </Said>
        )}
        {loaderData.follows && mayChange && <Follows school={loaderData.follows} what="This kit" />}
        <Contents recipe={recipe} />
        <Panel aria-labelledby="build">
          <BuildForm
            formKey={loaderData.formKey}
            error={actionData?.build ? errors.copies : undefined}
            parts={recipe.parts}
            onHand={loaderData.onHand}
            offers={loaderData.offers}
            kitId={kit.id}
          />
        </Panel>
        {mayChange && <KitVersions behind={loaderData.behind} problem={errors.behind} />}
        <Panel aria-labelledby="copies">
          <Stack $gap="0.6rem">
            <h2 id="copies">Copies</h2>
            {copies.length === 0 ? (
              <Empty title="No copy yet">
                Build the first ones above: each gets a tag and labels of its own.
              </Empty>
            ) : (
              <>
                <Table
                  rows={copies}
                  rowKey={({ id }) => id}
                  columns={[
                    {
                      head: 'Tag',
                      cell: ({ id, tag }) => (
                        <Link to={`/copies/${id}`}>
                          <Tag>{showTag(tag)}</Tag>
                        </Link>
                      ),
                    },
                    { head: 'Built', cell: ({ builtOn }) => showDay(builtOn) },
                    {
                      head: 'Pack',
                      cell: ({ id, printed }) =>
                        printed ? (
                          'printed'
                        ) : (
                          <Link
                            to={`/print?copy=${id}${kit.languages.length ? `&home=${kit.languages[0]}` : ''}`}
                          >
                            print it
                          </Link>
                        ),
                    },
                    {
                      head: 'Where',
                      cell: ({ loan, makingId }) =>
                        makingId ? (
                          <Link to={`/fill/runs/${makingId}`}>being made</Link>
                        ) : loan ? (
                          `with ${loan.familyName}, ${dueWords(loan.dueOn, loaderData.today)}`
                        ) : (
                          <State tone="calm">at school</State>
                        ),
                    },
                  ]}
                />
                <Pager first={loaderData.first} shown={copies.length} found={loaderData.found} size={SIZE} />
              </>
            )}
          </Stack>
        </Panel>
        <KitSafety
          kitId={kit.id}
          hazards={loaderData.hazards}
          asked={loaderData.safety}
          mayKeep={mayChange}
        />
        <KitCost kitId={kit.id} cost={loaderData.cost} finish={kit.finish} />
      </Stack>
      <Stack>
        <RecipeMargin recipe={recipe} offers={loaderData.offers} />
        {mayChange && <Changes rows={loaderData.changes} words={kitFields(variants, catalogue)} />}
      </Stack>
    </Workplace>
  );
}

function Change({
  kit,
  recipe: stored,
  variants,
  errors,
  late,
  heard,
  languages,
  offers,
}: Pick<
  Route.ComponentProps['loaderData'],
  'kit' | 'recipe' | 'variants' | 'heard' | 'languages' | 'offers'
> & {
  errors: FieldErrors;
  late?: Late<KitDraft> | undefined;
}) {
  const catalogue = useCatalogue();
  const start: KitDraft = {
    ...kitAbout(kit),
    variantIds: kit.variants.map((variant) => variant.id),
  };
  const draft = useDraft<KitDraft>(`kit ${kit.id}`, { value: start, version: kit.version }, late, errors);
  const words = kitFields(variants, catalogue);
  // What was kept by an earlier edition of the form knows fewer fields.
  const value = { ...start, ...draft.value };
  const recipe = same(value, start) ? stored : shownOf(recipeOfDraft(value, variants, catalogue));
  return (
    <Workplace>
      <Stack>
        <Heading
          title={`Change ${kit.name}`}
          action={
            <ButtonLink quiet href={`/fill/${kit.id}`} onClick={draft.drop}>
              Leave it as it was
            </ButtonLink>
          }
        />
        {late ? (
          <TooLate late={late} draft={draft} words={words} what="this kit" />
        ) : (
          <DraftNote draft={draft} words={words} />
        )}
        <Panel aria-label="The kit">
          <KitForm
            draft={value}
            version={draft.version}
            onChange={(change) => draft.set((old) => ({ ...old, ...change }))}
            onSubmit={draft.sent}
            variants={variants}
            errors={errors}
            action="Save the changes"
            heard={heard}
            languages={languages}
          />
        </Panel>
        <Contents recipe={recipe} />
      </Stack>
      <RecipeMargin recipe={recipe} offers={offers} />
    </Workplace>
  );
}
