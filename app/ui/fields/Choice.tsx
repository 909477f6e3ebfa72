import { useState } from 'react';
import styled from 'styled-components';
import { color, cut } from '../theme';
import { Title, useTold, type FieldProps } from './frame';

const Options = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
`;
const OneOption = styled.label`
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
  @media (hover: hover) {
    &:hover {
      background: ${color.sprout};
    }
  }
  &:has(:checked) {
    border-color: ${color.fern};
    background: ${color.sprout};
    font-weight: 700;
  }
  &:has(:checked)::before {
    background: ${color.fern};
    border-color: ${color.fern};
  }
  &:has(:focus-visible) {
    outline: 3px solid ${color.shore};
    outline-offset: 2px;
  }
`;

export interface ChoiceProps extends FieldProps {
  value?: string;
  defaultValue?: string;
  onChange?: (value: string) => void;
  options: readonly { value: string; label: string }[];
}

/** One of a few; each is in sight. */
export function Choice({ name, label, hint, error, options, value, defaultValue, onChange }: ChoiceProps) {
  const [chosen, choose] = useState(defaultValue);
  const { id, control, told } = useTold({ hint, error });
  return (
    <div role="radiogroup" aria-labelledby={id} {...control}>
      <Title as="span" id={id}>
        {label}
      </Title>
      <Options>
        {options.map((option) => (
          <OneOption key={option.value}>
            <input
              className="visually-hidden"
              type="radio"
              name={name}
              value={option.value}
              checked={option.value === (value ?? chosen)}
              onChange={() => {
                choose(option.value);
                onChange?.(option.value);
              }}
            />
            {option.label}
          </OneOption>
        ))}
      </Options>
      {told}
    </div>
  );
}
