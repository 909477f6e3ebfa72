import { Check, ChevronDown, Minus, Plus } from 'lucide-react';
import { useId, useState, type FocusEvent, type ReactNode } from 'react';
import {
  Button,
  Checkbox as AriaCheckbox,
  ComboBox,
  FieldError,
  Group,
  Input,
  Label,
  ListBox,
  ListBoxItem,
  NumberField,
  Popover,
  Radio,
  RadioGroup,
  Text,
  TextArea,
  TextField,
} from 'react-aria-components';
import styled, { css } from 'styled-components';
import { color, cut } from './theme';

const Title = styled(Label)`
  display: block;
  font-weight: 700;
  margin-bottom: 0.25rem;
`;
const Hint = styled(Text)`
  display: block;
  font-size: 0.95rem;
  color: ${color.faint};
  margin-top: 0.25rem;
`;
const Mistake = styled(FieldError)`
  display: block;
  color: ${color.clay};
  font-weight: 700;
  margin-top: 0.25rem;
`;
const box = css`
  ${cut}
  width: 100%;
  min-height: 44px;
  padding: 0.45rem 0.7rem;
  border: 1.5px solid ${color.faint};
  background: ${color.sheet};
  &[data-invalid] {
    border-color: ${color.clay};
    border-width: 2px;
  }
  &[data-focused] {
    outline: 3px solid ${color.shore};
    outline-offset: 1px;
  }
`;
const Box = styled(Input)`
  ${box}
`;
const AreaBox = styled(TextArea)`
  ${box}
  resize: vertical;
`;

interface FieldProps {
  name: string;
  label: string;
  /** The label is there for readers only: the place says what it is. */
  labelHidden?: boolean;
  hint?: ReactNode;
  error?: string;
}

interface TextProps extends FieldProps {
  value?: string;
  defaultValue?: string;
  onChange?: (value: string) => void;
  onBlur?: (event: FocusEvent) => void;
  inputType?: 'text' | 'password' | 'date' | 'search';
  autoComplete?: string;
  autoFocus?: boolean;
  lines?: number;
  maxLength?: number;
  placeholder?: string;
  /** The language of what is typed, and its direction; label and hint stay as they are. */
  lang?: string;
  dir?: 'ltr' | 'rtl';
}

const Showing = styled.label`
  display: inline-flex;
  align-items: center;
  gap: 0.4rem;
  min-height: 32px;
  font-size: 0.95rem;
  color: ${color.ink};
`;

/** A line of text, or several. A password can be shown while it is typed. */
export function TextBox({
  label,
  labelHidden,
  hint,
  error,
  inputType = 'text',
  lines,
  placeholder,
  lang,
  dir,
  ...props
}: TextProps) {
  const [shown, setShown] = useState(false);
  const type = inputType === 'password' && shown ? 'text' : inputType;
  return (
    <TextField {...props} type={type as 'text'} isInvalid={Boolean(error)} validationBehavior="aria">
      <Title className={labelHidden ? 'visually-hidden' : undefined}>{label}</Title>
      {lines ? (
        <AreaBox rows={lines} {...{ placeholder, lang, dir }} />
      ) : (
        <Box {...{ placeholder, lang, dir }} />
      )}
      {inputType === 'password' && (
        <Showing>
          <input type="checkbox" checked={shown} onChange={({ target }) => setShown(target.checked)} /> Show
          what is typed
        </Showing>
      )}
      {hint && <Hint slot="description">{hint}</Hint>}
      <Mistake>{error}</Mistake>
    </TextField>
  );
}

const Stepper = styled(Group)`
  ${cut}
  display: inline-flex;
  border: 1.5px solid ${color.faint};
  background: ${color.sheet};
  overflow: hidden;
  &[data-focus-within] {
    outline: 3px solid ${color.shore};
    outline-offset: 1px;
  }
  &[data-invalid] {
    border-color: ${color.clay};
  }
  button {
    width: 46px;
    min-height: 44px;
    border: 0;
    background: ${color.sprout};
    color: ${color.deepFern};
    display: grid;
    place-items: center;
    cursor: pointer;
  }
  button[data-hovered] {
    background: #d3e2c9;
  }
  button[data-disabled] {
    color: #a9b3a4;
    cursor: default;
  }
  input {
    width: 4.2rem;
    border: 0;
    background: transparent;
    text-align: center;
    font-weight: 700;
    font-size: 1.15rem;
    font-variant-numeric: tabular-nums;
    outline: none;
  }
`;

interface NumberProps extends FieldProps {
  value?: number;
  defaultValue?: number;
  onChange?: (value: number) => void;
  min: number;
  max: number;
  /** Below 1 for a number with decimals. */
  step?: number;
  autoFocus?: boolean;
}

