/** What a kind of part is: its names, its size, what it is made of and what it can stand in for. */
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { bodyOf, type MaterialFlag } from '~/core/materials/catalogue';
import {
  ALLERGENS,
  FLAGS,
  FORMS,
  KINDS,
  shownName,
  type Allergen,
  type SchoolMaterialFields,
  type MaterialFields,
} from '~/core/materials/school';
import { CHOKE_TUBE_MM, fitsTube, isSmallBall, SMALL_BALL_MM } from '~/core/materials/tube';
import { formsOf, sampleOf } from '~/core/words/inspect';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { Button, useSending } from '~/app/ui/Button';
import { plainValue, type FieldWords } from '~/app/ui/Changes';
import { Choice } from '~/app/ui/fields/Choice';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { NotSaved } from '~/app/ui/NotSaved';
import { Faint, Row, Stack } from '~/app/ui/Page';

const LABELS: Record<keyof MaterialFields, string> = {
  name: 'Name of one',
  plural: 'Name of several',
  kind: 'Does it last',
  form: 'Form',
  smallestMm: 'Smallest dimension (mm)',
  middleMm: 'Middle dimension (mm)',
  largestMm: 'Largest dimension (mm)',
  allergens: 'What it is made of',
  otherAllergens: 'Other allergens',
  flags: 'What else can hurt',
  washable: 'It can be wiped or washed',
  standsInFor: 'It can also stand in for',
  changes: 'What changes then',
  names: 'Names in other languages',
};

type Replaceable = readonly { id: string; plural: string }[];

export const materialWords = (replaceable: Replaceable): FieldWords => ({
  label: (field) => LABELS[field as keyof MaterialFields] ?? field,
  show: (field, value) =>
    field === 'form'
      ? FORMS[value as keyof typeof FORMS]
      : field === 'kind'
        ? KINDS[value as keyof typeof KINDS]
        : field === 'standsInFor'
          ? (replaceable.find(({ id }) => id === value)?.plural ?? 'nothing more')
          : field === 'names'
            ? plainValue(
                Object.entries(value as MaterialFields['names']).map(
                  ([language, names]) => `${aboutLanguage(language).name}: ${names?.other ?? ''}`,
                ),
              )
            : plainValue(value),
});

/** Whether the tube for small parts takes it, told while its size is typed. */
function Fits({ value }: { value: MaterialFields }) {
  const [a, b, c] = [value.smallestMm, value.middleMm, value.largestMm].sort((x, y) => x - y) as [
    number,
    number,
    number,
  ];
  const body = bodyOf(a, c, value.form, b);
  const small = fitsTube(body);
  const ball = isSmallBall(body);
  return small || ball ? (
    <Said kind="mind" word="Not for children under three" live>
      {small
        ? `It fits the small-parts tube (${CHOKE_TUBE_MM} mm wide, 16 CFR 1501.4). `
        : `The ball passes an opening ${SMALL_BALL_MM} mm wide (16 CFR 1500.18). `}
      Kits with it ask for a decision before they go to a family with a child under three. Your district’s
      rules and licensed staff decide.
    </Said>
  ) : (
    <Faint>It does not fit the small-parts tube ({CHOKE_TUBE_MM} mm wide), however it is turned.</Faint>
  );
}

const toggled = <T extends string>(list: readonly T[], one: T, on: boolean): T[] =>
  on ? [...list, one] : list.filter((other) => other !== one);

