import { Check } from 'lucide-react';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { color } from '../theme';

const Tick = styled.label`
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
  &:has(:checked) .box {
    background: ${color.fern};
    border-color: ${color.fern};
  }
  &:has(:checked) .box svg {
    visibility: visible;
  }
  &:has(:focus-visible) .box {
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

export const TickBox = ({ children, isSelected, defaultSelected, onChange, ...props }: TickProps) => (
  <Tick>
    <input
      {...props}
      className="visually-hidden"
      type="checkbox"
      checked={isSelected}
      defaultChecked={defaultSelected}
      onChange={({ target }) => onChange?.(target.checked)}
    />
    <span className="box">
      <Check size={18} strokeWidth={3} aria-hidden />
    </span>
    <span>{children}</span>
  </Tick>
);
