import { useState, useSyncExternalStore } from 'react';
import { LANGUAGES, type Language } from '~/core/words/languages';
import type { FieldErrors } from '~/core/check/check';
import { Choice, Suggest, TickBox } from '~/app/ui/fields';
import { Row } from '~/app/ui/Page';

/** What is asked of a new school beside its name; the time zone is that of this browser until another one is chosen. */
export function AboutSchool({
  timeZones,
  here,
  errors,
}: {
  timeZones: readonly string[];
  /** The time zone of the server. */
  here: string;
  errors: FieldErrors;
}) {
  const browser = useSyncExternalStore(
    () => () => undefined,
    () => Intl.DateTimeFormat().resolvedOptions().timeZone,
    () => here,
  );
  const [chosen, setChosen] = useState<string>();
  const zone = chosen ?? [browser, here].find((one) => timeZones.includes(one)) ?? 'UTC';
  return (
    <>
      <Choice
        name="paper"
        label="Paper in the printer"
        defaultValue="letter"
        error={errors.paper}
        options={[
          { value: 'letter', label: 'Letter' },
          { value: 'a4', label: 'A4' },
        ]}
      />
      <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
        <legend style={{ fontWeight: 700, padding: 0 }}>Languages of your families</legend>
        <Row>
          {(Object.keys(LANGUAGES) as Language[]).map((code) => (
            <TickBox
              key={code}
              name="languages"
              value={code}
              defaultSelected={code === 'en' || code === 'es'}
            >
              {LANGUAGES[code].name}
            </TickBox>
          ))}
        </Row>
      </fieldset>
      <Suggest
        name="timeZone"
        label="Time zone"
        hint="It decides what day it is, and what is due."
        value={zone}
        onChange={setChosen}
        options={timeZones}
        error={errors.timeZone}
      />
    </>
  );
}
