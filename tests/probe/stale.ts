/** Two people with one form open: nobody's work may go without a word. */
import { findFamily } from '~/data/queries/families';
import { findOwnGame, addOwnGame } from '~/data/queries/games';
import { countStock, listStock } from '~/data/queries/store';
import { findKit } from '~/data/queries/kits';
import { schoolPrinting } from '~/data/queries/schools';
import { lineChecks } from '~/data/queries/words';
import { newOwnGame, type OwnGame } from '~/core/own/definition';
import { gameOf } from '~/core/games/shelf';
import { lineKey } from '~/core/words/checks';
import { addVariant } from '../world';
import type { Field, Row } from './field';
import type { Fields } from './visitor';

/** Opens each form twice, saves both: different fields merge, the same field is refused and told. */
export async function staleForms(field: Field, size: number): Promise<Row> {
  const lost: string[] = [];
  let tried = 0;
  let refused = 0;
  for (let round = 0; round < size; round++) {
    const world = await field.begin();
    const one = await field.visitor('Coordinator', 0);
    const two = await field.visitor('Coordinator', 1);
    /** Two forms opened at the same time: the first changes `a`, the second `b`, and then both change `same`. */
    const pair = async (
      what: string,
      path: string,
      withField: string,
      base: () => Promise<Fields>,
      a: Fields,
      b: Fields,
      same: [Fields, Fields],
      holds: () => Promise<boolean>,
      still: () => Promise<boolean>,
    ): Promise<void> => {
      tried += 2;
      const [first, second] = [await one.form(path, withField), await two.form(path, withField)];
      const before = await base();
      const saved = await one.post(path, { ...before, ...first, ...a });
      const merged = await two.post(path, { ...before, ...second, ...b });
      if (saved.status !== 302 || merged.status !== 302)
        lost.push(`${what}: saved with ${saved.status}, ${merged.status}`);
      if (!(await holds())) lost.push(`${what}: changes of different fields did not merge`);
      const [third, fourth] = [await one.form(path, withField), await two.form(path, withField)];
      const now = await base();
      await one.post(path, { ...now, ...third, ...same[0] });
      const clash = await two.post(path, { ...now, ...fourth, ...same[1] });
      if (clash.status === 409 && clash.text.includes('Not saved yet')) refused++;
      else lost.push(`${what}: a stale save of the same field was answered ${clash.status}`);
      if (!(await still())) lost.push(`${what}: the other one's work is gone`);
      const without = await two.post(path, { ...now, ...same[1] });
      if (without.status === 400) refused++;
      else lost.push(`${what}: a save without a version was answered ${without.status}`);
    };

    const familyId = world.families[0]!.id;
    const family = async () => (await findFamily(field.world.at, familyId))!;
    const familyForm = async (): Promise<Fields> => {
      const { name, language, reach, underThree, allergens } = await family();
      return { name, language, reach, allergens, ...(underThree ? { underThree: 'true' } : {}) };
    };
    await pair(
      'family',
      `/lend/families/${familyId}`,
      'reach',
      familyForm,
      { underThree: 'true' },
      { reach: 'at the gate' },
      [{ allergens: 'latex' }, { allergens: 'nuts' }],
      async () => (await family()).underThree && (await family()).reach === 'at the gate',
      async () => (await family()).allergens === 'latex' && (await family()).underThree,
    );

    const kit = async () => (await findKit(field.world.at, world.kitId))!;
    const extra = await addVariant(world, 'tide-pairs', 'Tide');
    const kitForm = async (): Promise<Fields> => {
      const { name, ageBand, players, paper, assurance, variants } = await kit();
      return {
        name,
        ageBand,
        players: String(players),
        paper,
        assurance,
        variantIds: variants.map(({ id }) => id),
      };
    };
    const before = (await kit()).variants.map(({ id }) => id);
    await pair(
      'kit',
      `/fill/${world.kitId}?change=1`,
      'assurance',
      kitForm,
      { players: '4' },
      { variantIds: [...before, extra.id] },
      [{ name: 'Splits A' }, { name: 'Splits B' }],
      async () => (await kit()).players === 4 && (await kit()).variants.length === before.length + 1,
      async () => (await kit()).name === 'Splits A' && (await kit()).players === 4,
    );

    const ownId = (await addOwnGame(
      field.world.at,
      { ...newOwnGame(), name: { en: 'Ferry Load', es: 'Carga' }, goal: { en: 'Load.', es: 'Suban.' } },
      world.people.coordinator.id,
    ))!;
    const own = async () => (await findOwnGame(field.world.at, ownId))!.definition;
    const sent = (change: Partial<OwnGame>, over: OwnGame): Fields => ({
      definition: JSON.stringify({ ...over, ...change }),
    });
    const start = await own();
    const merged: OwnGame = { ...start, ageBand: 'g2', players: { fewest: 2, most: 3 } };
    await pair(
      'own game',
      `/choose/own/${ownId}`,
      'definition',
      async () => ({}),
      sent({ ageBand: 'g2' }, start),
      sent({ players: { fewest: 2, most: 3 } }, start),
      [sent({ place: 'floor' }, merged), sent({ place: 'outdoors' }, merged)],
      async () => (await own()).ageBand === 'g2' && (await own()).players.most === 3,
      async () => (await own()).place === 'floor',
    );

    const prices = async (): Promise<Fields> =>
      Object.fromEntries(
        Object.entries(await schoolPrinting(field.world.at)).map(([name, value]) => [
          name,
          name.endsWith('Cents') ? (value / 100).toFixed(2) : String(value),
        ]),
      );
    await pair(
      'prices',
      '/print/prices',
      'greyCents',
      prices,
      { greyCents: '11.00' },
      { bagSeconds: '240' },
      [{ pouchCents: '20.00' }, { pouchCents: '30.00' }],
      async () =>
        (await schoolPrinting(field.world.at)).greyCents === 1100 &&
        (await schoolPrinting(field.world.at)).bagSeconds === 240,
      async () => (await schoolPrinting(field.world.at)).pouchCents === 2000,
    );

    // The store: two desks take the last pieces at one moment, and one of them is told.
    tried += 2;
    await countStock(field.world.at, [{ material: 'die', counted: 5 }], null);
    const form = { kind: 'lost', quantity: '4', note: '' };
    const answers = await Promise.all([one.post('/fill/store/die', form), two.post('/fill/store/die', form)]);
    const told = answers.filter(({ status }) => status === 409).length;
    const [left] = (await listStock(field.world.at)).filter(({ material }) => material === 'die');
    if (told === 1) refused++;
    if (told !== 1 || left?.onHand !== 1)
      lost.push(`store: ${left?.onHand} dice in place of 1, ${told} told`);

    // The words desk: lines that one left alone stay as the other found them.
    tried += 3;
    const reader = await field.visitor('Reader', 1);
    const path = '/word/two-tone-spill?language=es';
    const [ours, readers] = [await one.form(path, 'had goal'), await reader.form(path, 'had goal')];
    const ids = Object.keys(gameOf('two-tone-spill').words.en).slice(0, 6);
    await reader.post(path, {
      ...readers,
      ...Object.fromEntries(ids.slice(0, 5).map((id) => [`right ${id}`, 'yes'])),
    });
    const late = await one.post(path, { ...ours, [`note ${ids[5]}`]: 'say it shorter' });
    const checks = await lineChecks(field.world.at, gameOf('two-tone-spill'), 'es');
    const right = ids.slice(0, 5).filter((id) => checks[lineKey(id, 'es')]?.right).length;
    if (late.status !== 200 || right !== 5) lost.push(`words: ${5 - right} approved lines were un-approved`);
    if (checks[lineKey(ids[5]!, 'es')]?.note !== 'say it shorter') lost.push('words: a note was lost');
    const clash = await one.post(path, { ...ours, [`note ${ids[0]}`]: 'not like this' });
    if (clash.status === 409 && clash.text.includes('Some lines were not saved')) refused++;
    else lost.push(`words: the same line was answered ${clash.status}`);
  }
  return { what: 'stale forms: families, kits, own games, prices, store, words', tried, refused, lost };
}

