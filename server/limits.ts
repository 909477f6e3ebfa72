/** Limits on how often something may be tried. Counted in PostgreSQL, so that all server processes share them. */
import { createHash } from 'node:crypto';
import ipaddr from 'ipaddr.js';
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { nameKey } from '~/core/people/name';
import { connectionPool, onlyStandby } from '~/data/pools';
import { databaseTrouble, onlyReads } from '~/data/trouble';

interface Limit {
  points: number;
  of: () => RateLimiterPostgres;
}
const limiter = (keyPrefix: string, points: number, minutes: number): Limit => {
  // One for each pool: after the database was closed there is another one.
  const made = new WeakMap<object, RateLimiterPostgres>();
  return {
    points,
    of: () => {
      const storeClient = connectionPool();
      const known = made.get(storeClient);
      if (known) return known;
      const limit = new RateLimiterPostgres({
        storeClient,
        tableName: 'rate_limit',
        tableCreated: true,
        keyPrefix,
        points,
        duration: minutes * 60,
      });
      made.set(storeClient, limit);
      return limit;
    },
  };
};

const setting = (name: string, usual: number): number => Number(process.env[name] ?? usual);
/** Tries of one person's password from one network, or from one browser she has signed in with. */
const perPerson = limiter('sign-in-person', 5, 5);
/** Tries of one person's password by strangers, from wherever; a known browser is not counted here. */
const byStrangers = limiter('sign-in-strangers', 30, 30);
const perNetwork = limiter('sign-in-network', setting('SIGN_IN_TRIES_PER_ADDRESS', 30), 10);
const passwordTries = limiter('own-password', 5, 5);
const linkTries = limiter('password-link', 30, 10);
/** Browsers that ask for a new password from one network, and numbers that are tried for one person. */
const passwordAsks = limiter('password-ask', 12, 10);
const numberTries = limiter('password-number', 8, 10);
const familyVisits = limiter('family-visit', setting('FAMILY_VISITS_PER_ADDRESS', 120), 1);
const wrongLinks = limiter('family-wrong-link', 20, 10);
const familyAnswers = limiter('family-answer', 12, 10);
/** At a table: devices from one network, what one device asks for, and names that are looked for on it. */
const newDevices = limiter('table-device', 12, 10);
const deviceVisits = limiter('table-visit', 240, 1);
const namesLooked = limiter('table-name', 60, 10);
/** Numbers of a loan that are tried, and in all. */
const codeTries = limiter('loan-code', 5, 10);
const codesInAll = limiter('loan-code-total', 40, 30 * 24 * 60);
/** Totals of public links, which no school comes near. */
const newcomers = limiter('table-newcomer', 150, 2 * 24 * 60);
const answersInAll = limiter('family-answer-total', 40, 200 * 24 * 60);
/** Pictures that may come in through the link of one bag on a day. */
const familyPictures = limiter('family-picture', 12, 24 * 60);

/**
 * The network of an address, which one household or one school shares: the first 64 bits of IPv6, the first 24 of
 * IPv4. An address that cannot be read stands for itself.
 */
export function networkOf(address: string): string {
  if (!ipaddr.isValid(address)) return address.slice(0, 60);
  const parsed = ipaddr.process(address);
  return parsed.kind() === 'ipv4'
    ? `${parsed.toByteArray().slice(0, 3).join('.')}.0/24`
    : `${(parsed as ipaddr.IPv6).parts
        .slice(0, 4)
        .map((part) => part.toString(16))
        .join(':')}::/64`;
}

/** Counts one try; answers whole minutes to wait when the limit is used up, else 0. */
async function consume(limit: Limit, key: string): Promise<number> {
  try {
    await limit.of().consume(key);
    return 0;
  } catch (error) {
    if (error instanceof RateLimiterRes) return Math.max(1, Math.ceil(error.msBeforeNext / 60_000));
    // While the database only reads nothing can be counted, and nothing can be changed either.
    if (onlyReads(error) || (databaseTrouble(error) && onlyStandby())) return 0;
    throw error;
  }
}

/** One try to sign in, counted before the password is looked at: tries at the same moment count one by one. */
export interface SignInTry {
  /** Minutes to wait; 0 when the password may be looked at. */
  wait: number;
  /** Takes back what was counted, since it was the right password. */
  succeeded: () => Promise<void>;
  /** Takes back one try, since its password was never looked at. */
  takenBack: () => Promise<void>;
}

