import { useState } from 'react';
import { data, redirect, useSearchParams } from 'react-router';
import { Form, useSubmit } from '~/app/ui/sending';
import { readCards } from '~/core/cards/deck';
import { visible } from '~/core/check/keepable';
import { daysBetween, dueWords, showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { findCopy } from '~/data/queries/copies';
import { changeDue, findLoan } from '~/data/queries/lending';
import { takeBack } from '~/data/queries/returns';
import { weightsOf } from '~/data/queries/store';
import { readDay } from '~/server/days';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { countedParts } from '~/server/kits/held';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { today } from '~/server/today';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Faint, Heading, Margin, Row, Panel, Stack, State, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { useReadyAction } from '~/app/desk/ScanLine';
import { Verdict } from '~/app/desk/Verdict';
import { OnTheScale } from '~/app/desk/OnTheScale';
import { useVerdict } from '~/app/desk/useVerdict';
import { KeptHere } from '~/app/ui/Changes';
import { useRemembered } from '~/app/ui/remember';
import type { Route } from './+types/check';

export const meta: Route.MetaFunction = () => [{ title: 'Count a return · Fern Basket' }];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const loan = isId(params.loanId) ? await findLoan(at, params.loanId) : undefined;
  if (!loan) throw notFound('This loan');
  const copy = (await findCopy(at, { id: loan.copyId }))!;
  return {
    loan,
    parts: countedParts(copy),
    weights: await weightsOf(
      at,
      countedParts(copy).map(({ material }) => material),
    ),
    games: copy.plan.variants.map(({ name }) => name),
    today: today(at),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const loan = isId(params.loanId) ? await findLoan(at, params.loanId) : undefined;
  if (!loan) throw notFound('This loan');
  const form = await request.formData();
  return byIntent(form, {
    due: async () => {
      const dueOn = readDay(form.get('dueOn'));
      if (!dueOn || daysBetween(today(at), dueOn) < 0 || daysBetween(today(at), dueOn) > 366) {
        const errors: Record<string, string> = { dueOn: 'Choose a day from today to a year from now.' };
        return data({ errors, problem: undefined }, { status: 400 });
      }
      const was = readDay(form.get('was'));
      if (await changeDue(at, loan.id, dueOn, person.id, was))
        throw redirect(`/take-back/${loan.id}?due=changed`);
      const now = await findLoan(at, loan.id);
      const problem =
        now && now.closedAs === null
          ? `Somebody else made it due on ${showDay(now.dueOn)} meanwhile. Look, and change it again if need be.`
          : 'This copy is home already; its due date stays.';
      return data({ errors: {}, problem }, { status: 409 });
    },
    '': async () => {
      const parts = countedParts((await findCopy(at, { id: loan.copyId }))!);
      const errors: Record<string, string> = {};
      const counts = parts.map((part) => {
        const text = textIn(form, part.material).trim();
        const number = /^\d{1,4}$/.test(text) ? Number(text) : Number.NaN;
        if (!(number <= 999)) errors[part.material] = 'Count them: a whole number from 0 to 999.';
        if (part.material !== 'card-deck')
          return { material: part.material, expected: part.quantity, counted: number };
        const { cards, unread } = readCards(textIn(form, 'lacks'));
        if (unread.length)
          errors.lacks = `“${unread[0]!.slice(0, 20)}” is no card. Write them like 7H or QS.`;
        return { material: part.material, expected: part.quantity, counted: number, lacks: [...cards] };
      });
      if (Object.keys(errors).length) return data({ errors, problem: undefined }, { status: 400 });
      const found = {
        dirty: form.get('dirty') === 'yes',
        foreign: visible(textIn(form, 'foreign')).slice(0, 120),
      };
      if (
        !(await takeBack(at, {
          loanId: loan.id,
          returnedOn: today(at),
          counts,
          ...found,
          personId: person.id,
        }))
      )
        return data(
          {
            errors,
            problem: 'This copy was taken back already, at another desk. Your count was not needed.',
          },
          { status: 409 },
        );
      throw redirect(`/take-back?home=${loan.id}`);
    },
  });
}

/** A refusal too is followed by a fresh look: another desk may have taken the copy back meanwhile. */
export const shouldRevalidate = (): boolean => true;

export default function Check({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <Counting
      key={loaderData.loan.id}
      {...loaderData}
      errors={actionData?.errors ?? {}}
      problem={actionData?.problem}
    />
  );
}

function Counting({
  loan,
  parts,
  weights,
  games,
  today,
  errors,
  problem,
}: Route.ComponentProps['loaderData'] & { errors: Record<string, string>; problem?: string | undefined }) {
  const catalogue = useCatalogue();
  const busy = useSending();
  const submit = useSubmit();
  const [search] = useSearchParams();
  const complete = Object.fromEntries(parts.map((part) => [part.material, part.quantity]));
  const {
    value: counts,
    set,
    forget,
    restored,
  } = useRemembered<Record<string, number>>(`return ${loan.id}`, complete);
  const [dirty, setDirty] = useState(false);
  const [foreign, setForeign] = useState('');
  const { value: lacks, set: setLacks, forget: forgetLacks } = useRemembered<string>(`deck ${loan.id}`, '');
  const hasDeck = parts.some(({ material }) => material === 'card-deck');
  const missing = parts.filter(
    (part) => (counts[part.material] ?? 0) < part.quantity || (part.material === 'card-deck' && lacks.trim()),
  );
  const verdict = useVerdict(
    loan.closedAs === null && missing.length
      ? `/take-back/${loan.id}/verdict?${new URLSearchParams([
          ...parts.map(({ material }) => [material, String(counts[material] ?? 0)]),
          ['lacks', lacks],
        ]).toString()}`
      : undefined,
  );
  const says = loan.closedAs
    ? undefined
    : `take back ${showTag(loan.tag)}, ${missing.length ? `${missing.length} ${missing.length === 1 ? 'part' : 'parts'} short` : 'complete'}`;
  useReadyAction(says, () => {
    forget();
    forgetLacks();
    void submit(
      {
        ...Object.fromEntries(parts.map((part) => [part.material, String(counts[part.material] ?? 0)])),
        lacks,
        ...(dirty ? { dirty: 'yes' } : {}),
        foreign,
      },
      { method: 'post' },
    );
  });
  if (loan.closedAs) {
    return (
      <Workplace>
        <Stack>
          <Heading title={`${showTag(loan.tag)} is home already`} />
          <Said kind="know" action={<ButtonLink href="/take-back">See what is out</ButtonLink>}>
            {problem ?? `${loan.familyName} brought it back; there is nothing to count.`}
          </Said>
        </Stack>
      </Workplace>
    );
  }
  return (
    <Workplace>
      <Stack>
        <Heading title={`What came back in ${showTag(loan.tag)}?`}>
          {loan.kitName}, from {loan.familyName}, {dueWords(loan.dueOn, today)}. Change only what is not
          there.
        </Heading>
        {problem && <Said kind="stop">{problem}</Said>}
        {restored && !loan.closedAs && (
          <KeptHere
            onDrop={() => {
              set(complete);
              setLacks('');
              forget();
              forgetLacks();
            }}
          />
        )}
        <Panel>
          <Form
            method="post"
            onSubmit={() => {
              forget();
              forgetLacks();
            }}
          >
            <Stack>
              <Table
                rows={parts.map((part) => ({ ...part, short: part.quantity - (counts[part.material] ?? 0) }))}
                rowKey={({ material }) => material}
                columns={[
                  { head: 'Part', cell: ({ material }) => catalogue.of(material).plural },
                  { head: 'Went out', cell: ({ quantity }) => quantity },
                  {
                    head: 'Came back',
                    cell: ({ material, quantity }) => (
                      <NumberBox
                        name={material}
                        label={`${catalogue.of(material).plural} that came back`}
                        labelHidden
                        min={0}
                        max={999}
                        value={counts[material] ?? quantity}
                        onChange={(value) => set((old) => ({ ...old, [material]: value }))}
                        error={errors[material]}
                      />
                    ),
                  },
                  {
                    head: 'So',
                    cell: ({ short }) =>
                      short > 0 ? (
                        <State tone="hand">{`${short} missing`}</State>
                      ) : short < 0 ? (
                        <State tone="note">{`${-short} more`}</State>
                      ) : (
                        <State tone="calm">complete</State>
                      ),
                  },
                ]}
              />
              {hasDeck && (
                <TextBox
                  name="lacks"
                  label="Cards that the deck lacks"
                  hint="Such as 7H QS; leave it empty when all are there."
                  value={lacks}
                  onChange={setLacks}
                  error={errors.lacks}
                  maxLength={200}
                />
              )}
              <Row $gap="1.2rem">
                <TickBox name="dirty" value="yes" isSelected={dirty} onChange={setDirty}>
                  Something is dirty
                </TickBox>
                <TextBox
                  name="foreign"
                  label="Something that does not belong to it"
                  hint="Damaged parts count as missing."
                  value={foreign}
                  onChange={setForeign}
                  maxLength={120}
                />
              </Row>
              <Row>
                <Button type="submit" isPending={busy}>
                  {missing.length ? 'Take it back with parts missing' : 'Take it back, complete'}
                </Button>
                <ButtonLink quiet href="/take-back">
                  Not now
                </ButtonLink>
              </Row>
            </Stack>
          </Form>
        </Panel>
      </Stack>
      <Stack>
        <Margin label="Reckonings">
          <Entries>
            <Entered
              label="Missing"
              number={String(missing.length)}
              unit={missing.length === 1 ? 'kind of part' : 'kinds of parts'}
              reason={
                missing.length
                  ? 'They are noted, and stand under Look back until they are put in.'
                  : 'It can go out again as it is.'
              }
            />
          </Entries>
          <Faint>
            Plain paper stays with the family and is not counted; laminated boards, cards and mats are.
          </Faint>
        </Margin>
        <ByWeight
          parts={parts}
          weights={weights}
          onCount={(material, counted) => set((old) => ({ ...old, [material]: counted }))}
        />
        {verdict && missing.length > 0 && <Verdict verdict={verdict} names={games} />}
        <Panel aria-labelledby="due">
          <Form method="post">
            <input type="hidden" name="intent" value="due" />
            <input type="hidden" name="was" value={loan.dueOn} />
            <Stack $gap="0.7rem">
              <h2 id="due">They need it longer?</h2>
              {search.get('due') === 'changed' && (
                <Said kind="done" word="Changed" live>
                  It is due on {showDay(loan.dueOn)} now.
                </Said>
              )}
              <TextBox
                name="dueOn"
                label="Due back on"
                inputType="date"
                defaultValue={loan.dueOn}
                error={errors.dueOn}
              />
              <Button type="submit" quiet isPending={busy}>
                Change the due date
              </Button>
            </Stack>
          </Form>
        </Panel>
      </Stack>
    </Workplace>
  );
}

/** A pile of pieces is put on the scale, and its number is written into the list. */
function ByWeight({
  parts,
  weights,
  onCount,
}: {
  parts: Route.ComponentProps['loaderData']['parts'];
  weights: Route.ComponentProps['loaderData']['weights'];
} & { onCount: (material: string, counted: number) => void }) {
  const catalogue = useCatalogue();
  const weighable = parts.filter(({ material }) => weights[material]);
  const [chosen, setChosen] = useState(weighable[0]?.material ?? '');
  const part = weighable.find(({ material }) => material === chosen);
  if (!part) return null;
  const { id, name, plural } = catalogue.of(part.material);
  return (
    <Panel aria-labelledby="weight">
      <Stack $gap="0.7rem">
        <h2 id="weight">Count a pile by weight</h2>
        <Pick
          name="weighed"
          label="Part"
          value={chosen}
          onChange={setChosen}
          options={weighable.map(({ material }) => ({
            value: material,
            label: catalogue.of(material).plural,
          }))}
        />
        <OnTheScale
          key={id}
          unit={weights[part.material]}
          material={{ id, name, plural }}
          wanted={part.quantity}
          onCount={(counted) => onCount(id, counted)}
        />
      </Stack>
    </Panel>
  );
}
