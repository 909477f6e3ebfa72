import { useState } from 'react';
import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form, useSubmit } from '~/app/ui/sending';
import { lackOf } from '~/core/kits/lacking';
import { against, HAZARDS, hazardsOf, hazardWords } from '~/core/kits/safety';
import { daysBetween, dueWords, LOAN_DAYS, showDay } from '~/core/lending/due';
import { readTag, showTag } from '~/core/kits/tag';
import { sameName } from '~/core/lending/families';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { catalogueNow } from '~/data/queries/materials';
import { findFamily } from '~/data/queries/families';
import { findCopy } from '~/data/queries/copies';
import { copiesAtSchool, pageOfOut } from '~/data/queries/desk';
import { listShortages } from '~/data/queries/counts';
import { findLoan, lend, ruleAgainst, undoLoan } from '~/data/queries/lending';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { copiesOf } from '~/server/once';
import { stateNow } from '~/server/kits/held';
import { reasonOf } from '~/core/lending/calendar';
import { proposedDue } from '~/server/lending/due';
import { whyNotLent } from '~/server/lending/refused';
import { requireRole } from '~/server/people/session';
import { readDay } from '~/server/days';
import { today as todayAtSchool } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { Verdict } from '~/app/desk/Verdict';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import {
  Empty,
  Entered,
  Entries,
  Faint,
  Heading,
  Margin,
  Row,
  Panel,
  Stack,
  State,
  Tag,
  Workplace,
} from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { DueFlag } from '~/app/desk/DueFlag';
import { useReadyAction } from '~/app/desk/ScanLine';
import type { Route } from './+types/desk';

export const meta: Route.MetaFunction = () => [{ title: 'Lend · Fern Basket' }];

/** More copies than this are found by scanning them, or on the list of what is out. */
const IN_SIGHT = 40;
const NEXT_DUE = 20;

