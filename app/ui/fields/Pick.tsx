import styled from 'styled-components';
import type { ChoiceProps } from './Choice';
import { box, Title, useTold } from './frame';

const Native = styled.select`
  ${box}
  width: auto;
  min-width: 12rem;
`;

/** One of many, in the browser's own list: it works on every device and with every reader. */
export function Pick({ label, labelHidden, hint, error, options, onChange, ...props }: ChoiceProps) {
  const { id, control, told } = useTold({ hint, error });
  return (
    <div>
      <Title htmlFor={id} className={labelHidden ? 'visually-hidden' : undefined}>
        {label}
      </Title>
      <Native {...props} id={id} onChange={(event) => onChange?.(event.target.value)} {...control}>
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </Native>
      {told}
    </div>
  );
}
