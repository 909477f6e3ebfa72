import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { BREAKS, weekdayName, type CalendarRules } from '~/core/lending/calendar';
import { Button, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TickBox } from '~/app/ui/fields/TickBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Panel, Row, Stack } from '~/app/ui/Page';

/** How due days are counted: the school's week, the day on which bags come back, and long breaks. */
export function CalendarRulesForm({
  rules,
  errors,
}: {
  rules: CalendarRules & { version: number };
  errors: FieldErrors;
}) {
  const busy = useSending();
  return (
    <Panel aria-labelledby="rules">
      <Form method="post" key={rules.version}>
        <input type="hidden" name="intent" value="rules" />
        <input type="hidden" name="version" value={rules.version} />
        <Stack>
          <h2 id="rules">How due days are counted</h2>
          <NotSaved
            errors={
              errors[''] || errors.weekdays || errors.backOn || errors.breaks || errors.longBreakDays
                ? errors
                : {}
            }
          />
          <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
            <legend>
              <strong>There is school on</strong>
            </legend>
            <Row $gap="0.9rem">
              {[1, 2, 3, 4, 5, 6, 7].map((day) => (
                <TickBox
                  key={day}
                  name="weekday"
                  value={String(day)}
                  defaultSelected={rules.weekdays.includes(day)}
                >
                  {weekdayName(day)}
                </TickBox>
              ))}
            </Row>
          </fieldset>
          <Row>
            <Pick
              name="backOn"
              label="Bags come back on"
              defaultValue={rules.backOn === null ? 'any' : String(rules.backOn)}
              error={errors.backOn}
              options={[
                { value: 'any', label: 'any school day' },
                ...[1, 2, 3, 4, 5, 6, 7].map((day) => ({ value: String(day), label: weekdayName(day) })),
              ]}
            />
            <Pick
              name="breaks"
              label="Over a long break bags come home"
              defaultValue={rules.breaks}
              options={Object.entries(BREAKS).map(([value, label]) => ({ value, label }))}
            />
            <NumberBox
              name="longBreakDays"
              label="A long break has school days"
              min={1}
              max={60}
              defaultValue={rules.longBreakDays}
            />
            <Button type="submit" isPending={busy}>
              Save
            </Button>
          </Row>
        </Stack>
      </Form>
    </Panel>
  );
}
