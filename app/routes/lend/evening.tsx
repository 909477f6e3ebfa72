import { useState } from 'react';
import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkJson, type FieldErrors } from '~/core/check/check';
import { clockTime, planSchema, shortfalls, startFrom, timesOf, writeHelpers } from '~/core/evening/plan';
import { ALL } from '~/core/lending/choices';
import { daysAfter, daysBetween, showDay } from '~/core/lending/due';
import { count } from '~/core/words/numbers';
import {
  countBack,
  createEvening,
  findEvening,
  rehearsals,
  removeEvening,
  saveEvening,
} from '~/data/queries/evenings';
import { doorOf } from '~/data/queries/gatherings';
import { createRound } from '~/data/queries/rounds';
import { catalogueNow } from '~/data/queries/materials';
import { PLAN_CHANGES, type PlanAsked, type PlanChange } from '~/server/evening-changes';
import {
  expectedOf,
  heldOf,
  invitedOf,
  missingOf,
  openDoor,
  partsFor,
  solvedOf,
  tableGames,
} from '~/server/evenings';
import { byIntent, textIn, UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { inviteAll, thankAll, type ToldMany } from '~/server/lending/invitations';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { today as todayAtSchool } from '~/server/today';
import { EveningParts } from '~/app/desk/EveningParts';
import { LendWays } from '~/app/desk/LendWays';
import { Button, ButtonLink } from '~/app/ui/Button';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Empty, Entered, Entries, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { AskThem, HallRules, HoldIt } from './EveningHeld';
import { AtTables, WhenItIs, WhoComes, WhoHelps } from './EveningForms';
import { Turns } from './Turns';
import type { Route } from './+types/evening';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Evening'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const found = isId(params.eveningId) ? await findEvening(at, params.eveningId) : undefined;
  if (!found) throw notFound('This evening');
  const { id, name, onDay, startsAt, plan, solved, version, setAside } = found;
  const [invited, parts, rehearsed, held] = await Promise.all([
    invitedOf(at),
    partsFor(at, { plan, rotation: solved?.rotation, setAside }),
    rehearsals(at),
    heldOf(at, id),
  ]);
  return {
    id,
    name,
    onDay,
    startsAt,
    plan,
    version,
    helpers: writeHelpers(plan.helpers),
    invited: invited.reduce((sum, { families }) => sum + families, 0),
    expected: expectedOf(invited, plan),
    rehearsed: rehearsed.map(({ helper, gameId }) => ({ helper, gameId })),
    held,
    over: daysBetween(todayAtSchool(at), onDay) < 0,
    begun: daysBetween(todayAtSchool(at), onDay) <= 0,
    games: tableGames(),
    rotation: solved?.rotation,
    lacks: solved?.rotation ? shortfalls(plan, solved.rotation, solved.help) : [],
    why: solved?.why,
    parts,
    setAside,
    times: timesOf({ startsAt }, plan).map(({ from, to }) => `${clockTime(from)} to ${clockTime(to)}`),
  };
}

/** Another evening is proposed for so many days from now. */
const NEXT_DAYS = 28;

