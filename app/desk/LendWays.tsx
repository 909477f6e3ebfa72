import { NavLink } from 'react-router';
import styled from 'styled-components';
import { color } from '~/app/ui/theme';

const Ways = styled.nav`
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

const WAYS = [
  { to: '/lend', label: 'One bag', helpers: true },
  { to: '/lend/hall', label: 'In the hall', helpers: true },
  { to: '/lend/tables', label: 'Sign-in table', helpers: true },
  { to: '/lend/rounds', label: 'Hand-outs', helpers: true },
  { to: '/lend/waiting', label: 'Who waits', helpers: false },
  { to: '/lend/messages', label: 'Messages', helpers: false },
  { to: '/lend/families', label: 'Families', helpers: false },
  { to: '/lend/calendar', label: 'Calendar', helpers: false },
  { to: '/lend/rules', label: 'Rules', helpers: false },
] as const;

/** The ways from the lending desk to what stands behind it. */
export const LendWays = ({ coordinates }: { coordinates: boolean }) => (
  <Ways aria-label="Lending">
    <ul>
      {WAYS.filter(({ helpers }) => helpers || coordinates).map(({ to, label }) => (
        <li key={to}>
          <NavLink
            to={to}
            end={to === '/lend'}
            prefetch={to === '/lend/hall' ? 'none' : 'intent'}
            // A page of its own: it may use the camera, and is kept for when there is no network.
            reloadDocument={to === '/lend/hall'}
          >
            {label}
          </NavLink>
        </li>
      ))}
    </ul>
  </Ways>
);
