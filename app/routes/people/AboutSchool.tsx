import { useState, useSyncExternalStore } from 'react';
import type { FieldErrors } from '~/core/check/check';
import type { SchoolFields } from '~/core/lending/school';
import {
  aboutLanguage,
  allLanguages,
  languageFault,
  languageNamed,
  SHIPPED_LANGUAGES,
  type Language,
} from '~/core/words/languages';
import { Choice } from '~/app/ui/fields/Choice';
import { Suggest } from '~/app/ui/fields/Suggest';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Row } from '~/app/ui/Page';

type About = Omit<SchoolFields, 'name'>;

const NAMES = allLanguages().map(({ name }) => name);

/** The languages of families: those that ship with wording are in sight, every other is found by its name. */
function Languages({
  value,
  onChange,
}: {
  value: readonly Language[];
  onChange: (languages: Language[]) => void;
}) {
  const [fault, setFault] = useState<string>();
  const [added, setAdded] = useState(0);
  const add = (name: string): void => {
    const tag = languageNamed(name)?.tag ?? '';
    const why = languageFault(tag);
    setFault(why);
    if (why) return;
    if (!value.includes(tag)) onChange([...value, tag]);
    setAdded((n) => n + 1);
  };
  return (
    <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
      <legend style={{ fontWeight: 700, padding: 0 }}>Languages of your families</legend>
      <Row>
        {[...new Set([...SHIPPED_LANGUAGES, ...value])].map((code) => (
          <TickBox
            key={code}
            name="languages"
            value={code}
            isSelected={code === 'en' || value.includes(code)}
            onChange={(on) => onChange(on ? [...value, code] : value.filter((one) => one !== code))}
          >
            {aboutLanguage(code).name}
          </TickBox>
        ))}
      </Row>
      <Suggest
        key={added}
        name="anotherLanguage"
        label="Add another language"
        hint="Any language whose script can be printed. What is not worded in it yet stays in English, marked, until it is worded under Word."
        value=""
        onChange={add}
        options={NAMES}
        error={fault}
      />
    </fieldset>
  );
}

/** What is asked of a school beside its name. */
export function AboutSchool({
  value,
  onChange,
  timeZones,
  errors,
}: {
  value: About;
  onChange: (change: Partial<About>) => void;
  timeZones: readonly string[];
  errors: FieldErrors;
}) {
  return (
    <>
      <Choice
        name="paper"
        label="Paper in the printer"
        value={value.paper}
        onChange={(paper) => onChange({ paper: paper as About['paper'] })}
        error={errors.paper}
        options={[
          { value: 'letter', label: 'Letter' },
          { value: 'a4', label: 'A4' },
        ]}
      />
      <Languages value={value.languages} onChange={(languages) => onChange({ languages })} />
      <TextBox
        name="contact"
        label="How families reach you"
        hint="A number, an address, or whom to ask. It stands on labels and on the family page."
        value={value.contact}
        onChange={(contact) => onChange({ contact })}
        error={errors.contact}
        maxLength={120}
      />
      <Suggest
        name="timeZone"
        label="Time zone"
        hint="It decides what day it is, and what is due."
        value={value.timeZone}
        onChange={(timeZone) => onChange({ timeZone })}
        options={timeZones}
        error={errors.timeZone}
      />
    </>
  );
}

/** The same of a new school; its time zone is that of this browser until another one is chosen. */
export function AboutNewSchool({
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
  const [chosen, setChosen] = useState<Partial<About>>({});
  const value: About = {
    paper: 'letter',
    languages: ['en', 'es'],
    contact: '',
    timeZone: [browser, here].find((one) => timeZones.includes(one)) ?? 'UTC',
    ...chosen,
  };
  return (
    <AboutSchool
      value={value}
      onChange={(change) => setChosen((old) => ({ ...old, ...change }))}
      timeZones={timeZones}
      errors={errors}
    />
  );
}
