import { data, Link, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { shareOut, type Can } from '~/core/kits/can';
import { MOST_IN_RUN, packLanguages, runSchema, type RunFinish } from '~/core/kits/forms';
import type { Finish } from '~/core/paper/sheet';
import { randomTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { count, money } from '~/core/words/numbers';
import type { SchoolHandle } from '~/data/db';
import { catalogueNow, listMaterials } from '~/data/queries/materials';
import { familiesByLanguage } from '~/data/queries/families';
import { findKit, listKits, type KitWithVariants } from '~/data/queries/kits';
import { schoolPrinting } from '~/data/queries/schools';
import { startMaking } from '~/data/queries/making';
import { freeNow, offersOf } from '~/data/queries/store';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { stepsOfKit } from '~/server/kits/making';
import { newLinkKey } from '~/server/links';
import { requireRole } from '~/server/people/session';
import { secureRandom } from '~/server/random';
import { afternoonOf, canOf } from '~/server/threads';
import { today } from '~/server/today';
import { AfternoonMargin, HandBoxes } from '~/app/desk/Afternoon';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Margin, Panel, Row, Stack, State, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/run-new';

export const meta: Route.MetaFunction = () => [{ title: 'Plan a build run · Fern Basket' }];

const copiesIn = (text: unknown): number => {
  const said = typeof text === 'string' ? text.trim() : '';
  return /^\d{1,3}$/.test(said) ? Number(said) : said === '' ? 0 : Number.NaN;
};
const TOO_MANY = `A run makes from 1 to ${MOST_IN_RUN} copies.`;

/** The finish a kit is made in: its own, unless another one is asked for. */
const finishOf = (kit: KitWithVariants, { finish }: { finish: RunFinish }): Finish =>
  finish === 'own' ? kit.finish : finish;

/** The kits that are asked for with so many copies; a fault by kit where it is no number of copies. */
async function wantedIn(at: SchoolHandle, fields: URLSearchParams) {
  const errors: FieldErrors = {};
  const wanted: { kit: KitWithVariants; copies: number }[] = [];
  for (const { id } of await listKits(at)) {
    const copies = copiesIn(fields.get(`kit ${id}`));
    if (!(copies <= MOST_IN_RUN)) errors[`kit ${id}`] = `A whole number from 0 to ${MOST_IN_RUN}.`;
    else if (copies > 0) {
      const kit = await findKit(at, id);
      if (kit && kit.variants.length) wanted.push({ kit, copies });
      else errors[`kit ${id}`] = 'There is no game in this kit yet.';
    }
  }
  if (wanted.reduce((sum, { copies }) => sum + copies, 0) > MOST_IN_RUN) errors[''] = TOO_MANY;
  return { wanted, errors };
}

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at, school } = person;
  const search = new URL(request.url).searchParams;
  const [kits, free, families, { wanted, errors }] = await Promise.all([
    listKits(at),
    freeNow(at),
    familiesByLanguage(at),
    wantedIn(at, search),
  ]);
  const usual = checkForm(runSchema, {});
  const checked = checkForm(runSchema, Object.fromEntries(search));
  if (!checked.ok) Object.assign(errors, checked.errors);
  const how = checked.ok ? checked.value : (usual as Extract<typeof usual, { ok: true }>).value;
  const made = Object.keys(errors).length
    ? []
    : await Promise.all(
        wanted.map(async ({ kit, copies }) => ({
          kit,
          copies,
          ...(await stepsOfKit(at, kit, finishOf(kit, how))),
        })),
      );
  const problem = made.find((one) => one.problem !== undefined);
  const batches = made.flatMap((one) => ('steps' in one ? [{ steps: one.steps, copies: one.copies }] : []));
  const stored = Object.keys(free).length > 0;
  const ready = made.length > 0 && !problem;
  return {
    kits: kits.map(({ id, name, copies }) => ({ id, name, copies })),
    asked: Object.fromEntries(wanted.map(({ kit, copies }) => [kit.id, copies])),
    how,
    errors,
    problem: problem && `${problem.kit.name}: ${problem.problem}`,
    stored,
    can:
      ready && stored
        ? await canOf({
            kits: made.map(({ kit, copies, parts }) => ({ id: kit.id, copies, parts })),
            free,
            offers: await offersOf(at, [
              ...new Set(made.flatMap(({ parts }) => parts.map((p) => p.material))),
            ]),
            budgetCents: how.budget * 100,
            school: await listMaterials(at),
          })
        : undefined,
    plan: ready
      ? await afternoonOf({
          batches,
          printing: await schoolPrinting(at),
          helpers: how.helpers,
          laminators: how.laminators,
          cutters: how.cutters,
        })
      : undefined,
    batches,
    ready,
    // Packs are in two languages: those of families that read another than English are shared out among these.
    shares: made.map(({ kit, copies }) => {
      const languages = packLanguages(kit, school.languages);
      return {
        id: kit.id,
        name: kit.name,
        copies,
        languages: languages.length
          ? shareOut(
              copies,
              languages.map((language) => families[language] ?? 0),
            ).map((share, i) => ({ language: languages[i]!, share }))
          : [{ language: 'en' as const, share: copies }],
      };
    }),
    formKey: crypto.randomUUID(),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id: personId, school } = await requireRole(request, 'coordinator', 'helper');
  const form = await request.formData();
  const refuse = (status: number, problem: string) => data({ problem }, { status });
  return byIntent(form, {
    start: async () => {
      const fields = new URLSearchParams(
        [...form].flatMap(([name, value]) => (typeof value === 'string' ? [[name, value]] : [])),
      );
      const { wanted, errors } = await wantedIn(at, fields);
      const checked = checkForm(runSchema, Object.fromEntries(fields));
      const formKey = form.get('formKey');
      if (!checked.ok || Object.keys(errors).length || wanted.length === 0 || !isId(formKey))
        return refuse(400, `${errors[''] ?? TOO_MANY} Say again what is made; nothing was started.`);
      const { helpers, laminators, cutters, finish } = checked.value;
      const batches = [];
      for (const { kit, copies } of wanted) {
        const languages = school.languages.flatMap((language) =>
          Array.from({ length: copiesIn(fields.get(`${kit.id} ${language}`)) || 0 }, () => language),
        );
        if (languages.length !== copies)
          return refuse(
            400,
            `${kit.name}: ${count(languages.length, 'pack')} in these languages for ${count(copies, 'copy', 'copies')}. Make them as many; nothing was started.`,
          );
        const made = await stepsOfKit(at, kit, finishOf(kit, { finish }));
        if (made.problem !== undefined) return refuse(400, `${kit.name}: ${made.problem}`);
        batches.push({
          kit,
          languages,
          finish: finishOf(kit, { finish }),
          parts: made.parts,
          steps: made.steps,
        });
      }
      const started = await startMaking(at, {
        batches,
        helpers,
        laminators,
        cutters,
        startedOn: today(at),
        startedBy: personId,
        formKey,
        anyway: form.get('anyway') === 'yes',
        newTag: () => randomTag(secureRandom),
        newLinkKey,
      });
      if ('lacks' in started) {
        const { material, onHand, need } = started.lacks;
        return refuse(
          409,
          `${onHand} ${(await catalogueNow(at)).of(material).plural} are free in the store, and this run takes ${need}. Buy or count some first, make fewer, or tick that they will come; nothing was started.`,
        );
      }
      throw redirect(`/fill/runs/${started.makingId}?started=1`);
    },
  });
}

