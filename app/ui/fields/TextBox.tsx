import { useState, type FocusEvent } from 'react';
import styled from 'styled-components';
import { color } from '../theme';
import { box, Title, useTold, type FieldProps } from './frame';

const Box = styled.input`
  ${box}
`;
const AreaBox = styled.textarea`
  ${box}
  resize: vertical;
`;

interface TextProps extends FieldProps {
  value?: string;
  defaultValue?: string | undefined;
  onChange?: (value: string) => void;
  onBlur?: (event: FocusEvent) => void;
  inputType?: 'text' | 'password' | 'date' | 'search';
  autoComplete?: string;
  autoFocus?: boolean | undefined;
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
  onChange,
  ...props
}: TextProps) {
  const [shown, setShown] = useState(false);
  const { id, control, told } = useTold({ hint, error });
  const about = {
    ...props,
    ...control,
    id,
    onChange: onChange && (({ target }: { target: { value: string } }) => onChange(target.value)),
  };
  return (
    <div>
      <Title htmlFor={id} className={labelHidden ? 'visually-hidden' : undefined}>
        {label}
      </Title>
      {lines ? (
        <AreaBox {...about} rows={lines} />
      ) : (
        <Box {...about} type={inputType === 'password' && shown ? 'text' : inputType} />
      )}
      {inputType === 'password' && (
        // On pages without scripts of their own, door.js does what this does.
        <Showing>
          <input
            type="checkbox"
            data-shows={id}
            checked={shown}
            onChange={({ target }) => setShown(target.checked)}
          />{' '}
          Show what is typed
        </Showing>
      )}
      {told}
    </div>
  );
}
