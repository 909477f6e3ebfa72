/** What people on the staff may do. */
export const ROLES = ['coordinator', 'helper', 'reader'] as const;
export type Role = (typeof ROLES)[number];

export const ROLE_NAMES: Record<Role, string> = {
  coordinator: 'Coordinator',
  helper: 'Helper',
  reader: 'Fluent reader',
};