export default function NewRun({ loaderData, actionData }: Route.ComponentProps) {
  const { kits, asked, how, errors, can, plan, batches, shares, ready, stored, problem } = loaderData;
  const busy = useSending();
  const short = can?.needs.filter((one) => one.short > 0) ?? [];
  return (
    <Workplace>
      <Stack>
        <Heading
          title="Plan a build run"
          action={
            <ButtonLink quiet href="/fill/runs">
              Build runs
            </ButtonLink>
          }
        >
          How many of which kits, and is there enough for them?
        </Heading>
        {kits.length === 0 ? (
          <Empty title="No kit yet" action={<ButtonLink href="/fill/new">Start a new kit</ButtonLink>}>
            A build run makes copies of kits.
          </Empty>
        ) : (
          <Panel aria-labelledby="what">
            <Form method="get">
              <Stack $gap="0.8rem">
                <h2 id="what">What is made</h2>
                <Row $gap="1.2rem">
                  {kits.map(({ id, name }) => (
                    <NumberBox
                      key={id}
                      name={`kit ${id}`}
                      label={name}
                      min={0}
                      max={MOST_IN_RUN}
                      defaultValue={asked[id] ?? 0}
                      error={errors[`kit ${id}`]}
                    />
                  ))}
                </Row>
                <Row $gap="1.2rem">
                  <HandBoxes how={how} errors={errors} />
                  <NumberBox
                    name="budget"
                    label="Dollars to buy with"
                    min={0}
                    max={100_000}
                    defaultValue={how.budget}
                    error={errors.budget}
                  />
                </Row>
                <Row>
                  <Button type="submit" isPending={busy}>
                    Reckon this run
                  </Button>
                </Row>
              </Stack>
            </Form>
          </Panel>
        )}
        {(problem ?? errors['']) && <Said kind="stop">{problem ?? errors['']}</Said>}
        {actionData?.problem && (
          <Said kind="stop" word="Not started" live>
            {actionData.problem}
          </Said>
        )}
        {ready && !stored && (
          <Said kind="know">
            The store is empty, so nothing is said about what to buy.{' '}
            <Link to="/fill/store/count">Count the store</Link> to be told.
          </Said>
        )}
        {can && <Answer can={can} kits={shares} budget={how.budget} />}
        {ready && (
          <Panel aria-labelledby="start">
            <Form method="post">
              <input type="hidden" name="intent" value="start" />
              <input type="hidden" name="formKey" value={loaderData.formKey} />
              {(['helpers', 'laminators', 'cutters', 'finish', 'budget'] as const).map((name) => (
                <input key={name} type="hidden" name={name} value={how[name]} />
              ))}
              <Stack $gap="0.8rem">
                <h2 id="start">In which languages</h2>
                <Faint>Every pack is in English and one of these; shared out as your families read.</Faint>
                {shares.map(({ id, name, copies, languages }) => (
                  <Row key={id} $gap="1.2rem">
                    <input type="hidden" name={`kit ${id}`} value={copies} />
                    <strong style={{ minWidth: '11rem' }}>
                      {name}, {count(copies, 'copy', 'copies')}
                    </strong>
                    {languages.map(({ language, share }) => (
                      <NumberBox
                        key={`${language} ${copies}`}
                        name={`${id} ${language}`}
                        label={aboutLanguage(language).name}
                        min={0}
                        max={MOST_IN_RUN}
                        defaultValue={share}
                      />
                    ))}
                  </Row>
                ))}
                {short.length > 0 && (
                  <TickBox name="anyway" value="yes">
                    Start all the same: what is short will come
                  </TickBox>
                )}
                <Row>
                  <Button type="submit" isPending={busy}>
                    Start this run
                  </Button>
                </Row>
                <Faint>
                  Each copy gets its tag, and its parts are spoken for. A copy can be lent when it is made and
                  checked.
                </Faint>
              </Stack>
            </Form>
          </Panel>
        )}
      </Stack>
      {plan ? (
        <AfternoonMargin plan={plan} batches={batches} names={shares.map(({ name }) => name)} />
      ) : (
        <Margin label="Reckonings">
          <Faint>Say what is made, and this tells how long it takes and whether the store has it.</Faint>
        </Margin>
      )}
    </Workplace>
  );
}

