import type { AnchorHTMLAttributes, ButtonHTMLAttributes, ReactNode } from 'react';
import { Link, useNavigation } from 'react-router';
import styled, { css } from 'styled-components';
import { color, cut } from './theme';

interface Tint {
  $quiet?: boolean;
  $clay?: boolean;
}

const face = css<Tint>`
  ${cut}
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 0.5rem;
  min-height: 44px;
  padding: 0.45rem 1.1rem;
  border: 1.5px solid ${({ $clay }) => ($clay ? color.clay : color.fern)};
  background: ${({ $quiet, $clay }) => ($quiet ? color.sheet : $clay ? color.clay : color.fern)};
  color: ${({ $quiet, $clay }) => ($quiet ? ($clay ? color.clay : color.deepFern) : color.paper)};
  font-weight: 700;
  text-decoration: none;
  cursor: pointer;
  transition: background 120ms;
  @media (hover: hover) {
    &:hover:not(:disabled) {
      background: ${({ $quiet, $clay }) => ($quiet ? ($clay ? color.clayLight : color.sprout) : $clay ? '#93421f' : color.deepFern)};
    }
  }
  &:active:not(:disabled) {
    transform: translateY(1px);
  }
  &:focus-visible {
    outline: 3px solid ${color.shore};
    outline-offset: 2px;
  }
  &:disabled {
    background: #e7e2d3;
    border-color: ${color.line};
    color: ${color.faint};
    cursor: default;
  }
  &[data-under-way] {
    /* Told by its edge: a fainter colour would be hard to read. */
    border-style: dashed;
    border-color: ${({ $quiet, $clay }) => ($quiet ? ($clay ? color.clay : color.fern) : color.paper)};
    cursor: progress;
  }
`;

const Face = styled.button<Tint>`
  ${face}
`;
const LinkFace = styled(Link)<Tint>`
  ${face}
`;

interface Look {
  /** A second choice: outlined. */
  quiet?: boolean;
  /** Something that takes away. */
  clay?: boolean;
  children: ReactNode;
}

/** Whether a form is on its way. A page that is only being read keeps no button waiting. */
export const useSending = (): boolean => useNavigation().formMethod !== undefined;

interface Pressed extends Look {
  onPress?: () => void;
  isDisabled?: boolean;
  /** Its form is under way: it keeps its focus and sends nothing twice. */
  isPending?: boolean;
}

/** A button says what it does with its object: "Lend this copy". */
export const Button = ({
  quiet,
  clay,
  isPending,
  isDisabled,
  onPress,
  type = 'button',
  ...props
}: Omit<ButtonHTMLAttributes<HTMLButtonElement>, 'onClick' | 'disabled' | 'children'> & Pressed) => (
  <Face
    $quiet={quiet ?? false}
    $clay={clay ?? false}
    {...props}
    type={isPending ? 'button' : type}
    disabled={isDisabled ?? false}
    onClick={isPending ? undefined : onPress}
    aria-disabled={isPending || undefined}
    data-under-way={isPending || undefined}
  />
);

/** A link that is the next action of a page. What is no page of the application is opened by the browser itself. */
export const ButtonLink = ({
  quiet,
  clay,
  href,
  ...props
}: Omit<AnchorHTMLAttributes<HTMLAnchorElement>, 'href' | 'children'> & Look & { href: string }) => (
  <LinkFace
    $quiet={quiet ?? false}
    $clay={clay ?? false}
    to={href}
    reloadDocument={isFile(href) || props.download !== undefined}
    {...props}
  />
);
const isFile = (href: string): boolean => /\.(pdf|csv|json|zip|xlf|ics|png|svg)(\?|#|$)/.test(href);
