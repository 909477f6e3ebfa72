import type { Role } from '~/core/people/role';

export type StationKey = 'choose' | 'fill' | 'word' | 'print' | 'lend' | 'takeBack' | 'listen' | 'lookBack';

/** The stations in the order of the work, with who works there and what waits there. */
export const STATIONS: readonly {
  key: StationKey;
  label: string;
  path: string;
  waits: string;
  roles: readonly Role[];
}[] = [
  { key: 'choose', label: 'Choose', path: '/choose', waits: 'variants in no kit', roles: ['coordinator'] },
  {
    key: 'fill',
    label: 'Fill',
    path: '/fill',
    waits: 'kits to build and runs to go on with',
    roles: ['coordinator', 'helper'],
  },
  { key: 'word', label: 'Word', path: '/word', waits: 'lines to check', roles: ['coordinator', 'reader'] },
  { key: 'print', label: 'Print', path: '/print', waits: 'packs to print', roles: ['coordinator', 'helper'] },
  { key: 'lend', label: 'Lend', path: '/lend', waits: 'copies ready', roles: ['coordinator', 'helper'] },
  {
    key: 'takeBack',
    label: 'Take back',
    path: '/take-back',
    waits: 'copies due',
    roles: ['coordinator', 'helper'],
  },
  { key: 'listen', label: 'Listen', path: '/listen', waits: 'new answers', roles: ['coordinator'] },
  {
    key: 'lookBack',
    label: 'Look back',
    path: '/look-back',
    waits: 'copies to mend',
    roles: ['coordinator'],
  },
];
