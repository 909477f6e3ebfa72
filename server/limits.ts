/** Limits on how often something may be tried. Counted in PostgreSQL, so that all server processes share them. */
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible';
import { connectionPool } from '~/data/db';

const limiter = (keyPrefix: string, points: number, minutes: number) => {
  let made: RateLimiterPostgres | undefined;
  return () =>
    (made ??= new RateLimiterPostgres({
      storeClient: connectionPool(),
      tableName: 'rate_limit',
      tableCreated: true,
      keyPrefix,
      points,
      duration: minutes * 60,
    }));
};

const perAccount = limiter('sign-in-account', 5, 5);
const perAddress = limiter('sign-in-address', Number(process.env.SIGN_IN_TRIES_PER_ADDRESS ?? 30), 10);
const familyVisits = limiter('family-visit', Number(process.env.FAMILY_VISITS_PER_ADDRESS ?? 120), 1);
const wrongLinks = limiter('family-wrong-link', 20, 10);
const familyAnswers = limiter('family-answer', 12, 10);

/** Whole minutes to wait when one of the limits is used up; 0 when none is. */
async function minutesToWait(limits: [RateLimiterPostgres, string][]): Promise<number> {
  const states = await Promise.all(
    limits.map(([limit, key]) => limit.get(key).then((state) => ({ limit, state }))),
  );
  const waits = states
    .filter(({ limit, state }) => state && state.consumedPoints >= limit.points)
    .map(({ state }) => state!.msBeforeNext);
  return waits.length ? Math.max(1, Math.ceil(Math.max(...waits) / 60_000)) : 0;
}

/** Counts one try; answers false when the limit is used up. */
async function consume(limit: RateLimiterPostgres, key: string): Promise<boolean> {
  try {
    await limit.consume(key);
    return true;
  } catch (error) {
    if (error instanceof RateLimiterRes) return false;
    throw error;
  }
}

const accountKey = (name: string): string => name.toLowerCase().slice(0, 100);

export const signInWait = (name: string, address: string): Promise<number> =>
  minutesToWait([
    [perAccount(), accountKey(name)],
    [perAddress(), address],
  ]);

export async function signInFailed(name: string, address: string): Promise<void> {
  await Promise.all([consume(perAccount(), accountKey(name)), consume(perAddress(), address)]);
}

export const signInSucceeded = (name: string): Promise<boolean> => perAccount().delete(accountKey(name));

/** Whether this address may read family pages now. */
export const mayVisit = async (address: string): Promise<boolean> =>
  (await minutesToWait([[wrongLinks(), address]])) === 0 && (await consume(familyVisits(), address));

/** Counts a family link that belongs to no copy. */
export const wrongLink = (address: string): Promise<boolean> => consume(wrongLinks(), address);

/** Whether one more answer about this copy is accepted now. */
export const mayAnswerNow = (copyId: string): Promise<boolean> => consume(familyAnswers(), copyId);
