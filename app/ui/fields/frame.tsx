/** What is around every field: its name, a hint, and what is wrong with it. */
import { useId, type ReactNode } from 'react';
import styled, { css } from 'styled-components';
import { color, cut } from '../theme';

export const title = css`
  display: block;
  font-weight: 700;
  margin-bottom: 0.25rem;
`;
export const hint = css`
  display: block;
  font-size: 0.95rem;
  color: ${color.faint};
  margin-top: 0.25rem;
`;
export const mistake = css`
  display: block;
  color: ${color.clay};
  font-weight: 700;
  margin-top: 0.25rem;
`;
export const box = css`
  ${cut}
  width: 100%;
  min-height: 44px;
  padding: 0.45rem 0.7rem;
  border: 1.5px solid ${color.faint};
  background: ${color.sheet};
  &[aria-invalid='true'] {
    border-color: ${color.clay};
    border-width: 2px;
  }
  &:focus {
    outline: 3px solid ${color.shore};
    outline-offset: 1px;
  }
`;

export const Title = styled.label`
  ${title}
`;
export const Hint = styled.span`
  ${hint}
`;
export const Mistake = styled.span`
  ${mistake}
`;

export interface FieldProps {
  name: string;
  label: string;
  /** The label is there for readers only: the place says what it is. */
  labelHidden?: boolean | undefined;
  hint?: ReactNode;
  error?: string | undefined;
}

/** What a field tells of itself, and the ids by which its control is told. */
export function useTold({ hint: help, error }: Pick<FieldProps, 'hint' | 'error'>) {
  const id = useId();
  const by = [help && `${id}-hint`, error && `${id}-mistake`].filter(Boolean).join(' ');
  return {
    id,
    control: { 'aria-describedby': by || undefined, 'aria-invalid': error ? (true as const) : undefined },
    told: (
      <>
        {help && <Hint id={`${id}-hint`}>{help}</Hint>}
        {error && <Mistake id={`${id}-mistake`}>{error}</Mistake>}
      </>
    ),
  };
}
