import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { daysAfter } from '~/core/lending/due';
import { USUAL_LENDING } from '~/core/lending/rules';
import { ownerUrl } from '~/data/pools';
import { createRound, promiseRound } from '~/data/queries/rounds';
import { saveLendingRules } from '~/data/queries/rules';
import { countStock } from '~/data/queries/store';
import { ALL } from '~/core/lending/choices';
import { brokenRules, RULES } from '~/scripts/year/true';
import { today as todayAt } from '~/server/today';
import { lendOut, smallSchool } from '../world';

let client: pg.Client;
beforeAll(async () => {
  client = new pg.Client({ connectionString: ownerUrl() });
  await client.connect();
});
afterAll(() => client.end());

/** What is found broken after something was done behind the application's back; it is undone afterwards. */
async function after(behind: string, values: unknown[] = []): Promise<string[]> {
  await client.query('begin');
  try {
    await client.query(behind, values);
    return await brokenRules(client, '2000-01-01');
  } finally {
    await client.query('rollback');
  }
}
const only = (says: string): RegExp => new RegExp(`^${says.slice(0, 30)}`);

describe('what must be true every day', () => {
  it('is found out when it is not', async () => {
    const world = await smallSchool();
    const day = todayAt(world.at);
    const me = world.people.coordinator.id;
    await saveLendingRules(world.at, { ...USUAL_LENDING, bagsAtOnce: 1 }, 1, me);
    await countStock(world.at, [{ material: 'cube', counted: 20 }], me);
    await lendOut(world, { copy: 0, family: 0, lentOn: day, dueOn: daysAfter(day, 14) });
    const roundId = await createRound(world.at, { name: 'Thursday', onDay: day, choices: ALL, personId: me });
    const [family, copy] = [world.families[1]!.id, world.copies[1]!.id];
    await promiseRound(world.at, roundId, [{ family, copy, score: 1, why: '' }], me);
    const { schoolId } = world.at;
    expect(await brokenRules(client, '2000-01-01')).toEqual([]);

    const lent = `insert into loan (school_id, copy_id, family_id, lent_on, due_on) values ($1, $2, $3, $4, $4)`;
    const told = `insert into message (school_id, family_id, kind, once, on_day, language, unchecked, channel, said, text, link_key, state)
      values ($1, $2, 'reminder', 'a', $3, 'en', false, 'message', '{x}', 't', 'k1', 'dropped'), ($1, $2, 'reminder', 'b', $3, 'en', false, 'message', '{x}', 't', 'k2', 'waiting'),
        ($1, $2, 'reminder', 'c', $3, 'en', false, 'message', '{x}', 't', 'k3', 'waiting')`;
    const cases: readonly (readonly [says: string, behind: string, values: unknown[]])[] = [
      [RULES[0]!.says, lent, [schoolId, copy, family, day]],
      [RULES[1]!.says, 'update stock_item set on_hand = 19 where school_id = $1', [schoolId]],
      [RULES[2]!.says, told, [schoolId, family, day]],
      [RULES[3]!.says, told.replaceAll('{x}', '{}'), [schoolId, family, day]],
      [RULES[4]!.says, lent, [schoolId, world.copies[2]!.id, world.families[0]!.id, day]],
      [
        RULES[5]!.says,
        'update family set forgotten_at = now() where school_id = $1 and id = $2',
        [schoolId, world.families[0]!.id],
      ],
    ];
    for (const [says, behind, values] of cases) {
      const found = await after(behind, values);
      expect([says, found.some((one) => only(says).test(one))]).toEqual([says, true]);
    }
    expect(await brokenRules(client, '2000-01-01')).toEqual([]);
  });

  it('holds that a message that is sent was carried', async () => {
    const world = await smallSchool();
    const found = await after(
      `insert into message (school_id, family_id, kind, once, on_day, language, unchecked, channel, text, link_key, state)
       values ($1, $2, 'line', 'a', $3, 'en', false, 'message', 't', 'k4', 'sent')`,
      [world.at.schoolId, world.families[0]!.id, todayAt(world.at)],
    );
    expect(found.join()).toMatch(/without being sent/);
  });
});
