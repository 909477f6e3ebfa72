import { useState } from 'react';
import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm } from '~/core/check/check';
import { keepingSchema, keptSince } from '~/core/lending/keeping';
import { showDay } from '~/core/lending/due';
import { count } from '~/core/words/numbers';
import { forgetFamily } from '~/data/queries/families';
import { familiesPast, keepingMonths, saveKeeping } from '~/data/queries/privacy';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { noteSecurity } from '~/server/people/security';
import { askAgain, requireRole } from '~/server/people/session';
import { today } from '~/server/today';
import { LendWays } from '~/app/desk/LendWays';
import { Button, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { Empty, Entered, Entries, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import type { Route } from './+types/keeping';

export const meta: Route.MetaFunction = () => [{ title: 'How long families are kept · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const { months } = await keepingMonths(at);
  return { months, past: months === null ? [] : await familiesPast(at, keptSince(today(at), months)) };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at, id: personId } = person;
  const form = await request.formData();
  return byIntent(form, {
    rule: async () => {
      const checked = checkForm(keepingSchema, form);
      if (!checked.ok)
        return data({ problem: checked.errors.months ?? 'This was not kept.' }, { status: 400 });
      await saveKeeping(at, checked.value.months ?? null, personId);
      throw redirect('/lend/families/keeping?saved=1');
    },
    forget: async () => {
      askAgain(request, person);
      // Only what the rule proposes now is forgotten, whatever an old page shows.
      const { months } = await keepingMonths(at);
      const proposed = months === null ? [] : await familiesPast(at, keptSince(today(at), months));
      const chosen = new Set(form.getAll('family').filter(isId));
      let done = 0;
      for (const { id } of proposed) if (chosen.has(id) && (await forgetFamily(at, id, personId))) done++;
      if (done === 0)
        return data(
          { problem: 'Nobody was chosen, or they have a bag again. Nobody was forgotten.' },
          { status: 409 },
        );
      await noteSecurity(at, 'forgot', personId);
      throw redirect(`/lend/families/keeping?forgotten=${done}`);
    },
  });
}

export default function KeepingPage({ loaderData, actionData }: Route.ComponentProps) {
  const { months, past } = loaderData;
  const [search] = useSearchParams();
  const [asking, setAsking] = useState(false);
  const busy = useSending();
  return (
    <Workplace>
      <Stack>
        <LendWays coordinates />
        <Heading title="How long families are kept">
          A school need not know forever. The rule only proposes; you read the list, and decide.
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Not done" live>
            {actionData.problem}
          </Said>
        )}
        {!actionData && search.has('saved') && (
          <Said kind="done" word="Kept" live>
            The rule holds from now on.
          </Said>
        )}
        {!actionData && search.has('forgotten') && (
          <Said kind="done" word="Forgotten" live>
            {count(Number(search.get('forgotten')) || 0, 'family is', 'families are')} forgotten: their loans
            stay as loans of nobody, their answers as numbers.
          </Said>
        )}
        <Panel aria-labelledby="rule">
          <Form method="post" key={months ?? 0}>
            <Stack $gap="0.7rem">
              <h2 id="rule">The rule</h2>
              <NumberBox
                name="months"
                label="Months after the last loan"
                defaultValue={months ?? undefined}
                min={1}
                max={120}
                hint="Left empty, nobody is proposed. Ask your district how long such records are kept; its rule goes before yours."
              />
              <div>
                <Button type="submit" name="intent" value="rule" isPending={busy}>
                  Keep this rule
                </Button>
              </div>
            </Stack>
          </Form>
        </Panel>
        {months !== null && (
          <Panel aria-labelledby="past">
            <Stack $gap="0.7rem">
              <h2 id="past">Families that the rule would forget now</h2>
              {past.length === 0 ? (
                <Empty title="Nobody">Every family had a bag, or was entered, in these months.</Empty>
              ) : (
                <Form method="post" onSubmit={() => setAsking(false)}>
                  <Stack $gap="0.5rem">
                    {past.map(({ id, name, lastOn, enteredOn }) => (
                      <TickBox key={id} name="family" value={id} defaultSelected>
                        {name}:{' '}
                        {lastOn
                          ? `last bag ${showDay(lastOn)}, ${lastOn.slice(0, 4)}`
                          : `never had a bag, entered ${showDay(enteredOn)}, ${enteredOn.slice(0, 4)}`}
                      </TickBox>
                    ))}
                    {asking ? (
                      <>
                        <p>They will be gone from every list. This cannot be undone.</p>
                        <Row $gap="0.6rem">
                          <Button type="submit" clay name="intent" value="forget">
                            Forget those that are ticked
                          </Button>
                          <Button quiet onPress={() => setAsking(false)}>
                            Keep them
                          </Button>
                        </Row>
                      </>
                    ) : (
                      <div>
                        <Button quiet clay onPress={() => setAsking(true)}>
                          Forget those that are ticked …
                        </Button>
                      </div>
                    )}
                  </Stack>
                </Form>
              )}
            </Stack>
          </Panel>
        )}
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="Past the rule"
            number={String(past.length)}
            unit={past.length === 1 ? 'family' : 'families'}
            reason="A family with a bag at home is never among them."
          />
        </Entries>
        <p>
          What is forgotten stays forgotten: name, children, reach, flags, the words of answers, messages and
          pictures are wiped. Older backups hold them until they are replaced.
        </p>
      </Margin>
    </Workplace>
  );
}
