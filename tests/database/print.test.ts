import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { showTag } from '~/core/kits/tag';
import { sql } from 'drizzle-orm';
import { closeDatabase } from '~/data/pools';
import { listCopies, markPrinted } from '~/data/queries/copies';
import { saveKit } from '~/data/queries/kits';
import { USUAL_PRINTING } from '~/core/pack/cost';
import { findSchool, type School } from '~/data/queries/schools';
import { addLineChecks } from '~/data/queries/words';
import { saveKitForm } from '~/server/kits/save';
import { addPrintJob, findPrintJob, printedPdf, tellPrintJob } from '~/data/queries/print';
import { DRAW, DRAW_LOST, queue } from '~/data/queue';
import { schoolMark, schoolPrinting, setSchoolMark, setSchoolPrinting } from '~/data/queries/schools';
import { silent } from '~/core/listening/answer';
import { addAnswer } from '~/data/queries/listening';
import { lastLoanOf, lend } from '~/data/queries/lending';
import { forgetFamily } from '~/data/queries/families';
import { listResponse } from '~/server/lending/papers';
import { beginDrawing, endDrawing, requireJob, startJob } from '~/server/print/jobs';
import { drawn } from '~/server/threads';
import { MAX_MARK_BYTES, readMark } from '~/server/print/mark';
import {
  loansIn,
  lostPieces,
  missingIn,
  previewOf,
  readOrder,
  taskOf,
  uncheckedIn,
} from '~/server/print/order';
import { sheetsOf } from '~/server/print/task';
import { everything } from '../owner';
import { smallSchool, type SmallSchool, answersOf, aWord } from '../world';

let world: SmallSchool;
let school: School;
beforeEach(async () => {
  world = await smallSchool();
  school = world.school;
});
afterAll(closeDatabase);

const request = new Request('http://school.invalid/print');
const order = (search: string) => readOrder(world.at, new URLSearchParams(search), school);
const task = async (search: string) => taskOf(world.at, request, await order(search), school);
const textOf = async (search: string): Promise<string> => JSON.stringify(sheetsOf(await task(search)));

describe('a print order', () => {
  it('takes what is asked for, else all that is not printed, on the paper of the school', async () => {
    const [one] = world.copies;
    expect(await order('')).toMatchObject({ copies: [], paper: 'a4', home: 'es', twoSided: true });
    expect((await order(`copy=${one!.id}&copy=nonsense`)).copies.map((copy) => copy.id)).toEqual([one!.id]);
    expect((await order(`run=${one!.buildRunId}`)).copies).toHaveLength(3);
    expect(await order('paper=letter&home=en&sides=one&item=labels&item=nonsense')).toMatchObject({
      paper: 'letter',
      home: 'en',
      twoSided: false,
      items: ['labels'],
    });
    expect(await order('paper=napkin&home=xx')).toMatchObject({ paper: 'a4', home: 'es' });
  });

  it('gives each copy its own tag and link on its labels', async () => {
    const text = await textOf(`run=${world.copies[0]!.buildRunId}&item=labels`);
    for (const copy of world.copies) expect(text).toContain(showTag(copy.tag));
  });

  it('prints what was built, though the kit has changed since', async () => {
    const [one] = world.copies;
    const before = await textOf(`copy=${one!.id}`);
    await saveKit(
      world.at,
      { name: 'First splits', ageBand: 'K', players: 4, paper: 'a4', assurance: 'worst', variantIds: [] },
      world.kitId,
    );
    expect(await textOf(`copy=${one!.id}`)).toBe(before);
  });

  it('marks wording nobody has checked, and stops when all of it is', async () => {
    const asked = `copy=${world.copies[0]!.id}&item=instructions`;
    expect(await uncheckedIn(world.at, await order(asked))).toEqual(['Two-Tone Spill']);
    expect(await uncheckedIn(world.at, await order(`${asked}&home=en`))).toEqual([]);
    expect(await textOf(asked)).toContain('no revisado');
    const ids = Object.keys(gameOf('two-tone-spill').words.en);
    await addLineChecks(
      world.at,
      gameOf('two-tone-spill'),
      ids.map((messageId) => ({
        messageId,
        language: 'es' as const,
        right: true,
        note: '',
        personId: world.people.reader.id,
      })),
    );
    expect(await uncheckedIn(world.at, await order(asked))).toEqual([]);
    expect(await textOf(asked)).not.toContain('no revisado');
  });

  it('counts a pack as printed only when told so', async () => {
    const ids = world.copies.map((copy) => copy.id);
    sheetsOf(await task(`copy=${ids[0]!}`));
    await markPrinted(world.at, [ids[0]!]);
    expect((await listCopies(world.at, { ids })).every((copy) => copy.printedAt !== null)).toBe(true);
  });
});