/** Undoing what something later rests on, and through another kit's address. */
export async function undoing(field: Field, size: number): Promise<Row> {
  const { findLoan } = await import('~/data/queries/lending');
  const { takeBack } = await import('~/data/queries/returns');
  const { listShortages } = await import('~/data/queries/counts');
  const { lendOut } = await import('../world');
  const lost: string[] = [];
  let refused = 0;
  for (let i = 0; i < size; i++) {
    const world = await field.begin();
    const desk = await field.visitor('Helper');
    const home = (loanId: string, counted: number) =>
      takeBack(world.at, {
        loanId,
        returnedOn: '2026-11-20',
        personId: null,
        counts: [{ material: 'two-colour-counter', expected: 6, counted }],
      });
    const first = await lendOut(world, { lentOn: '2026-11-01', dueOn: '2026-11-22' });
    await home(first, 6);
    const second = await lendOut(world, { family: 1, lentOn: '2026-11-02', dueOn: '2026-11-22' });
    await home(second, 3);
    const undone = await desk.post('/take-back', { loan: first });
    if (undone.status === 409 && undone.text.includes('Family Dunlin')) refused++;
    else lost.push(`an old return was undone: ${undone.status}`);
    if ((await listShortages(world.at))[0]?.counted !== 3) lost.push('the newer count is gone');
    const coordinator = await field.visitor('Coordinator');
    const other = (
      await coordinator.post('/fill/new', {
        name: 'Other',
        ageBand: 'g1',
        players: '2',
        paper: 'a4',
        assurance: 'usual',
        variantIds: (await findKit(field.world.at, world.kitId))!.variants.map(({ id }) => id),
      })
    ).location!.split('?')[0]!;
    const build = await desk.post(`/fill/${world.kitId}`, {
      intent: 'build',
      copies: '1',
      formKey: crypto.randomUUID(),
    });
    const run = /run=([0-9a-f-]{36})/.exec(build.location ?? '')?.[1] ?? '';
    const strange = await desk.post(other, { intent: 'undoBuild', run });
    if (strange.status === 409) refused++;
    else lost.push(`a build was undone through another kit: ${strange.status}`);
    // A family that was forgotten gets nothing back by undoing.
    const third = await lendOut(world, { copy: 1, family: 2, lentOn: '2026-11-02', dueOn: '2026-11-22' });
    await home(third, 6);
    await coordinator.post(`/lend/families/${world.families[2]!.id}`, { intent: 'forget' });
    const again = await desk.post('/take-back', { loan: third });
    if (again.status === 409 && (await findLoan(world.at, third))!.closedAs === 'returned') refused++;
    else lost.push(`a return was undone to a forgotten family: ${again.status}`);
  }
  return { what: 'undoing what something rests on', tried: size * 3, refused, lost };
}
