import { Minus, Plus } from 'lucide-react';
import { Button, Group, Input, NumberField } from 'react-aria-components';
import styled from 'styled-components';
import { color, cut } from '../theme';
import { Hint, Mistake, Title } from './aria';
import type { FieldProps } from './frame';

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
  defaultValue?: number | undefined;
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
  value,
  defaultValue,
  onChange,
  ...props
}: NumberProps) => (
  <NumberField
    {...props}
    {...(value === undefined ? {} : { value })}
    {...(defaultValue === undefined ? {} : { defaultValue })}
    {...(onChange && { onChange: (typed) => void (Number.isFinite(typed) && onChange(typed)) })}
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