export async function action({ request, params }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const found = isId(params.eveningId) ? await findEvening(at, params.eveningId) : undefined;
  if (!found) throw notFound('This evening');
  const { id, name, onDay, startsAt, plan, solved, setAside } = found;
  const form = await request.formData();
  const answer = (more: { errors?: FieldErrors; told?: ToldMany; of?: 'invite' | 'thank' }, status = 200) =>
    data({ errors: {}, told: undefined, of: undefined, ...more }, { status });
  const refuse = (errors: FieldErrors, status = 400) => answer({ errors }, status);
  const openedOn = versionIn(form);
  if (!openedOn) return refuse({ '': UNKNOWN_VERSION });
  const stale = () =>
    refuse(
      { '': 'Somebody else has changed this evening meanwhile. Load it again; nothing was changed.' },
      409,
    );
  const change = (read: (asked: PlanAsked) => PlanChange | Promise<PlanChange>) => async () => {
    const changed = await read({ at, form, plan, rotation: solved?.rotation });
    if (changed === 'stale') return stale();
    if (!changed.ok) return refuse(changed.errors);
    const checked = checkJson(planSchema, { ...plan, ...changed.plan });
    if (!checked.ok) return refuse({ '': Object.values(checked.errors).join(' ') });
    const saved = await saveEvening(at, id, openedOn, {
      ...changed.about,
      plan: checked.value,
      solved: await solvedOf(checked.value, await rehearsals(at)),
    });
    if (!saved) return stale();
    throw redirect(`/lend/evenings/${id}`);
  };
  return byIntent(form, {
    ...Object.fromEntries(Object.entries(PLAN_CHANGES).map(([intent, read]) => [intent, change(read)])),
    invite: async () => {
      if (daysBetween(todayAtSchool(at), onDay) < 0)
        return refuse({ '': 'The day is over: nobody is asked any more.' });
      return answer({
        told: await inviteAll(at, { id, name, onDay, startsAt }, todayAtSchool(at)),
        of: 'invite',
      });
    },
    thank: async () => {
      const door = await doorOf(at, id);
      if (!door) return refuse({ '': 'Nobody has come yet: set up the table at the door first.' });
      return answer({ told: await thankAll(at, { id, name }, door.id, todayAtSchool(at)), of: 'thank' });
    },
    door: async () => {
      const door = await openDoor(at, found, personId);
      throw redirect(`/lend/tables?table=${door.id}`);
    },
    handOut: async () => {
      const door = await doorOf(at, id);
      if (!door) return refuse({ '': 'Nobody has come yet: set up the table at the door first.' });
      const round = await createRound(at, {
        name: name.slice(0, 80),
        onDay,
        choices: { ...ALL, gathering: door.id },
        personId,
      });
      throw redirect(`/lend/rounds/${round}`);
    },
    another: async () => {
      const next = startFrom(plan);
      const made = await createEvening(at, {
        name,
        startsAt,
        onDay: daysAfter(todayAtSchool(at), NEXT_DAYS),
        plan: next,
        solved: (await solvedOf(next, await rehearsals(at))) ?? undefined,
        personId,
      });
      throw redirect(`/lend/evenings/${made}#when`);
    },
    setAside: async () => {
      const { wanted } = await partsFor(at, { plan, rotation: solved?.rotation, setAside });
      if (Object.keys(wanted).length === 0)
        return refuse({ '': 'No table needs anything of the store: propose games for the tables first.' });
      return (await saveEvening(at, id, openedOn, { setAside: wanted }))
        ? redirect(`/lend/evenings/${id}#parts`)
        : stale();
    },
    freeAgain: async () =>
      (await saveEvening(at, id, openedOn, { setAside: null }))
        ? redirect(`/lend/evenings/${id}#parts`)
        : stale(),
    countBack: async () => {
      if (!setAside) return stale();
      const catalogue = await catalogueNow(at);
      const read = missingOf(setAside, (material) => textIn(form, `back ${material}`).trim(), catalogue);
      if (!read.ok) return refuse(read.errors);
      const done = await countBack(at, id, openedOn, read.missing, personId);
      if (done === 'stale') return stale();
      if (!done.ok)
        return refuse({
          [`back ${done.material}`]: `The store has ${done.onHand} on hand and cannot lose ${done.need}: count it first.`,
        });
      throw redirect(`/lend/evenings/${id}?back=1#parts`);
    },
    remove: async () => {
      await removeEvening(at, id);
      throw redirect('/lend/evenings');
    },
  });
}

/** The parts of the page, in the order of the work. */
const PARTS = [
  ['comes', '1. Who comes'],
  ['tables', '2. Tables and their games'],
  ['helpers', '3. Helpers'],
  ['rotation', '4. Who sits where'],
  ['parts', '5. What stands on the tables'],
  ['ask', 'Ask families to come'],
  ['hold', 'Hold it, and after'],
  ['hall', 'Rules for the hall'],
  ['when', 'When it is'],
] as const;

