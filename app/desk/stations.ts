import type { StationKey } from '~/core/lending/day';
import type { Role } from '~/core/people/role';

export type { StationKey };

/** The stations in the order of the work, with who works there and what waits there. */
export const STATIONS: readonly {
  key: StationKey;
  label: string;
  path: string;
  /** What is counted there: one of it, and several. */
  waits: readonly [one: string, several: string];
  roles: readonly Role[];
}[] = [
  {
    key: 'choose',
    label: 'Choose',
    path: '/choose',
    waits: ['thing to choose', 'things to choose'],
    roles: ['coordinator'],
  },
  {
    key: 'fill',
    label: 'Fill',
    path: '/fill',
    waits: ['build run to go on with', 'build runs to go on with'],
    roles: ['coordinator', 'helper'],
  },
  {
    key: 'word',
    label: 'Word',
    path: '/word',
    waits: ['line or message to check the words of', 'lines and messages to check the words of'],
    roles: ['coordinator', 'reader'],
  },
  {
    key: 'print',
    label: 'Print',
    path: '/print',
    waits: ['pack to print', 'packs to print'],
    roles: ['coordinator', 'helper'],
  },
  {
    key: 'lend',
    label: 'Lend',
    path: '/lend',
    waits: ['bag or message to see to', 'bags and messages to see to'],
    roles: ['coordinator', 'helper'],
  },
  {
    key: 'takeBack',
    label: 'Take back',
    path: '/take-back',
    waits: ['bag to take back, count or mend', 'bags to take back, count or mend'],
    roles: ['coordinator', 'helper'],
  },
  {
    key: 'listen',
    label: 'Listen',
    path: '/listen',
    waits: ['answer or text to read', 'answers and texts to read'],
    roles: ['coordinator'],
  },
  {
    key: 'lookBack',
    label: 'Look back',
    path: '/look-back',
    waits: ['thing to look at', 'things to look at'],
    roles: ['coordinator'],
  },
];
