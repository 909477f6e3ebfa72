/** What must be true at the end of every day, asked of the database as its owner sees it. */
import type pg from 'pg';

export interface Rule {
  says: string;
  /** Rows that break it; `$1` is the first day of the year, where it is asked about. */
  broken: string;
}

export const RULES: readonly Rule[] = [
  {
    says: 'every copy is in one place',
    broken: `select c.tag from copy c where
      (select count(*) from loan l where l.school_id = c.school_id and l.copy_id = c.id and l.closed_as is null)
      + (select count(*) from promise p where p.school_id = c.school_id and p.copy_id = c.id and p.ended_at is null)
      + (select count(*) from hold h where h.school_id = c.school_id and h.copy_id = c.id and h.closed_as is null) > 1`,
  },
  {
    says: 'stock is the sum of its moves, and never below nothing',
    broken: `select i.material from stock_item i where i.on_hand is not null and (i.on_hand < 0 or i.on_hand <>
      (select coalesce(sum(m.quantity), 0) from stock_move m where m.school_id = i.school_id and m.material = i.material))`,
  },
  {
    says: 'no message is said twice, and none is carried twice or without being sent',
    broken: `select id::text from (
        select min(id::text) as id from message where state <> 'dropped' group by school_id, family_id, once having count(*) > 1
        union all
        select min(m.id::text) from message m, unnest(m.said) as one where m.state <> 'dropped'
          group by m.school_id, m.family_id, one having count(*) > 1
        union all
        select m.id::text from message m where m.state = 'sent' and m.on_day >= $1
          and (select count(*) from carried k where k.school_id = m.school_id and k.message_id = m.id) <> 1) as twice`,
  },
  {
    says: 'no family is told about bags twice on a day',
    broken: `select family_id::text from message where kind = 'reminder' and state <> 'dropped'
      group by school_id, family_id, on_day having count(*) > 1`,
  },
  {
    says: 'no family is over its limit',
    broken: `select f.name from family f join lending_rule r on r.school_id = f.school_id
      where r.bags_at_once is not null and r.bags_at_once <
        (select count(*) from loan l where l.school_id = f.school_id and l.family_id = f.id and l.closed_as is null and l.arrived_on is null)`,
  },
  {
    says: 'nothing goes to a forgotten family',
    broken: `select f.id::text from family f where f.forgotten_at is not null and (
      exists (select from loan l where l.school_id = f.school_id and l.family_id = f.id and l.closed_as is null)
      or exists (select from message m where m.school_id = f.school_id and m.family_id = f.id)
      or exists (select from hold h where h.school_id = f.school_id and h.family_id = f.id))`,
  },
  {
    says: 'a family waits for a kit once at most',
    broken: `select family_id::text from hold where closed_as is null group by school_id, family_id, kit_id having count(*) > 1`,
  },
];

/** The rules that are broken, each with what breaks it. */
export async function brokenRules(client: pg.Client, firstDay: string): Promise<string[]> {
  const found: string[] = [];
  for (const { says, broken } of RULES) {
    const { rows } = await client.query<Record<string, string>>(
      broken,
      broken.includes('$1') ? [firstDay] : [],
    );
    if (rows.length)
      found.push(
        `${says}: ${rows
          .slice(0, 5)
          .map((row) => Object.values(row)[0])
          .join(', ')}`,
      );
  }
  return found;
}
