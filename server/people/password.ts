/** Passwords: Argon2id with the parameters OWASP recommends (19 MiB, 2 passes, 1 lane). */
import { hash, verify } from '@node-rs/argon2';

const OPTIONS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };
let decoy: Promise<string> | undefined;

export const hashPassword = (password: string): Promise<string> => hash(password.normalize('NFC'), OPTIONS);

/**
 * Whether the password belongs to the hash. Without a hash (no such person) the same work is done against a
 * decoy, so that the time taken does not tell which names exist.
 */
export async function passwordFits(password: string, passwordHash: string | undefined): Promise<boolean> {
  decoy ??= hashPassword('nobody has this password');
  const fits = await verify(passwordHash ?? (await decoy), password.normalize('NFC'));
  return fits && passwordHash !== undefined;
}