export async function loader({ request }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const search = new URL(request.url).searchParams;
  const tag = readTag(search.get('copy') ?? '');
  const [familyId, lentId] = [search.get('family'), search.get('lent')];
  const day = todayAtSchool(at);
  const [copy, family, lent, now, home, out, catalogue] = await Promise.all([
    tag.kind === 'tag' ? findCopy(at, { tag: tag.tag }) : undefined,
    isId(familyId) ? findFamily(at, familyId) : undefined,
    isId(lentId) ? findLoan(at, lentId) : undefined,
    copiesOf(at),
    copiesAtSchool(at, IN_SIGHT),
    pageOfOut(at, 0, NEXT_DUE),
    catalogueNow(at),
  ]);
  const [short, proposed, rule] = await Promise.all([
    copy ? listShortages(at, copy.id) : [],
    proposedDue(at, day, copy?.daysOut ?? LOAN_DAYS, family?.group),
    copy && family && !copy.loan
      ? ruleAgainst(at, { copyId: copy.id, familyId: family.id, lentOn: day })
      : undefined,
  ]);
  return {
    copy: copy && {
      id: copy.id,
      tag: copy.tag,
      kitName: copy.kitName,
      loan: copy.loan,
      makingId: copy.readyAt === null ? copy.makingId : null,
      language: copy.language,
      printed: copy.printedAt !== null,
      allergens: [...new Set(copy.parts.flatMap((part) => catalogue.of(part.material).allergens))],
    },
    stops:
      copy && family
        ? against(hazardsOf(copy.parts, catalogue), family).map(({ id, materials }) => ({
            title: HAZARDS[id].title,
            parts: materials.map((one) => catalogue.of(one).plural).join(', '),
            threshold: HAZARDS[id].threshold,
            source: HAZARDS[id].source,
          }))
        : [],
    rule: rule?.why,
    lacking: short.map((one) => lackOf(one, catalogue)),
    verdict: copy && short.length ? (await stateNow(at, copy)).verdict : undefined,
    games: copy?.plan.variants.map(({ name }) => name) ?? [],
    family: family && {
      id: family.id,
      name: family.name,
      language: family.language,
      underThree: family.underThree,
      allergens: family.allergens,
    },
    lent: lent?.closedAs === null ? lent : undefined,
    undone: search.has('undone'),
    now,
    home,
    out,
    today: day,
    lasts: copy?.daysOut ?? LOAN_DAYS,
    dueOn: proposed.dueOn,
    dueWhy: reasonOf(proposed),
    maySeeFamilies: person.role === 'coordinator',
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const form = await request.formData();
  return byIntent(form, {
    undo: async () => {
      const loanId = form.get('loan');
      const undone = isId(loanId)
        ? await undoLoan(at, loanId, person.id)
        : { ok: false as const, why: 'There is no such loan.' };
      if (!undone.ok) return data({ problem: undone.why, dueOn: '' }, { status: 409 });
      throw redirect('/lend?undone=1');
    },
    '': async () => {
      const [copyId, familyId] = [form.get('copy'), form.get('family')];
      const dueOn = readDay(form.get('dueOn'));
      const kept = textIn(form, 'dueOn');
      const day = todayAtSchool(at);
      if (!isId(copyId) || !isId(familyId))
        return data({ problem: 'Choose a copy and a family first.', dueOn: kept }, { status: 400 });
      if (!dueOn || daysBetween(day, dueOn) < 0 || daysBetween(day, dueOn) > 366)
        return data(
          {
            problem: 'The due date must be a day from today to a year from now. Nothing was lent yet.',
            dueOn: kept,
          },
          { status: 400 },
        );
      const [copy, family] = await Promise.all([findCopy(at, { id: copyId }), findFamily(at, familyId)]);
      const catalogue = await catalogueNow(at);
      const stops = copy && family ? against(hazardsOf(copy.parts, catalogue), family) : [];
      const decidedBy = textIn(form, 'decidedBy');
      if (stops.length && sameName(decidedBy) !== sameName(person.name))
        return data(
          {
            problem: `This basket holds ${hazardWords(stops, catalogue)}. If it is to go to this family all the same, decide it with your name, ${person.name}. Nothing was lent yet.`,
            dueOn: kept,
          },
          { status: 400 },
        );
      // What the school's rules say is decided by whoever coordinates.
      const mayDecide = person.role === 'coordinator' && sameName(decidedBy) === sameName(person.name);
      const rule = mayDecide ? await ruleAgainst(at, { copyId, familyId, lentOn: day }) : undefined;
      const result = await lend(at, {
        copyId,
        familyId,
        lentOn: day,
        dueOn,
        personId: person.id,
        ...(stops.length ? { decided: { by: person.name, of: hazardWords(stops, catalogue) } } : {}),
        ...(rule ? { ruleDecided: `${person.name}: ${rule.note}` } : {}),
      });
      if (!result.ok)
        return data(
          {
            problem:
              'why' in result
                ? `${result.why} ${person.role === 'coordinator' ? `If it is to go out all the same, decide it with your name, ${person.name}.` : 'Whoever coordinates can decide otherwise.'} Nothing was lent yet.`
                : `${whyNotLent(result)} Nothing was changed; choose another copy.`,
            dueOn: kept,
          },
          { status: 409 },
        );
      throw redirect(`/lend?lent=${result.loanId}`);
    },
  });
}

export default function Desk({ loaderData, actionData }: Route.ComponentProps) {
  const { copy, family, stops, rule, lacking, verdict, games, lent, undone, now, home, out, today } =
    loaderData;
  const [search] = useSearchParams();
  const submit = useSubmit();
  const busy = useSending();
  // Another copy may go out for another number of days; a day that was chosen stays.
  const [chosen, setDueOn] = useState<string>();
  const dueOn = chosen ?? loaderData.dueOn;
  const [decidedBy, setDecidedBy] = useState('');
  const ready = Boolean(copy && !copy.loan && !copy.makingId && family);
  const toDecide = stops.length > 0 || (rule !== undefined && loaderData.maySeeFamilies);
  const held = rule !== undefined && !loaderData.maySeeFamilies;
  const says =
    ready && !held && dueOn && (!toDecide || decidedBy.trim())
      ? `lend ${showTag(copy!.tag)} to ${family!.name} until ${showDay(dueOn)}`
      : undefined;
  useReadyAction(
    says,
    () =>
      void submit(
        { copy: copy!.id, family: family!.id, dueOn, decidedBy },
        { method: 'post', action: `/lend?${search}` },
      ),
  );
  const clear = (name: string): string => {
    const rest = new URLSearchParams(search);
    rest.delete(name);
    return `/lend?${rest}`;
  };
  return (
    <Workplace>
      <Stack>
        <LendWays coordinates={loaderData.maySeeFamilies} />
        <Heading title="Lend">
          Which copy goes to which family? Scan the tag, then scan or type the family, then press Enter.
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Not lent" live>
            {actionData.problem}
          </Said>
        )}
        {undone && !actionData && !copy && !family && (
          <Said kind="done" word="Undone" live>
            The copy is at school again, as if it had not been lent.
          </Said>
        )}
        {lent && !actionData && (
          <Said
            kind="done"
            word="Lent"
            live
            action={
              <Form method="post" action="/lend">
                <input type="hidden" name="intent" value="undo" />
                <input type="hidden" name="loan" value={lent.id} />
                <Button type="submit" quiet>
                  Undo this loan
                </Button>
              </Form>
            }
          >
            {showTag(lent.tag)} ({lent.kitName}) is with {lent.familyName} until {showDay(lent.dueOn)}.
            {lent.code && (
              <>
                {' '}
                Write {lent.code} on the due line of its label: with it the family can ask for its next bag on
                a phone.
              </>
            )}
          </Said>
        )}
        <Row $gap="1rem" style={{ alignItems: 'stretch' }}>
          <Panel aria-labelledby="copy" style={{ flex: '1 1 280px' }}>
            <Stack $gap="0.5rem">
              <h2 id="copy">Copy</h2>
              {copy ? (
                <>
                  <p style={{ fontSize: '1.5rem' }}>
                    <Tag>{showTag(copy.tag)}</Tag>
                  </p>
                  <p>{copy.kitName}</p>
                  {copy.loan && (
                    <Said
                      kind="mind"
                      action={<ButtonLink href={`/take-back/${copy.loan.id}`}>Take it back</ButtonLink>}
                    >
                      It is out with {copy.loan.familyName}, {dueWords(copy.loan.dueOn, today)}.
                    </Said>
                  )}
                  {copy.makingId && (
                    <Said
                      kind="mind"
                      action={<ButtonLink href={`/fill/runs/${copy.makingId}`}>Go on making it</ButtonLink>}
                    >
                      It is still being made, and can be lent when its check is done.
                    </Said>
                  )}
                  <Link to={clear('copy')}>Choose another copy</Link>
                </>
              ) : (
                <Faint>Scan a tag, or press one below.</Faint>
              )}
            </Stack>
          </Panel>
          <Panel aria-labelledby="family" style={{ flex: '1 1 280px' }}>
            <Stack $gap="0.5rem">
              <h2 id="family">Family</h2>
              {family ? (
                <>
                  <p style={{ fontSize: '1.5rem' }}>{family.name}</p>
                  <p>{aboutLanguage(family.language).name}</p>
                  <Row $gap="1.2rem">
                    <Link to={clear('family')}>Choose another family</Link>
                    {loaderData.maySeeFamilies && (
                      <Link to={`/listen/families/${family.id}`}>What would be just right for them</Link>
                    )}
                  </Row>
                </>
              ) : (
                <Faint>Type a part of the name on the scan line{copy ? ' now' : ''}.</Faint>
              )}
            </Stack>
          </Panel>
        </Row>
        {stops.length > 0 && (
          <Said kind="stop" word="Not for this family without a decision">
            <ul>
              {stops.map(({ title, parts, threshold, source }) => (
                <li key={title}>
                  <strong>{title}</strong>: {parts}. {threshold} ({source})
                </li>
              ))}
            </ul>
            <p>
              Choose another copy, or decide with your name below. Your district’s rules and licensed staff
              decide; say it when you hand the bag over.
            </p>
          </Said>
        )}
        {rule && (
          <Said kind="stop" word="Against the rules of lending">
            {rule}{' '}
            {held
              ? 'Whoever coordinates can decide otherwise.'
              : 'Choose another copy or family, or decide otherwise with your name below.'}
          </Said>
        )}
        {copy && family && family.allergens && (
          <Said kind="mind" word="Allergens">
            This family named: {family.allergens}.{' '}
            {copy.allergens.length
              ? `Parts of this basket contain ${copy.allergens.join(', ')}.`
              : 'No part of this basket is listed with an allergen; check what you packed instead.'}
          </Said>
        )}
        {copy?.language && family && family.language !== 'en' && family.language !== copy.language && (
          <Said
            kind="mind"
            word="In another language"
            action={
              <ButtonLink quiet href={`/print?copy=${copy.id}&home=${family.language}&item=instructions`}>
                {`Print them in ${aboutLanguage(family.language).name}`}
              </ButtonLink>
            }
          >
            The instructions in this bag are in English
            {copy.language === 'en' ? '' : ` and ${aboutLanguage(copy.language).name}`}; this family reads{' '}
            {aboutLanguage(family.language).name}.
          </Said>
        )}
        {lacking.length > 0 && (
          <Said kind="mind" word="Parts are missing">
            When it last came home it lacked {lacking.join(' and ')}.{' '}
            {verdict?.copy === 'mendFirst' && 'Put them in before it goes out.'}
          </Said>
        )}
        {verdict && <Verdict verdict={verdict} names={games} />}
        {ready && (
          <Panel aria-label="Lend">
            <Form method="post">
              <input type="hidden" name="copy" value={copy!.id} />
              <input type="hidden" name="family" value={family!.id} />
              <Row>
                <TextBox
                  name="dueOn"
                  label="Due back on"
                  inputType="date"
                  value={dueOn}
                  onChange={setDueOn}
                />
                {toDecide && (
                  <TextBox
                    name="decidedBy"
                    label="Decided by (your name)"
                    value={decidedBy}
                    onChange={setDecidedBy}
                    autoComplete="off"
                    maxLength={80}
                  />
                )}
                <Button type="submit" isPending={busy} isDisabled={held}>
                  Lend this copy
                </Button>
                {dueOn && (
                  <Faint style={{ alignSelf: 'center' }}>
                    {showDay(dueOn)}, {dueWords(dueOn, today)}
                    {dueOn === loaderData.dueOn && `: ${loaderData.dueWhy}`}
                  </Faint>
                )}
              </Row>
            </Form>
          </Panel>
        )}
        {!copy && (
          <Panel aria-labelledby="home">
            <Stack $gap="0.6rem">
              <h2 id="home">At school</h2>
              {home.length === 0 ? (
                <Empty
                  title="Every copy is out"
                  action={<ButtonLink href="/fill">Build more copies</ButtonLink>}
                >
                  Nothing to lend right now.
                </Empty>
              ) : (
                <Row $gap="0.5rem">
                  {home.map((one) => (
                    <ButtonLink
                      key={one.id}
                      quiet
                      href={`/lend?copy=${one.tag}${family ? `&family=${family.id}` : ''}`}
                    >
                      <Tag>{showTag(one.tag)}</Tag> {one.kitName}
                      {one.short && <State tone="hand">parts missing</State>}
                      {!one.printed && <State tone="wait">pack not printed</State>}
                    </ButtonLink>
                  ))}
                </Row>
              )}
              {now.home > home.length && (
                <Faint>And {count(now.home - home.length, 'copy', 'copies')} more: scan the tag.</Faint>
              )}
            </Stack>
          </Panel>
        )}
        <Panel aria-labelledby="out">
          <Stack $gap="0.6rem">
            <h2 id="out">Out now</h2>
            {out.length === 0 ? (
              <Faint>No copy is out.</Faint>
            ) : (
              <Table
                rows={out}
                rowKey={({ id }) => id}
                columns={[
                  {
                    head: 'Tag',
                    cell: ({ id, tag }) => (
                      <Link to={`/take-back/${id}`}>
                        <Tag>{showTag(tag)}</Tag>
                      </Link>
                    ),
                  },
                  { head: 'Kit', cell: ({ kitName }) => kitName },
                  { head: 'Family', cell: ({ familyName }) => familyName },
                  {
                    head: 'Due',
                    cell: (loan) => <DueFlag dueOn={loan.dueOn} arrivedOn={loan.arrivedOn} today={today} />,
                  },
                ]}
              />
            )}
            {now.out > out.length && (
              <Link to="/take-back">See all {count(now.out, 'copy', 'copies')} that are out</Link>
            )}
          </Stack>
        </Panel>
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="At school"
            number={String(now.home)}
            unit={now.home === 1 ? 'copy' : 'copies'}
            reason={`${count(now.ready, 'copy is', 'copies are')} printed and complete.`}
          />
          <Entered
            label="Out"
            number={String(now.out)}
            unit={now.out === 1 ? 'copy' : 'copies'}
            reason={`${now.overdue} overdue, ${now.dueToday} due today.`}
          />
          <Entered
            label="A loan lasts"
            number={String(loaderData.lasts)}
            unit="days"
            reason={`From today until ${showDay(loaderData.dueOn)}: ${loaderData.dueWhy}. Change it for any one loan.`}
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}