describe('what is chosen about a pack', () => {
  const one = () => `copy=${world.copies[0]!.id}`;

  it('is read from the address, and nonsense in it is the usual', async () => {
    expect(
      await order(
        `${one()}&finish=durable&cuts=marks&fill=no&scope=lost&lost=record-sheet|record&stock=a4-2x3&used=2&home=ar`,
      ),
    ).toMatchObject({
      finish: 'durable',
      cuts: 'marks',
      fill: false,
      scope: 'lost',
      lost: { material: 'record-sheet', name: 'record' },
      stock: 'a4-2x3',
      labels: { used: 2, stock: { columns: 2, rows: 3 } },
      home: 'ar',
      errors: {},
    });
    expect(await order(`${one()}&finish=gold&cuts=x&scope=y&stock=z&used=-3&lost=a|b`)).toMatchObject({
      finish: 'plain',
      cuts: 'shared',
      fill: true,
      scope: 'each',
      stock: 'plain',
      labels: { used: 0 },
    });
    expect((await order(`${one()}&scope=each&lost=a|b`)).lost).toBeUndefined();
    expect([loansIn(new URLSearchParams('loans=7')), loansIn(new URLSearchParams('loans=-1'))]).toEqual([
      7, 10,
    ]);
  });

  it('names what is wrong with the measures of a label sheet', async () => {
    const { errors } = await order(`${one()}&stock=own&columns=2&rows=0&w=10&h=50&left=0&top=0&gapX=0`);
    expect(Object.keys(errors).sort()).toEqual(['gapY', 'rows', 'w']);
    const fine = await order(
      `${one()}&stock=own&columns=2&rows=3&w=99.1&h=90&left=4.5&top=9&gapX=2.5&gapY=0`,
    );
    expect([fine.errors, fine.labels.stock]).toEqual([
      {},
      { columns: 2, rows: 3, w: 99.1, h: 90, left: 4.5, top: 9, gapX: 2.5, gapY: 0 },
    ]);
  });

  it('gives the pages of one copy, and the work of one and of all', async () => {
    const run = `run=${world.copies[0]!.buildRunId}`;
    const { pages, each, all } = await previewOf(await task(run), 10, USUAL_PRINTING);
    const { work: single, cost } = each[0]!;
    expect(pages.length).toBe(single.pages);
    // Slips share a sheet, so three copies take a little less than three times one.
    expect(all.pages).toBeLessThanOrEqual(3 * single.pages);
    expect(all.pages).toBeGreaterThan(2 * single.pages);
    expect(all.pages).toBe(sheetsOf(await task(run)).filter((sheet) => sheet.shapes.length).length);
    expect(cost!.paysFrom).toBeGreaterThan(1);
    const wrong = await task(
      `${run}&stock=own&columns=6&rows=3&w=99&h=90&left=4&top=9&gapX=2&gapY=0&item=labels`,
    );
    expect(await previewOf(wrong, 10, USUAL_PRINTING)).toMatchObject({
      pages: [],
      problem: expect.stringContaining('do not lie on A4 paper') as string,
    });
  });

  it('is reckoned with the prices and times of the school', async () => {
    expect(await schoolPrinting(world.at)).toEqual(USUAL_PRINTING);
    const usual = await previewOf(await task(one()), 10, await schoolPrinting(world.at));
    await setSchoolPrinting(world.at, { ...USUAL_PRINTING, greyCents: 1000, bagSeconds: 1800 }, 1);
    const own = await previewOf(await task(one()), 10, await schoolPrinting(world.at));
    // Ten cents a page in place of two, thirty minutes a bag in place of three.
    expect(own.all.costCents - usual.all.costCents).toBe(8 * own.all.pages);
    expect(own.all.minutes).toBe(usual.all.minutes + 27);
    expect(own.pages).toEqual(usual.pages);
    // Only what differs is kept: a new price to be reckoned with needs nothing stored.
    expect(await schoolPrinting(world.at)).toEqual({ ...USUAL_PRINTING, greyCents: 1000, bagSeconds: 1800 });
    await setSchoolPrinting(world.at, USUAL_PRINTING, 2);
    expect(await schoolPrinting(world.at)).toEqual(USUAL_PRINTING);
  });

  it('can be one lost piece, of those the kit has', async () => {
    const pieces = await lostPieces(await task(one()));
    expect(pieces.map(({ material }) => material)).toEqual(['record-sheet', 'mat']);
    const lost = await task(`${one()}&scope=lost&lost=mat|${pieces[1]!.name}`);
    expect((await previewOf(lost, 1, USUAL_PRINTING)).pages.map((page) => page.pieces![0]!.material)).toEqual(
      ['mat'],
    );
  });

  it('says which games have no wording in a home language', async () => {
    expect(await missingIn(world.at, await order(`${one()}&home=es`))).toEqual([]);
    expect(await missingIn(world.at, await order(`${one()}&home=so`))).toMatchObject([
      { game: 'Two-Tone Spill' },
    ]);
  });
});

