/**
 * A large district, to measure on: generated, with invented names, by the database itself. Every school has the kits of
 * the demo school; the first one is ten times as large as each of the others.
 */
import type pg from 'pg';

export interface BigSizes {
  schools: number;
  families: number;
  copies: number;
  loans: number;
  answers: number;
}
export const BIG: BigSizes = { schools: 60, families: 5000, copies: 4000, loans: 50_000, answers: 30_000 };

/** The sizes of a district of so many schools that holds so many times as much. */
export const largeDistrict = (schools: number, times: number): BigSizes => ({
  schools,
  families: BIG.families * times,
  copies: BIG.copies * times,
  loans: BIG.loans * times,
  answers: BIG.answers * times,
});

/** How many of `all` each of so many schools has, the first ten times as many as the others. */
export function shares(all: number, schools: number): number[] {
  const small = Math.floor(all / (schools + 9));
  return Array.from({ length: schools }, (_, i) => (i ? small : all - small * (schools - 1)));
}

const TOWNS =
  "array['Amberlee', 'Birchmouth', 'Cinder Cove', 'Dovetail', 'Elmsreach', 'Fallowfen', 'Gullhaven', 'Heronsway', 'Inkberry', 'Juniper Row']";
const NAMES =
  "array['Ashgrove', 'Bellwether', 'Cobblestone', 'Duskwood', 'Eelgrass', 'Farrow', 'Goosander', 'Hollowell', 'Inglemere', 'Jackdaw', 'Kestrelle', 'Lowtide', 'Mallowby', 'Netmaker', 'Oarsman', 'Pebblecote', 'Quillfeather', 'Rushlight', 'Saltmarsh', 'Thistledown']";

/**
 * Fills a database that holds the demo school, on a connection of the account that owns its tables. Answers the id of the
 * largest school.
 */
