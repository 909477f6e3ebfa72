import { ChevronDown } from 'lucide-react';
import { Button, ComboBox, Group, Input, ListBox, ListBoxItem, Popover } from 'react-aria-components';
import styled from 'styled-components';
import { color, cut } from '../theme';
import { Hint, Mistake, Title } from './aria';
import { box, type FieldProps } from './frame';

const Box = styled(Input)`
  ${box}
`;
const Suggestions = styled(Group)`
  display: flex;
  position: relative;
  button {
    position: absolute;
    inset-block: 2px;
    inset-inline-end: 2px;
    width: 40px;
    border: 0;
    background: none;
    color: ${color.deepFern};
    display: grid;
    place-items: center;
    cursor: pointer;
  }
`;
const Found = styled(Popover)`
  ${cut}
  width: var(--trigger-width);
  max-height: 18rem;
  overflow: auto;
  border: 1.5px solid ${color.faint};
  background: ${color.sheet};
`;
const OneFound = styled(ListBoxItem)`
  padding: 0.55rem 0.8rem;
  min-height: 40px;
  cursor: pointer;
  &[data-focused] {
    background: ${color.sprout};
  }
  &[data-selected] {
    font-weight: 700;
  }
`;

/** One of very many, found by typing a part of it. */
export const Suggest = ({
  label,
  hint,
  error,
  options,
  value,
  onChange,
  name,
}: FieldProps & { options: readonly string[]; value: string; onChange: (value: string) => void }) => (
  <ComboBox
    name={name}
    formValue="key"
    defaultItems={options.map((id) => ({ id }))}
    selectedKey={value}
    onSelectionChange={(key) => key !== null && onChange(String(key))}
    isInvalid={Boolean(error)}
    validationBehavior="aria"
    menuTrigger="input"
  >
    <Title>{label}</Title>
    <Suggestions>
      {/* Moved clear of the scan line before anything is typed: a list that is open closes when the page moves. */}
      <Box onFocus={(event) => event.currentTarget.scrollIntoView({ block: 'nearest' })} />
      <Button aria-label="Show all">
        <ChevronDown size={20} aria-hidden />
      </Button>
    </Suggestions>
    {hint && <Hint slot="description">{hint}</Hint>}
    <Mistake>{error}</Mistake>
    <Found>
      <ListBox>
        {({ id }: { id: string }) => (
          <OneFound id={id} textValue={id}>
            {id.replaceAll('_', ' ')}
          </OneFound>
        )}
      </ListBox>
    </Found>
  </ComboBox>
);
