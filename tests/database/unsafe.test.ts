/** A bag goes out in several ways; in none of them does it go where it is not safe before somebody has decided so by name. */
import { sql } from 'drizzle-orm';
import { afterAll, beforeEach, describe, expect, it } from 'vitest';
import { ALL } from '~/core/lending/choices';
import { randomCard } from '~/core/lending/card';
import { daysAfter } from '~/core/lending/due';
import { closeDatabase } from '~/data/pools';
import { openGathering } from '~/data/queries/gatherings';
import { giveCards, findFamily } from '~/data/queries/families';
import { lend, listOut } from '~/data/queries/lending';
import { createRound, promiseRound, promisesOf } from '~/data/queries/rounds';
import { newReaderKey } from '~/server/links';
import { doAct } from '~/server/lending/hall';
import { handOver } from '~/server/lending/handover';
import { hashOf } from '~/server/people/session';
import { secureRandom } from '~/server/random';
import { tablePage, takeAtTable, tickAtTable } from '~/server/table';
import { today as todayAt } from '~/server/today';
import { everything } from '../owner';
import { smallSchool, type SmallSchool } from '../world';

let world: SmallSchool;
let day: string;
beforeEach(async () => {
  world = await smallSchool();
  day = todayAt(world.at);
});
afterAll(closeDatabase);

const FLAGS = {
  'a child under three': sql`under_three = true`,
  'an allergen that is in the bag': sql`allergens = 'plastic'`,
  nothing: sql`under_three = false`,
} as const;

/** What the school learns of the family after whatever was promised to it. */
const learn = (familyId: string, flag: keyof typeof FLAGS): Promise<unknown> =>
  everything().execute(sql`update family set ${FLAGS[flag]} where id = ${familyId}`);

type Way = (
  copy: SmallSchool['copies'][number],
  familyId: string,
  learnt: () => Promise<unknown>,
) => Promise<unknown>;
const WAYS: Record<string, Way> = {
  'at the desk': async (copy, familyId, learnt) => {
    await learnt();
    return lend(world.at, {
      copyId: copy.id,
      familyId,
      lentOn: day,
      dueOn: daysAfter(day, 7),
      personId: world.people.helper.id,
    });
  },
  'with a decision about something else': async (copy, familyId, learnt) => {
    await learnt();
    return lend(world.at, {
      copyId: copy.id,
      familyId,
      lentOn: day,
      dueOn: daysAfter(day, 7),
      personId: world.people.helper.id,
      decided: { by: 'Helper', of: 'magnets' },
    });
  },
  'in the hall': async (copy, familyId, learnt) => {
    await giveCards(world.at, () => randomCard(secureRandom));
    const { card } = (await findFamily(world.at, familyId))!;
    await learnt();
    return doAct(
      world.at,
      { id: crypto.randomUUID(), kind: 'lend', tag: copy.tag, card: card!, day, away: false },
      world.people.helper.id,
    );
  },
  'promised in a hand-out and handed over': async (copy, familyId, learnt) => {
    const roundId = await createRound(world.at, {
      name: 'Thursday',
      onDay: day,
      choices: ALL,
      personId: world.people.coordinator.id,
    });
    await promiseRound(
      world.at,
      roundId,
      [{ family: familyId, copy: copy.id, score: 1, why: '' }],
      world.people.coordinator.id,
    );
    expect(await promisesOf(world.at, roundId)).toHaveLength(1);
    await learnt();
    return handOver(world.at, { roundId, text: copy.tag, personId: world.people.helper.id });
  },
  'taken at the table': async (copy, familyId, learnt) => {
    const key = newReaderKey();
    await openGathering(world.at, {
      name: 'Door',
      onDay: day,
      keyHash: hashOf(key),
      expiresAt: new Date(Date.now() + 3_600_000),
      personId: world.people.coordinator.id,
    });
    const page = await tablePage(new Request(`http://x/in/${key}`), key, '127.0.0.1');
    if (page.refused) throw new Error(page.refused);
    await tickAtTable(page, familyId);
    const headers = new Headers({ Cookie: page.headers.get('Set-Cookie')!.split(';')[0]! });
    const again = await tablePage(new Request(`http://x/in/${key}`, { headers }), key, '127.0.0.1');
    if (again.refused) throw new Error(again.refused);
    await learnt();
    return takeAtTable(again, familyId, copy.tag);
  },
};

describe.each(Object.entries(WAYS))('a bag %s', (name, way) => {
  it.each(Object.keys(FLAGS) as (keyof typeof FLAGS)[])('to a family of which is known: %s', async (flag) => {
    const [copy] = world.copies;
    const familyId = world.families[1]!.id;
    const answer = await way(copy!, familyId, () => learn(familyId, flag));
    const out = await listOut(world.at);
    if (flag === 'a child under three') {
      expect(out).toEqual([]);
      // The table sends the family to a person; everywhere else the reason is said.
      if (answer !== undefined) expect(JSON.stringify(answer)).toMatch(/small parts|decided|unsafe/i);
    } else if (flag === 'nothing') expect(out).toHaveLength(1);
  });
});

it('goes out with the decision of whoever was told what is in it, and that is written down', async () => {
  const [copy] = world.copies;
  const familyId = world.families[1]!.id;
  await learn(familyId, 'a child under three');
  const ask = { copyId: copy!.id, familyId, lentOn: day, dueOn: day, personId: world.people.helper.id };
  const refused = await lend(world.at, ask);
  if (refused.ok || refused.reason !== 'unsafe') throw new Error('it went out');
  const of = refused.holds;
  const decided = await lend(world.at, { ...ask, decided: { by: 'Helper', of } });
  expect(decided.ok).toBe(true);
  const { rows } = await everything().execute(sql`select note from loan_event where kind = 'safetyDecided'`);
  expect(rows).toEqual([{ note: `Helper: ${of}` }]);
});
