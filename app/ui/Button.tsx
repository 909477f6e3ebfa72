import type { ReactNode } from 'react';
import {
  Button as AriaButton,
  Link as AriaLink,
  type ButtonProps,
  type LinkProps,
} from 'react-aria-components';
import { useNavigation } from 'react-router';
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
  &[data-hovered] {
    background: ${({ $quiet, $clay }) => ($quiet ? ($clay ? color.clayLight : color.sprout) : $clay ? '#93421f' : color.deepFern)};
  }
  &[data-pressed] {
    transform: translateY(1px);
  }
  &[data-focus-visible] {
    outline: 3px solid ${color.shore};
    outline-offset: 2px;
  }
  &[data-disabled] {
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

const Face = styled(AriaButton)<Tint>`
  ${face}
`;
const LinkFace = styled(AriaLink)<Tint>`
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

/** A button says what it does with its object: "Lend this copy". */
export const Button = ({ quiet, clay, isPending, type, ...props }: Omit<ButtonProps, 'children'> & Look) => (
  // While its form is under way a button keeps its focus and sends nothing twice.
  <Face
    $quiet={quiet}
    $clay={clay}
    {...props}
    type={isPending ? 'button' : type}
    aria-disabled={isPending || undefined}
    data-under-way={isPending || undefined}
  />
);

/** A link that is the next action of a page. */
export const ButtonLink = ({ quiet, clay, ...props }: Omit<LinkProps, 'children'> & Look) => (
  <LinkFace $quiet={quiet} $clay={clay} {...props} />
);