describe('a print job', () => {
  beforeAll(beginDrawing);
  afterAll(endDrawing);
  const silence = (id: string) =>
    everything().execute(sql`update print_job set alive_at = now() - interval '1 minute' where id = ${id}`);
  const waitFor = async (id: string) => {
    for (let i = 0; i < 300; i++) {
      const job = (await findPrintJob(world.at, id))!;
      if (job.state !== 'drawing') return job;
      await new Promise((later) => setTimeout(later, 100));
    }
    throw new Error('the job did not end');
  };

  it('is drawn in a thread, told page by page, and kept as a file', async () => {
    const wanted = await task(`run=${world.copies[0]!.buildRunId}`);
    const id = await startJob(world.at, wanted, 'x=1', world.people.coordinator.id);
    const job = await waitFor(id);
    const pages = sheetsOf(wanted).length;
    expect(job).toMatchObject({ state: 'done', pages, pagesDone: pages, query: 'x=1', problem: null });
    const { pdf, title } = (await printedPdf(world.at, id))!;
    expect([pdf.subarray(0, 5).toString(), title]).toEqual(['%PDF-', wanted.about.title]);
  }, 40_000);

  it('draws a long list of families too, and is gone when one of them is forgotten', async () => {
    const { at, school, people, families } = world;
    const cards = Array.from({ length: 320 }, (_, i) => ({
      card: String(10_000_000 + i),
      family: `Family ${i}`,
      group: '',
    }));
    const list = (lines: typeof cards): Promise<Response> =>
      listResponse(
        at,
        { id: people.coordinator.id, school },
        {
          title: 'Family cards',
          file: 'cards',
          lines: lines.length,
          address: 'http://127.0.0.1/lend/families/cards.pdf',
        },
        'cards',
        lines,
      );
    // A short one comes at once.
    const short = await list(cards.slice(0, 12));
    expect([short.status, short.headers.get('Content-Type')]).toEqual([200, 'application/pdf']);
    const long: unknown = await list(cards).catch((answer: unknown) => answer);
    const to = (long as Response).headers.get('Location')!;
    expect(to).toMatch(/^\/print\/jobs\/[0-9a-f-]{36}$/);
    const id = to.slice('/print/jobs/'.length);
    const job = await waitFor(id);
    expect(job).toMatchObject({ state: 'done', title: 'Family cards', problem: null });
    expect(job.pages).toBeGreaterThan(20);
    expect((await printedPdf(at, id))!.pdf.subarray(0, 5).toString()).toBe('%PDF-');
    // A pack names nobody, and stays.
    const pack = await startJob(
      at,
      await task(`run=${world.copies[0]!.buildRunId}`),
      'x=9',
      people.coordinator.id,
    );
    await waitFor(pack);
    expect(await forgetFamily(at, families[0]!.id, people.coordinator.id)).toBe(true);
    expect(await findPrintJob(at, id)).toBeUndefined();
    expect(await findPrintJob(at, pack)).toBeDefined();
  }, 60_000);

  it('that cannot be printed ends with the sentence, and with no half-made file', async () => {
    const wanted = await task(`copy=${world.copies[0]!.id}&paper=letter&stock=letter-2x3&used=9&item=labels`);
    const id = await startJob(world.at, wanted, '', world.people.helper.id);
    const job = await waitFor(id);
    expect(job.state).toBe('failed');
    expect(job.problem).toMatch(/a sheet has 6 labels/);
    expect(await printedPdf(world.at, id)).toBeUndefined();
  }, 40_000);

  it('can be stopped, and stays stopped', async () => {
    const id = await addPrintJob(world.at, {
      query: '',
      title: 'x',
      createdBy: world.people.helper.id,
      task: { x: 1 },
    });
    expect(await tellPrintJob(world.at, id, { pagesDone: 3, pages: 9 })).toBe(true);
    expect(await tellPrintJob(world.at, id, { state: 'stopped' })).toBe(true);
    expect(await tellPrintJob(world.at, id, { state: 'done' })).toBe(false);
    expect(await findPrintJob(world.at, id)).toMatchObject({ state: 'stopped', pagesDone: 3 });
    // A thread whose job was stopped is ended.
    const wanted = await task(`run=${world.copies[0]!.buildRunId}`);
    expect(await drawn(wanted, () => false)).toBeUndefined();
    expect(await drawn(wanted)).toMatchObject({ kind: 'done' });
  }, 40_000);

  it('waits for a server with a free hand, and is begun again when that one was stopped', async () => {
    await endDrawing();
    const wanted = await task(`run=${world.copies[0]!.buildRunId}`);
    const id = await startJob(world.at, wanted, 'x=2', world.people.coordinator.id);
    // A server takes it and is never heard of again.
    const [taken] = await queue().fetch<{ id: string }>(DRAW);
    expect(taken).toMatchObject({ id });
    await requireJob(world.at, id);
    expect(await queue().fetch(DRAW)).toEqual([]);
    await silence(id);
    await Promise.all([requireJob(world.at, id), requireJob(world.at, id), requireJob(world.at, id)]);
    await beginDrawing();
    expect(await waitFor(id)).toMatchObject({ state: 'done', pages: sheetsOf(wanted).length });
    const { rows } = await everything().execute(sql`select task from print_job where id = ${id}`);
    expect(rows).toEqual([{ task: null }]);
    // It was drawn once, however often it was asked for.
    expect(await queue().fetch(DRAW)).toEqual([]);
  }, 40_000);

  it('is given up after the third server that was stopped, and says so', async () => {
    await endDrawing();
    const wanted = await task(`run=${world.copies[0]!.buildRunId}`);
    const id = await startJob(world.at, wanted, 'x=4', world.people.coordinator.id);
    for (let i = 0; i < 3; i++) {
      expect(await queue().fetch(DRAW)).toHaveLength(1);
      await queue().fail(DRAW, id);
    }
    expect(await queue().fetch(DRAW)).toEqual([]);
    expect(await queue().getQueueSize(DRAW_LOST)).toBe(1);
    await beginDrawing();
    expect(await waitFor(id)).toMatchObject({
      state: 'failed',
      problem: expect.stringContaining('draw them again') as string,
    });
  }, 40_000);

  it('is one when the same order is sent again while it is drawn', async () => {
    const wanted = await task(`run=${world.copies[0]!.buildRunId}`);
    const id = await startJob(world.at, wanted, 'x=3', world.people.coordinator.id);
    expect(await startJob(world.at, wanted, 'x=3', world.people.coordinator.id)).toBe(id);
    expect(await startJob(world.at, wanted, 'x=3', world.people.helper.id)).not.toBe(id);
    await waitFor(id);
  }, 40_000);

  it('is thrown away after a day', async () => {
    const id = await addPrintJob(world.at, {
      query: '',
      title: 'x',
      createdBy: world.people.helper.id,
      task: {},
    });
    await everything().execute(
      sql`update print_job set created_at = now() - interval '2 days' where id = ${id}`,
    );
    await addPrintJob(world.at, { query: '', title: 'y', createdBy: world.people.helper.id, task: {} });
    expect(await findPrintJob(world.at, id)).toBeUndefined();
  });
});

