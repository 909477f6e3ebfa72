import { NavLink } from 'react-router';
import styled from 'styled-components';
import { color } from '~/app/ui/theme';

const Bar = styled.nav`
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1.3rem;
    border-bottom: 1px solid ${color.line};
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    color: ${color.shore};
  }
  a[aria-current='page'] {
    color: ${color.deepFern};
    font-weight: 700;
    text-decoration: none;
    box-shadow: inset 0 -3px ${color.fern};
  }
`;

export interface Way {
  to: string;
  label: string;
  /** Current only on this very page, not on those behind it. */
  end?: boolean;
  /** A page of its own: it may use the camera, and is kept for when there is no network. */
  reload?: boolean;
}

/** The ways from a station to what stands behind it. */
export const Ways = ({ label, ways }: { label: string; ways: readonly Way[] }) => (
  <Bar aria-label={label}>
    <ul>
      {ways.map(({ to, label: name, end, reload }) => (
        <li key={to}>
          <NavLink
            to={to}
            end={end ?? false}
            prefetch={reload ? 'none' : 'intent'}
            reloadDocument={reload ?? false}
          >
            {name}
          </NavLink>
        </li>
      ))}
    </ul>
  </Bar>
);
