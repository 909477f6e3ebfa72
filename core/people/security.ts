/** What happens at the doors of a school, as it is kept and told: what, by whom and when, never what was typed. */
export const SECURITY = {
  signInFailed: 'typed a wrong password at the door',
  signInStopped: 'was kept out after too many tries',
  confirmFailed: 'typed a wrong password when asked once more',
  notAllowed: 'asked for a page that is not open to them',
  passwordChanged: 'changed their password',
  sessionsEnded: 'ended sign-ins in other browsers',
  linkGiven: 'let somebody set a new password',
  linkUsed: 'set a new password with a link',
  accessGiven: 'gave somebody access',
  accessEnded: 'ended somebody’s access',
  exported: 'took families out as a file',
  forgot: 'had a family forgotten',
  keyMade: 'made a link that opens something without a password',
  totalReached: 'A public link has taken all that it may take',
} as const;
export type SecurityKind = keyof typeof SECURITY;

/** Happens of itself now and then; so often on a day it is unusual. */
const UNUSUAL_FROM: Partial<Record<SecurityKind, number>> = {
  signInFailed: 5,
  signInStopped: 1,
  confirmFailed: 3,
  notAllowed: 20,
  exported: 10,
  totalReached: 1,
};

export interface SecurityCount {
  kind: SecurityKind;
  /** Whose name it was; nobody's where none is known. */
  who: string | null;
  times: number;
}

/** What of a day somebody should know of, in a sentence each. */
export const unusual = (counts: readonly SecurityCount[]): string[] =>
  counts
    .filter(({ kind, times }) => times >= (UNUSUAL_FROM[kind] ?? Number.POSITIVE_INFINITY))
    .map(({ kind, who, times }) =>
      kind === 'totalReached'
        ? `${SECURITY[kind]}: what comes after is refused.`
        : `${who ?? 'Somebody'} ${SECURITY[kind]}${times > 1 ? `, ${times} times` : ''}.`,
    );