/** A whole number with a step down and a step up. What is typed outside the range comes back to its edge. */
export const NumberBox = ({
  label,
  labelHidden,
  hint,
  error,
  min,
  max,
  step = 1,
  onChange,
  ...props
}: NumberProps) => (
  <NumberField
    {...props}
    onChange={onChange && ((value) => Number.isFinite(value) && onChange(value))}
    minValue={min}
    maxValue={max}
    step={step}
    isInvalid={Boolean(error)}
    validationBehavior="aria"
    formatOptions={{ maximumFractionDigits: step < 1 ? 2 : 0, useGrouping: false }}
  >
    <Title className={labelHidden ? 'visually-hidden' : undefined}>{label}</Title>
    <Stepper>
      <Button slot="decrement" aria-label="One less:">
        <Minus size={18} aria-hidden />
      </Button>
      <Input />
      <Button slot="increment" aria-label="One more:">
        <Plus size={18} aria-hidden />
      </Button>
    </Stepper>
    {hint && <Hint slot="description">{hint}</Hint>}
    <Mistake>{error}</Mistake>
  </NumberField>
);

const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
`;
const OneOption = styled(Radio)`
  ${cut}
  display: inline-flex;
  align-items: center;
  gap: 0.5rem;
  min-height: 44px;
  padding: 0.4rem 0.9rem;
  border: 1.5px solid ${color.line};
  background: ${color.sheet};
  cursor: pointer;
  &::before {
    content: '';
    width: 14px;
    height: 14px;
    border-radius: 50% 50% 50% 2px;
    border: 2px solid ${color.faint};
    flex: none;
  }
  &[data-hovered] {
    background: ${color.sprout};
  }
  &[data-selected] {
    border-color: ${color.fern};
    background: ${color.sprout};
    font-weight: 700;
  }
  &[data-selected]::before {
    background: ${color.fern};
    border-color: ${color.fern};
  }
  &[data-focus-visible] {
    outline: 3px solid ${color.shore};
    outline-offset: 2px;
  }
`;

interface ChoiceProps extends FieldProps {
  value?: string;
  defaultValue?: string;
  onChange?: (value: string) => void;
  options: readonly { value: string; label: string }[];
}

/** One of a few; each is in sight. */
export const Choice = ({ label, hint, error, options, ...props }: ChoiceProps) => (
  <RadioGroup {...props} isInvalid={Boolean(error)} validationBehavior="aria">
    <Title>{label}</Title>
    <Options>
      {options.map((option) => (
        <OneOption key={option.value} value={option.value}>
          {option.label}
        </OneOption>
      ))}
    </Options>
    {hint && <Hint slot="description">{hint}</Hint>}
    <Mistake>{error}</Mistake>
  </RadioGroup>
);

const Tick = styled(AriaCheckbox)`
  display: flex;
  align-items: center;
  gap: 0.6rem;
  min-height: 44px;
  cursor: pointer;
  .box {
    width: 24px;
    height: 24px;
    border: 2px solid ${color.faint};
    border-radius: 2px 6px 3px 5px;
    background: ${color.sheet};
    display: grid;
    place-items: center;
    flex: none;
    color: ${color.paper};
  }
  .box svg {
    visibility: hidden;
  }
  &[data-selected] .box {
    background: ${color.fern};
    border-color: ${color.fern};
  }
  &[data-selected] .box svg {
    visibility: visible;
  }
  &[data-focus-visible] .box {
    outline: 3px solid ${color.shore};
    outline-offset: 2px;
  }
`;

interface TickProps {
  name?: string;
  value?: string;
  isSelected?: boolean;
  defaultSelected?: boolean;
  onChange?: (selected: boolean) => void;
  children: ReactNode;
}

export const TickBox = ({ children, ...props }: TickProps) => (
  <Tick {...props}>
    <span className="box">
      <Check size={18} strokeWidth={3} aria-hidden />
    </span>
    <span>{children}</span>
  </Tick>
);

const Native = styled.select`
  ${box}
  width: auto;
  min-width: 12rem;
`;

/** One of many, in the browser's own list: it works on every device and with every reader. */
export function Pick({ label, labelHidden, hint, error, options, onChange, ...props }: ChoiceProps) {
  const id = useId();
  return (
    <div>
      <Title htmlFor={id} className={labelHidden ? 'visually-hidden' : undefined}>
        {label}
      </Title>
      <Native
        {...props}
        id={id}
        onChange={(event) => onChange?.(event.target.value)}
        aria-describedby={hint || error ? `${id}-hint` : undefined}
        aria-invalid={Boolean(error) || undefined}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </Native>
      {(hint || error) && <Hint id={`${id}-hint`}>{error ?? hint}</Hint>}
    </div>
  );
}

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

/** A file from this computer. */
export const FileBox = styled.input`
  min-height: 44px;
  max-width: 100%;
  &::file-selector-button {
    min-height: 44px;
    padding: 0 1rem;
    margin-inline-end: 0.8rem;
    font: inherit;
    font-weight: 700;
    cursor: pointer;
  }
`;