export function MaterialForm({
  value,
  version,
  onChange,
  onSubmit,
  errors,
  shipped,
  replaceable,
  languages,
  action,
}: {
  value: MaterialFields;
  version?: number;
  onChange: (change: Partial<MaterialFields>) => void;
  onSubmit: () => void;
  errors: FieldErrors;
  /** It ships with the application: whether it lasts is known. */
  shipped: boolean;
  replaceable: Replaceable;
  /** Those of the school beside English. */
  languages: readonly Language[];
  action: string;
}) {
  const busy = useSending();
  const size = (field: 'smallestMm' | 'middleMm' | 'largestMm', label: string) => (
    <NumberBox
      name={field}
      label={label}
      min={0.1}
      max={2000}
      step={0.1}
      value={value[field]}
      onChange={(n) => onChange({ [field]: n })}
      error={errors[field]}
    />
  );
  return (
    <Form method="post" onSubmit={onSubmit}>
      <input type="hidden" name="intent" value="save" />
      <Stack>
        {version !== undefined && <input type="hidden" name="version" value={version} />}
        <NotSaved errors={errors} />
        <Row $gap="1.4rem">
          <TextBox
            name="name"
            label={LABELS.name}
            value={value.name}
            onChange={(name) => onChange({ name })}
            error={errors.name}
            hint="Such as “acorn cap”."
            maxLength={40}
          />
          <TextBox
            name="plural"
            label={LABELS.plural}
            value={value.plural}
            onChange={(plural) => onChange({ plural })}
            error={errors.plural}
            hint="Such as “acorn caps”."
            maxLength={40}
          />
        </Row>
        {shipped ? (
          <input type="hidden" name="kind" value={value.kind} />
        ) : (
          <Choice
            name="kind"
            label={LABELS.kind}
            value={value.kind}
            onChange={(kind) => onChange({ kind: kind as SchoolMaterialFields['kind'] })}
            options={Object.entries(KINDS).map(([id, label]) => ({ value: id, label }))}
            error={errors.kind}
          />
        )}
        <Choice
          name="form"
          label={LABELS.form}
          value={value.form}
          onChange={(form) => onChange({ form: form as SchoolMaterialFields['form'] })}
          options={Object.entries(FORMS).map(([id, label]) => ({ value: id, label }))}
          error={errors.form}
        />
        <Row $gap="1.4rem">
          {size('smallestMm', 'Smallest (mm)')}
          {size('middleMm', 'Middle (mm)')}
          {size('largestMm', 'Largest (mm)')}
        </Row>
        <Fits value={value} />
        <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
          <legend style={{ fontWeight: 700, padding: 0 }}>What it is made of, and what can hurt</legend>
          <Row $gap="1.4rem">
            {(Object.entries(ALLERGENS) as [Allergen, string][]).map(([id, label]) => (
              <TickBox
                key={id}
                name="allergens"
                value={id}
                isSelected={value.allergens.includes(id)}
                onChange={(on) => onChange({ allergens: toggled(value.allergens, id, on) })}
              >
                {label}
              </TickBox>
            ))}
            {(Object.entries(FLAGS) as [MaterialFlag, string][]).map(([id, label]) => (
              <TickBox
                key={id}
                name="flags"
                value={id}
                isSelected={value.flags.includes(id)}
                onChange={(on) => onChange({ flags: toggled(value.flags, id, on) })}
              >
                {label}
              </TickBox>
            ))}
          </Row>
        </fieldset>
        <Row $gap="1.4rem">
          <TextBox
            name="otherAllergens"
            label={LABELS.otherAllergens}
            value={value.otherAllergens}
            onChange={(otherAllergens) => onChange({ otherAllergens })}
            error={errors.otherAllergens}
            hint="With commas, such as “soy, lanolin”: a family that names one is warned about."
            maxLength={80}
          />
          <TickBox
            name="washable"
            value="true"
            isSelected={value.washable}
            onChange={(washable) => onChange({ washable })}
          >
            {LABELS.washable}
          </TickBox>
        </Row>
        <Row $gap="1.4rem">
          <Pick
            name="standsInFor"
            label={LABELS.standsInFor}
            value={value.standsInFor}
            onChange={(standsInFor) => onChange({ standsInFor })}
            options={[
              { value: '', label: 'nothing more' },
              ...replaceable.map(({ id, plural }) => ({ value: id, label: plural })),
            ]}
            error={errors.standsInFor}
          />
          <TextBox
            name="changes"
            label={LABELS.changes}
            value={value.changes}
            onChange={(changes) => onChange({ changes })}
            error={errors.changes}
            hint="A sentence for whoever fills the bag. You may leave it empty."
            maxLength={160}
          />
        </Row>
        <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
          <legend style={{ fontWeight: 700, padding: 0 }}>Names for families in other languages</legend>
          <Faint>
            {shipped
              ? 'What is left empty stays as it ships.'
              : 'Without one, families read the English name, marked so.'}
          </Faint>
          {languages.map((language) => {
            const names = value.names[language] ?? {};
            return (
              <Row key={language} $gap="1.2rem" style={{ marginTop: '0.6rem' }}>
                {formsOf(language).map((form) => (
                  <TextBox
                    key={form}
                    name={`names.${language}.${form}`}
                    label={`${aboutLanguage(language).name}, for ${sampleOf(language, form)}`}
                    value={names[form] ?? ''}
                    onChange={(text) =>
                      onChange({ names: { ...value.names, [language]: { ...names, [form]: text } } })
                    }
                    hint={
                      <bdi lang={language}>
                        {shownName(
                          language,
                          { ...names, other: names[form] ?? '' },
                          sampleOf(language, form),
                        )}
                      </bdi>
                    }
                    error={errors[`names.${language}.${form}`]}
                    maxLength={40}
                  />
                ))}
              </Row>
            );
          })}
        </fieldset>
        <Row>
          <Button type="submit" isPending={busy}>
            {action}
          </Button>
        </Row>
      </Stack>
    </Form>
  );
}
