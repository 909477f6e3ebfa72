import type { ReactNode } from 'react';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { CHANNELS, type Channel, type FamilyFields } from '~/core/lending/families';
import { aboutLanguage } from '~/core/words/languages';
import { Button, useSending } from '~/app/ui/Button';
import { plainValue, type FieldWords } from '~/app/ui/Changes';
import { Choice } from '~/app/ui/fields/Choice';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Row, Stack } from '~/app/ui/Page';

interface Props {
  value: FamilyFields;
  /** The version of the family that the form stands on; none for a new one. */
  version?: number;
  onChange: (change: Partial<FamilyFields>) => void;
  onSubmit: () => void;
  errors: FieldErrors;
  languages: readonly string[];
  action: string;
  children?: ReactNode;
}

const LABELS: Record<string, string> = {
  name: 'Family name',
  language: 'Home language',
  speaks: 'Other languages',
  children: 'Children',
  group: 'Class or group',
  reach: 'How to reach them',
  channel: 'Reminders',
  weekly: 'Once a week at the most',
  underThree: 'A child under three',
  allergens: 'Allergens',
  pictures: 'Pictures of their children’s work',
};
/** The fields of a family in words. */
export const FAMILY_FIELDS: FieldWords = {
  label: (field) => LABELS[field] ?? field,
  show: (field, value) =>
    field === 'language'
      ? (aboutLanguage(value as string).name ?? plainValue(value))
      : field === 'channel'
        ? CHANNELS[value as Channel]
        : plainValue(value),
};

/** What the school keeps about a family: little, and of its children a nickname and a grade. */
export function FamilyForm({
  value,
  version,
  onChange,
  onSubmit,
  errors,
  languages,
  action,
  children,
}: Props) {
  const busy = useSending();
  return (
    <Form method="post" onSubmit={onSubmit}>
      <Stack>
        {version !== undefined && <input type="hidden" name="version" value={version} />}
        <NotSaved errors={errors} />
        <TextBox
          name="name"
          label="Family name"
          value={value.name}
          onChange={(name) => onChange({ name })}
          error={errors.name}
          hint="As the family wants to be called."
          maxLength={80}
          autoFocus
        />
        <Choice
          name="language"
          label="Home language"
          value={value.language}
          onChange={(language) => onChange({ language })}
          error={errors.language}
          options={[...new Set([...languages, value.language])].map((code) => ({
            value: code,
            label: aboutLanguage(code).name,
          }))}
        />
        <TextBox
          name="speaks"
          label="Other languages"
          value={value.speaks}
          onChange={(speaks) => onChange({ speaks })}
          error={errors.speaks}
          hint="What else is spoken at home, with commas between."
          maxLength={120}
        />
        <TextBox
          name="children"
          label="Children"
          lines={2}
          value={value.children}
          onChange={(children) => onChange({ children })}
          error={errors.children}
          hint="A line for each: a nickname or an initial, and the grade, such as “A., grade 1”. No full names."
          maxLength={400}
        />
        <TextBox
          name="group"
          label="Class or group"
          value={value.group}
          onChange={(group) => onChange({ group })}
          error={errors.group}
          hint="With whom bags are carried home, such as “Room 4”."
          maxLength={40}
        />
        <TextBox
          name="reach"
          label="How to reach them"
          value={value.reach}
          onChange={(reach) => onChange({ reach })}
          error={errors.reach}
          hint="A phone number, a mail address, or “at the gate”."
          maxLength={120}
        />
        <Choice
          name="channel"
          label="Reminders"
          value={value.channel}
          onChange={(channel) => onChange({ channel: channel as Channel })}
          error={errors.channel}
          options={Object.entries(CHANNELS).map(([code, label]) => ({ value: code, label }))}
        />
        <TickBox
          name="weekly"
          value="true"
          isSelected={value.weekly}
          onChange={(weekly) => onChange({ weekly })}
        >
          They would rather hear from us once a week at the most
        </TickBox>
        <TickBox
          name="underThree"
          value="true"
          isSelected={value.underThree}
          onChange={(underThree) => onChange({ underThree })}
        >
          A child under three lives at home (small parts)
        </TickBox>
        <TextBox
          name="allergens"
          label="Allergens"
          value={value.allergens}
          onChange={(allergens) => onChange({ allergens })}
          error={errors.allergens}
          hint="Only what matters for a basket, such as latex."
          maxLength={120}
        />
        <TickBox
          name="pictures"
          value="true"
          isSelected={value.pictures}
          onChange={(pictures) => onChange({ pictures })}
        >
          They allow pictures of work done at home; without it none can be sent, and those that are here go
        </TickBox>
        <Row>
          <Button type="submit" isPending={busy}>
            {action}
          </Button>
          {children}
        </Row>
      </Stack>
    </Form>
  );
}