export async function fillBig(client: pg.Client, sizes: BigSizes = BIG): Promise<string> {
  const run = async (text: string, values: unknown[] = []): Promise<Record<string, string>[]> =>
    (await client.query(text, values)).rows as Record<string, string>[];
  await run('begin');
  const [first] = await run(
    `select s.id, s.district_id, s.time_zone from school s join membership m on m.school_id = s.id
     join person p on p.id = m.person_id where p.name = 'Maren'`,
  );
  const from = first!.id!;
  await run(
    `insert into school (district_id, name, paper, languages, time_zone)
     select $1, (${TOWNS})[1 + n % 10] || ' School ' || n, 'letter', array['en', 'es', 'ar', 'pt'], $2
     from generate_series(1, $3::int) n`,
    [first!.district_id, first!.time_zone, Math.max(0, sizes.schools - 2)],
  );
  const others = (
    await run('select id from school where id <> $1 order by created_at, name limit $2', [
      from,
      sizes.schools - 1,
    ])
  ).map(({ id }) => id!);
  await run(
    `insert into membership (school_id, person_id, role, by_district)
     select s.id, p.id, 'coordinator', true from school s, person p where p.name = 'Runa' on conflict do nothing`,
  );
  // Every school has the kits and the settings of the first.
  await run(
    `create temp table twin on commit drop as
     select s.id as school_id, k.id as kit_id, gen_random_uuid() as new_kit, gen_random_uuid() as new_run
     from school s, kit k where k.school_id = $1 and s.id <> $1`,
    [from],
  );
  await run(
    `create temp table twin_variant on commit drop as
     select s.id as school_id, v.id as variant_id, gen_random_uuid() as new_variant
     from school s, variant v where v.school_id = $1 and v.archived_at is null and s.id <> $1`,
    [from],
  );
  await run(
    `insert into variant (school_id, id, game_id, name, params, own, age_band)
     select t.school_id, t.new_variant, v.game_id, 'Big: ' || v.name, v.params, v.own, v.age_band
     from twin_variant t join variant v on v.id = t.variant_id`,
  );
  await run(
    `insert into kit (school_id, id, name, age_band, players, paper, assurance)
     select t.school_id, t.new_kit, 'Big: ' || k.name, k.age_band, k.players, k.paper, k.assurance
     from twin t join kit k on k.id = t.kit_id`,
  );
  await run(
    `insert into kit_variant (school_id, kit_id, variant_id, position)
     select t.school_id, t.new_kit, v.new_variant, kv.position
     from kit_variant kv join twin t on t.kit_id = kv.kit_id
     join twin_variant v on v.school_id = t.school_id and v.variant_id = kv.variant_id`,
  );
  await run(
    `insert into build_run (school_id, id, kit_id, built_on, plan, parts)
     select t.school_id, t.new_run, t.new_kit, current_date - 400, b.plan, b.parts
     from twin t join lateral (select plan, parts from build_run b where b.school_id = $1 order by b.kit_id = t.kit_id desc limit 1) b on true`,
    [from],
  );
  const schools = [from, ...others];
  const parts = (of: number): number[] => shares(of, schools.length);
  const [families, copies, loans, answers] = [
    parts(sizes.families),
    parts(sizes.copies),
    parts(sizes.loans),
    parts(sizes.answers),
  ];
  for (const [i, school] of schools.entries()) {
    await run(
      `insert into family (school_id, name, language, reach)
       select $1, (array['Family', 'Familia', 'Família'])[1 + n % 3] || ' ' || (${NAMES})[1 + n % 20] || ' ' || n,
         (array['en', 'es', 'ar', 'pt'])[1 + n % 4], '555-' || lpad(n::text, 4, '0')
       from generate_series(1, $2::int) n`,
      [school, families[i]],
    );
    await run(
      `insert into copy (school_id, kit_id, build_run_id, tag, link_key, printed_at, ready_at)
       select $1, r.kit_id, r.id, upper(substr(md5($1::text || n), 1, 12)), substr(replace(replace(encode(sha256(($1::text || n)::bytea), 'base64'), '+', '-'), '/', '_'), 1, 22), now(), now()
       from generate_series(1, $2::int) n
       join lateral (select id, kit_id, row_number() over (order by id) - 1 as at, count(*) over () as many from build_run where school_id = $1) r on r.at = n % r.many`,
      [school, copies[i]],
    );
    // One loan in forty is still out; of those that ended, one in twelve came home short of something.
    await run(
      `with f as (select id, row_number() over (order by name) - 1 as at from family where school_id = $1),
            c as (select id, row_number() over (order by tag) - 1 as at from copy where school_id = $1 and ready_at is not null and moved_at is null
              and not exists (select from loan l where l.copy_id = copy.id and l.closed_as is null)),
            many as (select (select count(*) from f) as f, (select count(*) from c) as c)
       insert into loan (school_id, copy_id, family_id, lent_on, due_on, returned_on, closed_as, created_at)
       select $1, c.id, f.id, day, day + 21, case when out then null else day + 18 end, case when out then null else 'returned' end, day::timestamptz
       from generate_series(0, $2::int - 1) n cross join many
       join c on c.at = n % many.c
       join f on f.at = (n * 7 + n / many.c) % many.f
       cross join lateral (select n >= $2::int - many.c and n % 40 = 0 as out) o
       cross join lateral (select current_date - 16 - ((($2::int - 1 - n) / many.c) * 24)::int as day) d`,
      [school, loans[i]],
    );
    await run(
      `insert into part_count (school_id, copy_id, loan_id, cause, material, expected, counted, at)
       select l.school_id, l.copy_id, l.id, 'return', m.material, 6, case when m.nth = 1 and hashtext(l.id::text) % 12 = 0 then 5 else 6 end, l.returned_on::timestamptz
       from loan l, unnest(array['two-colour-counter', 'mat', 'cup', 'pencil', 'bag']) with ordinality m(material, nth)
       where l.school_id = $1 and l.returned_on is not null
         and not exists (select from part_count p where p.school_id = $1 and p.loan_id = l.id)
       order by l.returned_on`,
      [school],
    );
    await run(
      `insert into loan_event (school_id, loan_id, kind, at)
       select school_id, id, 'lent', created_at from loan where school_id = $1 and not exists (select from loan_event e where e.school_id = $1 and e.loan_id = loan.id)`,
      [school],
    );
    await run(
      `insert into answer (school_id, send_key, loan_id, language, minutes, children, times, child_did, sent_at, read_at)
       select l.school_id, l.id::text, l.id, (array['en', 'es', 'ar', 'pt'])[1 + abs(hashtext(l.id::text)) % 4],
         5 + abs(hashtext(l.id::text)) % 20, 1 + abs(hashtext(l.id::text)) % 3, 1 + abs(hashtext(l.id::text)) % 6,
         'They counted to ' || abs(hashtext(l.id::text)) % 20, l.returned_on::timestamptz, case when abs(hashtext(l.id::text)) % 200 = 0 then null else now() end
       from loan l where l.school_id = $1 and l.returned_on is not null and not exists (select from answer a where a.school_id = $1 and a.loan_id = l.id)
       order by l.returned_on desc limit $2::int`,
      [school, answers[i]],
    );
    await run(
      `insert into answer_game (school_id, answer_id, position, said)
       select a.school_id, a.id, 0, (array['tooEasy', 'justRight', 'justRight', 'tooHard'])[1 + abs(hashtext(a.id::text)) % 4]
       from answer a where a.school_id = $1 and not exists (select from answer_game g where g.school_id = $1 and g.answer_id = a.id)`,
      [school],
    );
    await run(
      `insert into wording_check (school_id, game_id, message_id, language, message, "right", person_id)
       select $1, 'two-tone-spill', 'line ' || n, 'es', 'x', true, null from generate_series(1, 200) n`,
      [school],
    );
  }
  await run('commit');
  await run('analyze');
  return from;
}
