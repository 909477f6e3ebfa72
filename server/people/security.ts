/** Events of security: logged without what was typed, and kept for whoever coordinates. Nothing waits for them. */
import type { SecurityKind } from '~/core/people/security';
import type { SchoolHandle } from '~/data/db';
import { addSecurityEvent, schoolsAround } from '~/data/queries/security';
import { log } from '../log';

/** Something happened in a school, at the hands of this person. */
export async function noteSecurity(
  at: SchoolHandle,
  kind: SecurityKind,
  personId: string | null,
): Promise<void> {
  log.warn({ event: 'security', kind, school: at.schoolId, person: personId ?? undefined }, 'security event');
  await addSecurityEvent(at, kind, personId).catch((error: unknown) =>
    log.error({ event: 'security', err: error }, 'a security event could not be kept'),
  );
}

/** Something happened at the door, in the name of this person: all their schools are told. Of nobody only the log tells. */
export async function noteAtDoor(kind: SecurityKind, personId: string | undefined): Promise<void> {
  if (!personId) {
    log.warn({ event: 'security', kind }, 'security event');
    return;
  }
  const schools = await schoolsAround(personId).catch(() => []);
  await Promise.all(schools.map((at) => noteSecurity(at, kind, personId)));
}