describe('the school’s picture', () => {
  const png = Buffer.from(
    'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
    'base64',
  );
  it('is known by its first bytes, and refused when it is none, damaged or too large', async () => {
    const kept = await readMark(png);
    expect(kept.ok && kept.data).toMatch(/^data:image\/png;base64,/);
    const refused = async (bytes: Uint8Array) => {
      const reading = await readMark(bytes);
      return reading.ok ? 'read' : reading.problem;
    };
    expect(await refused(new Uint8Array())).toBe('Choose a picture first.');
    expect(await refused(Buffer.from('<svg/>'))).toBe('This is no PNG and no JPEG picture.');
    expect(await refused(new Uint8Array(MAX_MARK_BYTES + 1))).toMatch(/201 kB; a label has room for 200/);
    for (const cut of [12, 30, png.length - 20])
      expect([cut, await refused(png.subarray(0, cut))]).toEqual([cut, expect.stringContaining('damaged')]);
    const bent = Buffer.from(png);
    bent[45] = bent[45]! ^ 0xff;
    expect(await refused(bent)).toContain('damaged');
  });
  it('stands on bag labels from then on, until it is taken off', async () => {
    const labels = `copy=${world.copies[0]!.id}&item=labels`;
    const images = async () =>
      sheetsOf(await task(labels)).flatMap((sheet) => sheet.shapes.filter((shape) => shape.kind === 'image'));
    expect(await images()).toEqual([]);
    const read = await readMark(png);
    await setSchoolMark(world.at, read.ok ? read.data : null);
    expect(await images()).toHaveLength(1);
    expect(await findSchool(world.at)).not.toHaveProperty('mark');
    await setSchoolMark(world.at, null);
    expect([await schoolMark(world.at), await images()]).toEqual([null, []]);
  });
});

