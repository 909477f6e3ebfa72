import { useState } from 'react';
import styled from 'styled-components';
import type { FieldErrors } from '~/core/check/check';
import { showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import { LABEL_STOCKS, labelStockSchema, type LabelOrder } from '~/core/pack/stock';
import { PACK_ITEMS, PACK_SCOPES, type PackItem, type PackScope } from '~/core/pack/choices';
import type { PieceChoice } from '~/core/pack/pack';
import { CUTS, FINISHES, PAPERS, type Cuts, type Finish, type Lost, type Paper } from '~/core/paper/sheet';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { Choice } from '~/app/ui/fields/Choice';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Faint, Row, Stack } from '~/app/ui/Page';

export interface Choices {
  items: readonly PackItem[];
  paper: Paper;
  home: Language;
  /** Those of the school. */
  languages: readonly Language[];
  twoSided: boolean;
  finish: Finish;
  cuts: Cuts;
  fill: boolean;
  scope: PackScope;
  lost?: Lost | undefined;
  stock: string;
  labels: LabelOrder;
  loans: number;
}

const Group = styled.fieldset`
  border: 0;
  margin: 0;
  padding: 0;
  legend {
    font-weight: 700;
    padding: 0;
  }
`;
const More = styled.details`
  summary {
    cursor: pointer;
    min-height: 44px;
    padding-top: 0.6rem;
    font-weight: 700;
  }
`;

/** A piece as it stands in the address. */
const keyOf = ({ material, name, variant }: Lost): string =>
  [material, name, ...(variant === undefined ? [] : [variant])].join('|');

const options = <T extends string>(labels: Record<T, string>) =>
  Object.entries<string>(labels).map(([value, label]) => ({ value, label }));

/** Everything that can be chosen about a pack; a change shows its pages at once. */
export function PackChoices({
  choosable,
  more,
  chosen,
  choices,
  pieces,
  errors,
  onChange,
}: {
  choosable: readonly { id: string; tag: string; kitName: string; printed: boolean }[];
  /** Copies that are not printed yet and not in this list. */
  more: number;
  chosen: readonly string[];
  choices: Choices;
  pieces: readonly PieceChoice[];
  errors: FieldErrors;
  onChange: () => void;
}) {
  const [open, setOpen] = useState(false);
  const { scope, stock, labels } = choices;
  const all = choosable.map((copy) => (
    <TickBox
      onChange={onChange}
      key={copy.id}
      name="copy"
      value={copy.id}
      defaultSelected={chosen.includes(copy.id)}
    >
      {showTag(copy.tag)}{' '}
      <Faint as="span">
        {copy.kitName}
        {copy.printed ? ', printed before' : ''}
      </Faint>
    </TickBox>
  ));
  return (
    <Stack>
      <Group>
        <legend>Copies</legend>
        <Row $gap="0.2rem 1.4rem">{all}</Row>
        {more > 0 && (
          <Faint>And {count(more, 'copy', 'copies')} more to print, once these are marked as printed.</Faint>
        )}
      </Group>
      <Choice
        onChange={onChange}
        name="scope"
        label="Print"
        defaultValue={scope}
        options={options(PACK_SCOPES)}
      />
      {scope === 'lost' ? (
        <Pick
          name="lost"
          label="Which piece was lost?"
          hint="A whole sheet of it is printed: keep the others for the next time."
          defaultValue={choices.lost ? keyOf(choices.lost) : ''}
          options={[
            { value: '', label: 'Choose a piece' },
            ...pieces.map((piece) => ({ value: keyOf(piece), label: piece.label })),
          ]}
        />
      ) : (
        <Group>
          <legend>Pages</legend>
          <Row $gap="0.2rem 1.4rem">
            {(Object.keys(PACK_ITEMS) as PackItem[]).map((item) => (
              <TickBox
                onChange={onChange}
                key={item}
                name="item"
                value={item}
                defaultSelected={choices.items.includes(item)}
              >
                {PACK_ITEMS[item]}
              </TickBox>
            ))}
          </Row>
        </Group>
      )}
      <Row $gap="0.8rem 1.6rem">
        <Choice
          onChange={onChange}
          name="finish"
          label="Made to last"
          defaultValue={choices.finish}
          options={options(FINISHES)}
        />
        <Pick
          name="home"
          label="Home language"
          defaultValue={choices.home}
          options={choices.languages.map((value) => ({ value, label: aboutLanguage(value).name }))}
        />
      </Row>
      <Row $gap="0.8rem 1.6rem">
        <Choice
          onChange={onChange}
          name="paper"
          label="Paper"
          defaultValue={choices.paper}
          options={Object.entries(PAPERS).map(([value, { name }]) => ({ value, label: name }))}
        />
        <Choice
          onChange={onChange}
          name="sides"
          label="Printer"
          defaultValue={choices.twoSided ? 'two' : 'one'}
          options={[
            { value: 'two', label: 'Both sides' },
            { value: 'one', label: 'One side' },
          ]}
        />
      </Row>
      <More
        open={open || Object.keys(errors).length > 0}
        onToggle={(event) => setOpen(event.currentTarget.open)}
      >
        <summary>Cuts, spares, label sheets and loans</summary>
        <Stack>
          <Row $gap="0.8rem 1.6rem">
            <Choice
              onChange={onChange}
              name="cuts"
              label="Cut along"
              defaultValue={choices.cuts}
              options={options(CUTS)}
            />
            <Choice
              onChange={onChange}
              name="fill"
              label="Room left on the last sheet"
              defaultValue={choices.fill ? 'yes' : 'no'}
              options={[
                { value: 'yes', label: 'Fill it with spares' },
                { value: 'no', label: 'Leave it empty' },
              ]}
            />
          </Row>
          <Row $gap="0.8rem 1.6rem">
            <Pick
              name="stock"
              label="Labels on"
              defaultValue={stock}
              options={[
                { value: 'plain', label: 'Plain paper, to cut out' },
                ...Object.entries(LABEL_STOCKS).map(([value, { name }]) => ({ value, label: name })),
                { value: 'own', label: 'A label sheet of other measures' },
              ]}
            />
            {stock !== 'plain' && (
              <TextBox
                name="used"
                label="Labels of the first sheet used already"
                defaultValue={String(labels.used ?? 0)}
              />
            )}
            <TextBox
              name="loans"
              label="Loans expected of a copy"
              hint="1 to 100"
              defaultValue={String(choices.loans)}
            />
          </Row>
          {stock === 'own' && (
            <Row $gap="0.8rem 1.6rem">
              {Object.entries(labelStockSchema.properties).map(([name, { title }]) => (
                <TextBox
                  key={name}
                  name={name}
                  label={title!}
                  defaultValue={String(
                    labels.stock?.[name as keyof typeof labelStockSchema.properties] ?? '',
                  )}
                  error={errors[name]}
                />
              ))}
            </Row>
          )}
        </Stack>
      </More>
      <noscript>
        <button type="submit">Show these pages</button>
      </noscript>
    </Stack>
  );
}
