/** What happens at the doors is kept without what was typed, counted by the hour, and told when it is unusual. */
import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { SECURITY, unusual, type SecurityKind } from '~/core/people/security';
import { dropOldSecurity, securityEvents, securityOfADay } from '~/data/queries/security';
import { noteAtDoor, noteSecurity } from '~/server/people/security';
import { closeDatabase } from '~/data/pools';
import { everything } from '../owner';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(closeDatabase);

describe('what happens at the doors', () => {
  it('is counted by the hour, by kind and by whose name it was', async () => {
    const { at, people } = world;
    await Promise.all(Array.from({ length: 6 }, () => noteAtDoor('signInFailed', people.helper.id)));
    await noteSecurity(at, 'exported', people.coordinator.id);
    await noteAtDoor('signInFailed', undefined);
    const events = await securityEvents(at);
    expect(events.map(({ kind, who, times }) => [kind, who, times]).sort()).toEqual([
      ['exported', 'Coordinator', 1],
      ['signInFailed', 'Helper', 6],
    ]);
    expect(unusual(await securityOfADay(at))).toEqual([
      'Helper typed a wrong password at the door, 6 times.',
    ]);
  });
  it('says of every kind what it is, and of what happens of itself nothing', () => {
    for (const kind of Object.keys(SECURITY) as SecurityKind[]) {
      expect(unusual([{ kind, who: 'Wil', times: 1000 }]).length).toBeLessThanOrEqual(1);
      for (const sentence of unusual([{ kind, who: null, times: 1000 }]))
        expect(sentence).toMatch(/^[A-Z].*\.$/);
    }
    expect(unusual([{ kind: 'signInFailed', who: 'Wil', times: 2 }])).toEqual([]);
    expect(unusual([{ kind: 'passwordChanged', who: 'Wil', times: 1 }])).toEqual([]);
  });
  it('goes after half a year', async () => {
    const { at, people } = world;
    await noteSecurity(at, 'notAllowed', people.reader.id);
    await everything().execute(sql`update security_event set hour = now() - interval '181 days'`);
    await noteSecurity(at, 'notAllowed', people.reader.id);
    await dropOldSecurity(at);
    expect((await securityEvents(at)).map(({ times }) => times)).toEqual([1]);
  });
});