describe('a paper slip', () => {
  it('belongs to the last loan of its bag, and counts once', async () => {
    const [copy] = world.copies;
    const [family, other] = world.families;
    expect(await lastLoanOf(world.at, copy!.id)).toBeUndefined();
    const loan = await lend(world.at, {
      copyId: copy!.id,
      familyId: family!.id,
      lentOn: '2026-03-02',
      dueOn: '2026-03-16',
      personId: world.people.helper.id,
    });
    expect(await lastLoanOf(world.at, copy!.id)).toMatchObject({ familyName: family!.name, language: 'es' });
    expect(loan.ok && (await lastLoanOf(world.at, copy!.id))!.id).toBe(loan.ok && loan.loanId);
    const answer = (said: 'justRight' | 'tooHard') =>
      aWord(loan.ok ? loan.loanId : '', {
        sendKey: 'slip x',
        language: 'es',
        games: [{ ...silent(0), said }],
      });
    expect([
      typeof (await addAnswer(world.at, answer('justRight'))),
      await addAnswer(world.at, answer('tooHard')),
    ]).toEqual(['string', undefined]);
    expect((await answersOf(world.at)).map((row) => [row.familyName, row.games[0]!.said])).toEqual([
      [family!.name, 'justRight'],
    ]);
    expect(other!.name).not.toBe(family!.name);
  });
});

describe('the form of a kit', () => {
  const form = (fields: Record<string, string>, variantIds: string[] = []) => {
    const data = new FormData();
    for (const [name, value] of Object.entries({
      name: 'New kit',
      ageBand: 'g1',
      players: '2',
      paper: 'a4',
      assurance: 'usual',
      ...fields,
    }))
      data.set(name, value);
    for (const id of variantIds) data.append('variantIds', id);
    return data;
  };

  it('says all that is wrong with it at once', async () => {
    expect(
      await saveKitForm(
        world.at,
        form({ name: ' ', players: '9', paper: 'napkin' }),
        world.people.coordinator.id,
      ),
    ).toEqual({
      ok: false,
      status: 400,
      errors: {
        name: 'Name of the kit must not be empty.',
        players: 'Players must be from 1 to 6.',
        paper: expect.stringContaining('Letter') as string,
        variantIds: 'Tick at least one game.',
      },
    });
  });

  it('refuses a variant that is gone and a name that is taken', async () => {
    expect(
      await saveKitForm(world.at, form({}, [crypto.randomUUID()]), world.people.coordinator.id),
    ).toMatchObject({
      errors: { variantIds: expect.stringContaining('not there any more') as string },
    });
    const [variant] = await (await import('~/data/queries/kits')).listVariants(world.at);
    expect(
      await saveKitForm(world.at, form({ name: 'first SPLITS' }, [variant!.id]), world.people.coordinator.id),
    ).toMatchObject({ status: 409 });
    expect(
      await saveKitForm(world.at, form({}, [variant!.id, variant!.id]), world.people.coordinator.id),
    ).toMatchObject({ ok: true });
  });
});
