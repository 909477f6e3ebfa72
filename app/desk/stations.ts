import type { StationKey } from '~/core/lending/day';
import type { Role } from '~/core/people/role';

export type { StationKey };

/** The stations in the order of the work, with who works there and what waits there. */
export const STATIONS: readonly {
  key: StationKey;
  label: string;
  path: string;
  waits: string;
  roles: readonly Role[];
}[] = [
  { key: 'choose', label: 'Choose', path: '/choose', waits: 'to choose', roles: ['coordinator'] },
  {
    key: 'fill',
    label: 'Fill',
    path: '/fill',
    waits: 'build runs to go on with',
    roles: ['coordinator', 'helper'],
  },
  {
    key: 'word',
    label: 'Word',
    path: '/word',
    waits: 'lines that families read at home, to check',
    roles: ['coordinator', 'reader'],
  },
  { key: 'print', label: 'Print', path: '/print', waits: 'packs to print', roles: ['coordinator', 'helper'] },
  {
    key: 'lend',
    label: 'Lend',
    path: '/lend',
    waits: 'bags and messages to see to',
    roles: ['coordinator', 'helper'],
  },
  {
    key: 'takeBack',
    label: 'Take back',
    path: '/take-back',
    waits: 'bags to take back, count or mend',
    roles: ['coordinator', 'helper'],
  },
  {
    key: 'listen',
    label: 'Listen',
    path: '/listen',
    waits: 'answers and texts to read',
    roles: ['coordinator'],
  },
  {
    key: 'lookBack',
    label: 'Look back',
    path: '/look-back',
    waits: 'to look at',
    roles: ['coordinator'],
  },
];