const told = (copies: Record<string, number>, kits: readonly { id: string; name: string }[]): string =>
  kits
    .filter(({ id }) => (copies[id] ?? 0) > 0)
    .map(({ id, name }) => `${copies[id]!} of ${name}`)
    .join(', ') || 'none';

/** Can I? What is short and what to buy, what can be made now, what the money allows. */
function Answer({
  can,
  kits,
  budget,
}: {
  can: Can;
  kits: readonly { id: string; name: string; copies: number }[];
  budget: number;
}) {
  const catalogue = useCatalogue();
  const wanted = kits.reduce((sum, { copies }) => sum + copies, 0);
  const sum = (copies: Record<string, number>): number =>
    Object.values(copies).reduce((total, n) => total + n, 0);
  const short = can.needs.filter((one) => one.short > 0);
  return (
    <Panel aria-labelledby="can">
      <Stack $gap="0.7rem">
        <h2 id="can">Can I?</h2>
        {short.length === 0 ? (
          <Said kind="done" word="Yes">
            The store has enough for {count(wanted, 'copy', 'copies')}.
          </Said>
        ) : (
          <Said kind="mind" word="Not all of them now">
            <p>
              With what is free: {sum(can.now)} of {wanted} copies ({told(can.now, kits)}).
              {budget > 0 &&
                ` With ${money(budget * 100)} to spend: ${sum(can.withBudget.copies)} (${told(can.withBudget.copies, kits)}), for ${money(can.withBudget.costCents)}.`}
              {can.costCents === undefined
                ? ' Something of what is short is not sold to you yet: add an offer in the store.'
                : ` All of them: buy for ${money(can.costCents)}.`}
            </p>
          </Said>
        )}
        <Table
          rows={can.needs}
          rowKey={({ material }) => material}
          columns={[
            {
              head: 'Part',
              cell: ({ material }) => (
                <Link to={`/fill/store/${material}`}>{catalogue.of(material).plural}</Link>
              ),
            },
            { head: 'Taken', cell: ({ need }) => need },
            { head: 'Free', cell: ({ free }) => free ?? 'not counted' },
            {
              head: 'So',
              cell: ({ short: lacks, free }) =>
                lacks > 0 ? (
                  <State tone="hand">{`${lacks} short`}</State>
                ) : free === null ? (
                  <State tone="wait">taken to be enough</State>
                ) : (
                  <State tone="calm">enough</State>
                ),
            },
            {
              head: 'Buy',
              cell: ({ packs, costCents, short: lacks }) =>
                packs ? `${packs.join(', ')}: ${money(costCents!)}` : lacks > 0 ? 'no offer' : '',
            },
          ]}
        />
      </Stack>
    </Panel>
  );
}
