import { Ways, type Way } from './Ways';

const WAYS: readonly (Way & { helpers: boolean })[] = [
  { to: '/lend', label: 'One bag', helpers: true, end: true },
  { to: '/lend/hall', label: 'In the hall', helpers: true, reload: true },
  { to: '/lend/tables', label: 'Sign-in table', helpers: true },
  { to: '/lend/rounds', label: 'Hand-outs', helpers: true },
  { to: '/lend/evenings', label: 'Evenings', helpers: true },
  { to: '/lend/rehearse', label: 'Rehearse', helpers: true },
  { to: '/lend/waiting', label: 'Who waits', helpers: false },
  { to: '/lend/messages', label: 'Messages', helpers: false },
  { to: '/lend/families', label: 'Families', helpers: false },
  { to: '/lend/calendar', label: 'Calendar', helpers: false },
  { to: '/lend/rules', label: 'Rules', helpers: false },
];

/** The ways from the lending desk to what stands behind it. */
export const LendWays = ({ coordinates }: { coordinates: boolean }) => (
  <Ways label="Lending" ways={WAYS.filter(({ helpers }) => helpers || coordinates)} />
);
