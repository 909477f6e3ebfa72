/** Things in the database that cannot be opened any more: none of them may take a list down. */
import { sql } from 'drizzle-orm';
import { newOwnGame } from '~/core/own/definition';
import { ownGameId } from '~/core/own/ids';

import { buildRun, copy, kit, kitVariant, ownGame, variant } from '~/data/schema';
import type { Field, Row } from './field';

/** Definitions and settings as an older version, a restored backup or a hand in the database may have left them. */
export async function brokenThings(field: Field, size: number): Promise<Row> {
  const lost: string[] = [];
  let tried = 0;
  for (let round = 0; round < size; round++) {
    const world = await field.begin();
    const good = { ...newOwnGame(), name: { en: 'Good', es: 'Bueno' }, goal: { en: 'Load.', es: 'Suban.' } };
    const step = good.steps[0]!;
    const definitions: Record<string, unknown>[] = [
      { ...good, steps: [{ ...step, en: '{goal' }, ...good.steps.slice(1)] },
      { ...good, steps: [{ ...step, en: '<b>x', es: '{count, plural, one {x}}' }, ...good.steps.slice(1)] },
      { ...good, parts: [{ material: 'no-such-thing', times: 1, each: 'game' }] },
      {
        ...good,
        turn: { kind: 'draw', count: 3, from: 0, to: 20, copies: 8 },
        make: 'cover',
        cells: Array.from({ length: 24 }, (_, i) => i),
        end: { when: 'covered', number: 1 },
      },
      { ...good, players: null },
      { ...good, steps: undefined },
      { ...good, name: { en: '', es: '' } },
      {},
    ];
    for (const [i, definition] of definitions.entries())
      await world.at.execute(
        sql`insert into ${ownGame} (name, definition) values (${`Broken ${i}`}, ${JSON.stringify(definition)}::jsonb)`,
      );
    const settings: { gameId: string; params: Record<string, unknown>; own?: unknown }[] = [
      { gameId: 'no-such-game', params: {} },
      { gameId: 'tide-pairs', params: {} },
      { gameId: 'two-tone-spill', params: { counters: 'many' } },
      { gameId: 'blanket-board', params: { cells: -4, boards: null } },
      { gameId: 'five-to-mark', params: { laid: 5 } },
      ...definitions.map((own, i) => ({ gameId: ownGameId(`x${i}`), params: { players: 2, count: 1 }, own })),
    ];
    const variantIds: string[] = [];
    for (const [i, { gameId, params, own }] of settings.entries()) {
      const [made] = await world.at
        .insert(variant)
        .values({
          gameId,
          name: `Odd ${i}`,
          params: params as never,
          own: (own ?? null) as never,
          ageBand: 'g1',
        })
        .returning({ id: variant.id });
      variantIds.push(made!.id);
    }
    const kitIds: string[] = [];
    for (const [i, variantId] of variantIds.entries()) {
      const [made] = await world.at
        .insert(kit)
        .values({ name: `Odd kit ${i}`, ageBand: 'g1', players: 2, paper: 'a4', assurance: 'usual' })
        .returning({ id: kit.id });
      kitIds.push(made!.id);
      await world.at.insert(kitVariant).values({ kitId: made!.id, variantId, position: 0 });
      const { gameId, params, own } = settings[i]!;
      const plan = {
        ageBand: 'g1',
        players: 2,
        assurance: 'usual',
        variants: [{ gameId, params, own, name: 'Odd' }],
      };
      const [run] = await world.at
        .insert(buildRun)
        .values({ kitId: made!.id, builtOn: '2026-11-01', plan: plan as never, parts: [] })
        .returning({ id: buildRun.id });
      await world.at.insert(copy).values({
        kitId: made!.id,
        buildRunId: run!.id,
        tag: `BRK${round}${i}`,
        readyAt: new Date(),
        linkKey: `broken${String(i).padStart(16, '0')}`,
      });
    }
    // An answer about each, so that Listen has to speak of them too.
    await world.at.execute(sql`
      insert into loan (copy_id, family_id, lent_on, due_on, returned_on, closed_as)
      select id, ${world.families[0]!.id}, current_date - 9, current_date, current_date, 'returned' from copy where tag like 'BRK%'`);
    await world.at.execute(sql`
      with said as (insert into answer (send_key, loan_id, language, minutes) select gen_random_uuid()::text, l.id, 'es', 9 from loan l join copy c on c.id = l.copy_id where c.tag like 'BRK%' returning school_id, id)
      insert into answer_game (school_id, answer_id, position, said) select school_id, id, 0, 'tooHard' from said`);
    const coordinator = await field.visitor('Coordinator');
    const { rows: copies } = await world.at.execute<{ id: string; link_key: string }>(
      sql`select id, link_key from copy where tag like 'BRK%'`,
    );
    const { rows: games } = await world.at.execute<{ id: string }>(sql`select id from own_game`);
    const lists = [
      '/choose',
      '/choose/compare',
      '/fill/store',
      '/fill/store/count',
      '/fill/store/cube',
      '/fill/store/import',
      '/choose/deck',
      '/fill',
      '/fill/new',
      '/word',
      '/print',
      '/lend',
      '/take-back',
      '/listen',
      '/listen/games',
      '/look-back',
      '/look-back/wear',
      '/look-back/play',
      '/lend/families',
      '/people',
      '/me',
    ];
    const singles = [
      ...variantIds.map((id, i) => `/choose/${settings[i]!.gameId}?variant=${id}`),
      ...kitIds.flatMap((id) => [`/fill/${id}`, `/fill/${id}?change=1`, `/fill/${id}/afternoon`]),
      ...copies.flatMap(({ id, link_key }) => [`/copies/${id}`, `/print?copy=${id}`, `/p/${link_key}`]),
      ...games.flatMap(({ id }) => [
        `/choose/${ownGameId(id)}`,
        `/choose/own/${id}`,
        `/word/${ownGameId(id)}`,
        `/choose/own/${id}.json`,
      ]),
    ];
    for (const path of [...lists, ...singles]) {
      tried++;
      const { status, text } = await coordinator.get(path);
      const isList = lists.includes(path);
      if (status >= 500 || (isList && status !== 200)) lost.push(`${path}: ${status}`);
      if (path === '/choose' && !text.includes('Cannot be opened'))
        lost.push('the shelf does not say what it cannot open');
    }
  }
  return { what: 'games and settings that cannot be opened any more', tried, lost };
}
