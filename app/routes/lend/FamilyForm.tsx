import type { ReactNode } from 'react';
import { Form } from 'react-router';
import type { FieldErrors } from '~/core/check/check';
import type { FamilyFields } from '~/core/lending/families';
import { aboutLanguage } from '~/core/words/languages';
import { Button, useSending } from '~/app/ui/Button';
import { plainValue, type FieldWords } from '~/app/ui/Changes';
import { Choice, TextBox, TickBox } from '~/app/ui/fields';
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
  reach: 'How to reach them',
  underThree: 'A child under three',
  allergens: 'Allergens',
};
/** The fields of a family in words. */
export const FAMILY_FIELDS: FieldWords = {
  label: (field) => LABELS[field] ?? field,
  show: (field, value) =>
    field === 'language' ? (aboutLanguage(value as string).name ?? plainValue(value)) : plainValue(value),
};

/** What the school keeps about a family: little, and nothing about the children but one flag. */
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
          hint="As the family wants to be called. No children’s names."
          maxLength={80}
          autoFocus
        />
        <Choice
          name="language"
          label="Home language"
          value={value.language}
          onChange={(language) => onChange({ language: language as FamilyFields['language'] })}
          error={errors.language}
          options={[...new Set([...languages, value.language])].map((code) => ({
            value: code,
            label: aboutLanguage(code).name,
          }))}
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