/**
 * Counts a try to sign in. `who` is the person's id where the name belongs to one, so that every spelling that reaches
 * her counts together; `known` tells that she has signed in in this browser before: then strangers who try her name
 * elsewhere do not keep her out.
 */
export async function trySignIn(input: {
  name: string;
  who: string | undefined;
  address: string;
  known: boolean;
}): Promise<SignInTry> {
  const network = networkOf(input.address);
  // What was typed in place of a name is nobody's to read: people type passwords there.
  const who =
    input.who ??
    `nobody ${createHash('sha256').update(nameKey(input.name)).digest('base64url').slice(0, 22)}`;
  const mine = `${who} ${input.known ? 'known' : network}`;
  const counted: [Limit, string][] = [
    [perPerson, mine],
    ...(input.known
      ? []
      : ([
          [byStrangers, who],
          [perNetwork, network],
        ] as [Limit, string][])),
  ];
  let wait = 0;
  // One after the other: a try that the first limit refuses does not use up the others.
  for (const [limit, key] of counted) {
    wait = await consume(limit, key);
    if (wait) break;
  }
  return {
    wait,
    succeeded: async () => {
      await perPerson.of().delete(mine);
      for (const [limit, key] of counted.slice(1)) await limit.of().reward(key);
    },
    takenBack: async () => {
      for (const [limit, key] of counted) await limit.of().reward(key);
    },
  };
}

/** Minutes to wait before a person may try her own password again, to change it. */
export const tryOwnPassword = (personId: string): Promise<number> => consume(passwordTries, personId);
export const ownPasswordRight = (personId: string): Promise<boolean> => passwordTries.of().delete(personId);

/** Whether this network may open one more link for a new password. */
export const mayTryLink = async (address: string): Promise<boolean> =>
  (await consume(linkTries, networkOf(address))) === 0;

/** Whether this network may ask for one more new password, and whether one more number may be tried for a person. */
export const mayAskForPassword = async (address: string): Promise<boolean> =>
  (await consume(passwordAsks, networkOf(address))) === 0;
export const mayTryNumber = async (personId: string): Promise<boolean> =>
  (await consume(numberTries, personId)) === 0;

/** Whether the page of this copy may be read from this network now. Families behind one address do not share it. */
export const mayVisit = async (copyId: string, address: string): Promise<boolean> =>
  (await consume(familyVisits, `${copyId} ${networkOf(address)}`)) === 0;

/** Whether one more device may come to a table, and whether a device may look for one more name. */
export const mayBringDevice = async (gatheringId: string, address: string): Promise<boolean> =>
  (await consume(newDevices, `${gatheringId} ${networkOf(address)}`)) === 0;
export const mayUseDevice = async (deviceId: string): Promise<boolean> =>
  (await consume(deviceVisits, deviceId)) === 0;
export const mayLookForName = async (deviceId: string): Promise<boolean> =>
  (await consume(namesLooked, deviceId)) === 0;
/** Whether one more new family may be entered at this table; each has a total that nobody needs to exceed. */
export const mayEnterAnother = async (gatheringId: string): Promise<boolean> =>
  (await consume(newcomers, gatheringId)) === 0;
/** Whether one more answer about this loan is taken in all. */
export const mayAnswerInAll = async (loanId: string): Promise<boolean> =>
  (await consume(answersInAll, loanId)) === 0;

/** Whether the number of a loan may be typed once more. */
export const mayTryCode = async (loanId: string): Promise<boolean> =>
  (await consume(codeTries, loanId)) === 0 && (await consume(codesInAll, loanId)) === 0;

/** A loan has another number: tries at the one before do not count against it. */
export const forgetCodeTries = async (loanId: string): Promise<void> => {
  await Promise.all([codeTries.of().delete(loanId), codesInAll.of().delete(loanId)]);
};

/** Counts a family link that belongs to no copy; false when there were too many. Right links are never counted. */
export const wrongLink = async (address: string): Promise<boolean> =>
  (await consume(wrongLinks, networkOf(address))) === 0;

/** Whether one more answer about this loan is accepted now. */
export const mayAnswerNow = async (loanId: string): Promise<boolean> =>
  (await consume(familyAnswers, loanId)) === 0;

/** Whether one more picture may be brought through this link today; counted before it is read. */
export const mayBringPicture = async (linkKey: string): Promise<boolean> =>
  (await consume(familyPictures, createHash('sha256').update(linkKey).digest('base64url').slice(0, 22))) ===
  0;