export default function EveningPage({ loaderData, actionData }: Route.ComponentProps) {
  const {
    id,
    name,
    onDay,
    startsAt,
    plan,
    version,
    helpers,
    invited,
    expected,
    games,
    rotation,
    lacks,
    why,
    times,
    parts,
    setAside,
    rehearsed,
    held,
    over,
    begun,
  } = loaderData;
  const told = actionData?.told;
  const [removing, setRemoving] = useState(false);
  const errors: FieldErrors = actionData?.errors ?? {};
  const hidden = <input type="hidden" name="version" value={version} />;
  const people = plan.groups.reduce((sum, { size }) => sum + size, 0);
  const seats = plan.tables.reduce((sum, one) => sum + one.seats, 0);
  // On the day itself, and after, what is done at the door comes first.
  const holdIt = <HoldIt held={held} hidden={hidden} told={actionData?.of === 'thank' ? told : undefined} />;
  return (
    <Workplace>
      <Stack>
        <LendWays coordinates />
        <Heading
          title={name}
          action={
            <Row $gap="0.6rem">
              {rotation && (
                <ButtonLink href={`/lend/evenings/${id}/clock`} target="_blank">
                  Open the clock for the wall
                </ButtonLink>
              )}
              <ButtonLink quiet href="/lend/evenings">
                All evenings
              </ButtonLink>
            </Row>
          }
        >
          {showDay(onDay)}, {times[0]?.replace(/ to .*/, '')}: who sits where in which round, and who hosts?
        </Heading>
        <NotSaved errors={errors} />
        {begun && holdIt}
        <WhoComes
          key={`comes ${version}`}
          plan={plan}
          invited={invited}
          expected={expected}
          hidden={hidden}
          errors={errors}
        />
        <AtTables
          key={`tables ${version}`}
          plan={plan}
          games={games}
          people={people}
          hidden={hidden}
          errors={errors}
        />
        <WhoHelps key={`helpers ${version}`} helpers={helpers} hidden={hidden} errors={errors} />
        <Panel aria-labelledby="rotation">
          <Stack $gap="0.7rem">
            <h2 id="rotation">4. Who sits where</h2>
            {why && (
              <Said kind="stop" word="It cannot be so">
                {why}
              </Said>
            )}
            {!rotation && !why && (
              <Empty title="Nothing to plan yet">Say who comes and how many tables there are.</Empty>
            )}
            {rotation && (
              <Turns
                plan={plan}
                rotation={rotation}
                rehearsed={rehearsed}
                eveningId={id}
                version={version}
                hidden={hidden}
              />
            )}
            {lacks.length > 0 && (
              <Said kind="mind" word="What cannot be had">
                <ul>
                  {lacks.map((one) => (
                    <li key={one}>{one}</li>
                  ))}
                </ul>
              </Said>
            )}
          </Stack>
        </Panel>
        {plan.tables.some(({ game }) => game) && (
          <EveningParts
            key={`parts ${version}`}
            parts={parts}
            setAside={setAside}
            hidden={hidden}
            errors={errors}
          />
        )}
        <AskThem
          held={held}
          over={over}
          hidden={hidden}
          told={actionData?.of === 'invite' ? told : undefined}
        />
        {!begun && holdIt}
        <HallRules key={`hall ${version}`} plan={plan} hidden={hidden} errors={errors} />
        <WhenItIs
          key={`when ${version}`}
          plan={plan}
          name={name}
          onDay={onDay}
          startsAt={startsAt}
          hidden={hidden}
          errors={errors}
        />
        <Form method="post">
          {hidden}
          {removing ? (
            <Row $gap="0.6rem">
              <Button type="submit" clay name="intent" value="remove">
                Delete this plan for good
              </Button>
              <Button quiet onPress={() => setRemoving(false)}>
                Keep it
              </Button>
            </Row>
          ) : (
            <Button quiet clay onPress={() => setRemoving(true)}>
              Delete this plan …
            </Button>
          )}
        </Form>
      </Stack>
      <Margin label="Reckonings">
        <nav aria-label="On this page">
          <ul>
            {PARTS.map(([part, label]) => (
              <li key={part}>
                <a href={`#${part}`}>{label}</a>
              </li>
            ))}
          </ul>
        </nav>
        <Entries>
          <Entered
            label="People"
            number={String(people)}
            unit={`for ${count(seats, 'seat')}`}
            reason={`${count(plan.groups.length, 'group')} at ${count(plan.tables.length, 'table')}.`}
          />
          {rotation && (
            <Entered
              label="Heard in their language"
              number={`${rotation.heard} of ${rotation.of}`}
              reason={
                rotation.bound === undefined
                  ? 'Pairs of a group and a round in which the host speaks a language of the group. No plan does better.'
                  : `No plan does better than ${rotation.bound}.`
              }
            />
          )}
          <Entered
            label="It lasts"
            number={String(plan.rounds * plan.roundMinutes + (plan.rounds - 1) * plan.changeMinutes)}
            unit="minutes"
            reason={times.map((one, i) => `Round ${i + 1}: ${one}.`).join(' ')}
          />
        </Entries>
        {rotation && (
          <>
            <h2>Print</h2>
            <p>
              <a href={`/lend/evenings/${id}/signs.pdf`}>Signs for the tables</a>
              <br />
              <a href={`/lend/evenings/${id}/hosts.pdf`}>A card for each host</a>
              <br />
              <a href={`/lend/evenings/${id}/ways.pdf`}>The way of each group</a>
              <br />
              <a href={`/lend/evenings/${id}/signin.pdf`}>A sign-in sheet</a>
            </p>
          </>
        )}
        {plan.hallRules && (
          <>
            <h2>Your district asks</h2>
            <p style={{ whiteSpace: 'pre-line' }}>{plan.hallRules}</p>
          </>
        )}
        <p>
          The usual caution: keep ways between tables free and doors open, tape or lift what lies on the
          floor, small parts away from little ones, and ask about allergies before there is food. Your
          district’s rules and licensed staff decide.
        </p>
      </Margin>
    </Workplace>
  );
}
