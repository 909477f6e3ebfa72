import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkJson, type FieldErrors } from '~/core/check/check';
import { weekdayName } from '~/core/lending/calendar';
import { lendingSchema, rulesInWords, UNCHECKED } from '~/core/lending/rules';
import { count } from '~/core/words/numbers';
import { calendarRules } from '~/data/queries/calendar';
import { classes, lendingRules, saveClassDays, saveLendingRules } from '~/data/queries/rules';
import { byIntent, UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { requireRole } from '~/server/people/session';
import { LendWays } from '~/app/desk/LendWays';
import { Button, useSending } from '~/app/ui/Button';
import { Choice } from '~/app/ui/fields/Choice';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { NotSaved } from '~/app/ui/NotSaved';
import { Faint, Heading, Panel, Row, Stack, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/rules';

export const meta: Route.MetaFunction = () => [{ title: 'Rules of lending · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const [rules, groups, { weekdays }] = await Promise.all([lendingRules(at), classes(at), calendarRules(at)]);
  return { rules, groups, weekdays, words: rulesInWords(rules) };
}

const NONE = 'none';
/** A number from a list in which "none" stands for no limit. */
const numberOrNone = (value: FormDataEntryValue | null): number | null =>
  value === NONE ? null : Number(value ?? NaN);

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const refuse = (errors: FieldErrors, status: number) => data({ errors }, { status });
  return byIntent(form, {
    rules: async () => {
      const openedOn = versionIn(form);
      if (openedOn === undefined) return refuse({ '': UNKNOWN_VERSION }, 400);
      const checked = checkJson(lendingSchema, {
        bagsAtOnce: numberOrNone(form.get('bagsAtOnce')),
        renewals: numberOrNone(form.get('renewals')),
        backFirst: form.get('backFirst') === 'true',
        setAsideDays: Number(form.get('setAsideDays')),
        daysBefore: Number(form.get('daysBefore')),
        daysAfter: Number(form.get('daysAfter')),
        unchecked: form.get('unchecked'),
      });
      if (!checked.ok) return refuse(checked.errors, 400);
      const saved = await saveLendingRules(at, checked.value, openedOn, person.id);
      if (!saved.ok)
        return refuse(
          {
            '': `${saved.stale.by} changed this meanwhile. Look at it as it is now, and change it once more.`,
          },
          409,
        );
      throw redirect('/lend/rules?saved=1');
    },
    classes: async () => {
      const { weekdays } = await calendarRules(at);
      const known = await classes(at);
      const days = known.flatMap(({ group }) => {
        const day = form.get(`day ${group}`);
        if (day === null) return [];
        return [{ group, backOn: day === NONE ? null : Number(day) }];
      });
      if (days.some(({ backOn }) => backOn !== null && !weekdays.includes(backOn)))
        return refuse({ classes: 'Choose a day on which there is school. Nothing was changed.' }, 400);
      await saveClassDays(at, days);
      throw redirect('/lend/rules?saved=1');
    },
  });
}

const upTo = (from: number, most: number, word: (n: number) => string) =>
  Array.from({ length: most - from + 1 }, (_, i) => ({ value: String(from + i), label: word(from + i) }));

export default function Rules({ loaderData, actionData }: Route.ComponentProps) {
  const { rules, groups, weekdays, words } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  return (
    <Wide>
      <Stack>
        <LendWays coordinates />
        <Heading title="Rules of lending">
          What holds for every family? The desk keeps to it, and a coordinator can decide otherwise by name.
        </Heading>
        {!actionData && search.has('saved') && (
          <Said kind="done" word="Saved" live>
            It holds from now on.
          </Said>
        )}
        <Panel aria-labelledby="rules">
          <Form method="post" key={rules.version}>
            <input type="hidden" name="intent" value="rules" />
            <input type="hidden" name="version" value={rules.version} />
            <Stack>
              <h2 id="rules">Bags</h2>
              <NotSaved errors={errors.classes ? {} : errors} />
              <Said kind="know" word="As it is now">
                {words.join(' ')}
              </Said>
              <Row>
                <Pick
                  name="bagsAtOnce"
                  label="Bags at once"
                  defaultValue={rules.bagsAtOnce === null ? NONE : String(rules.bagsAtOnce)}
                  options={[
                    { value: NONE, label: 'as many as they like' },
                    ...upTo(1, 20, (n) => count(n, 'bag')),
                  ]}
                />
                <Pick
                  name="renewals"
                  label="Keeping one longer"
                  defaultValue={rules.renewals === null ? NONE : String(rules.renewals)}
                  options={[
                    { value: NONE, label: 'as often as nobody waits' },
                    ...upTo(0, 20, (n) => (n === 0 ? 'never' : count(n, 'time'))),
                  ]}
                />
                <NumberBox
                  name="setAsideDays"
                  label="Days a bag is set aside for who waits"
                  min={1}
                  max={60}
                  defaultValue={rules.setAsideDays}
                />
              </Row>
              <TickBox name="backFirst" value="true" defaultSelected={rules.backFirst}>
                A family gets another bag on a later day only when those before are back
              </TickBox>
              <h2>Reminders</h2>
              <Row>
                <NumberBox
                  name="daysBefore"
                  label="So many days before the due day"
                  hint="0: nothing is said before it."
                  min={0}
                  max={14}
                  defaultValue={rules.daysBefore}
                />
                <NumberBox
                  name="daysAfter"
                  label="And again after so many days"
                  hint="Counted from the due day, for as long as the bag is out."
                  min={1}
                  max={60}
                  defaultValue={rules.daysAfter}
                />
              </Row>
              <Choice
                name="unchecked"
                label="A message whose wording is not checked is"
                defaultValue={rules.unchecked}
                options={Object.entries(UNCHECKED).map(([value, label]) => ({ value, label }))}
              />
              <Row>
                <Button type="submit" isPending={busy}>
                  Save these rules
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
        <Panel aria-labelledby="classes">
          <Form method="post">
            <input type="hidden" name="intent" value="classes" />
            <Stack>
              <h2 id="classes">Classes that come on a day of their own</h2>
              {errors.classes && <Said kind="stop">{errors.classes}</Said>}
              {groups.length === 0 ? (
                <Faint>Write the class of a family on its page; then its day can be chosen here.</Faint>
              ) : (
                <>
                  <Table
                    label="Classes"
                    rows={groups}
                    rowKey={({ group }) => group}
                    columns={[
                      { head: 'Class', cell: ({ group }) => group },
                      { head: 'Families', cell: ({ families }) => families },
                      {
                        head: 'Brings bags back on',
                        cell: ({ group, backOn }) => (
                          <Pick
                            name={`day ${group}`}
                            label={`${group} brings bags back on`}
                            labelHidden
                            defaultValue={backOn === null ? NONE : String(backOn)}
                            options={[
                              { value: NONE, label: 'the day of the school' },
                              ...weekdays.map((day) => ({ value: String(day), label: weekdayName(day) })),
                            ]}
                          />
                        ),
                      },
                    ]}
                  />
                  <Row>
                    <Button type="submit" isPending={busy}>
                      Save the days of classes
                    </Button>
                  </Row>
                </>
              )}
            </Stack>
          </Form>
        </Panel>
      </Stack>
    </Wide>
  );
}
