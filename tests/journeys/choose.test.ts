import { GAME_IDS } from '~/core/games/shelf/games';
import { readFileSync, writeFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { checkOwnGame } from '~/core/own/check';
import { closeDatabase } from '~/data/pools';
import { listOwnGames } from '~/data/queries/games';
import { countStock } from '~/data/queries/store';
import { listCopies } from '~/data/queries/copies';
import { listKits, listVariants } from '~/data/queries/kits';
import { smallSchool, type SmallSchool } from '../world';
import { closeBrowser, expectAccessible, open, signIn, visitor } from './browser';

let world: SmallSchool;
beforeEach(async () => {
  world = await smallSchool();
});
afterAll(async () => {
  await closeBrowser();
  await closeDatabase();
});
const folder = mkdtempSync(join(tmpdir(), 'fern-choose-'));
beforeAll(() =>
  writeFileSync(join(folder, 'torn.json'), '{ "format": "fern-basket own game",\n  "version": }'),
);

describe('the shelf', () => {
  it('is narrowed by keyboard alone, in either language, down to what is in the store', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/choose');
    await page.getByText(`${GAME_IDS.length} games`).waitFor();
    await expectAccessible(page);
    // The search box has the focus: typing and Enter open the first game that is left.
    await page.keyboard.type('parejas');
    await page.getByText('1 game', { exact: true }).waitFor();
    await page.keyboard.press('Enter');
    await page.getByRole('heading', { name: 'Tide Pairs', level: 1 }).waitFor();

    await countStock(
      world.at,
      [
        { material: 'die', counted: 2 },
        { material: 'chip', counted: 12 },
      ],
      null,
    );

    await open(page, '/choose');
    await page.getByText('parts at hand', { exact: true }).click();
    await page.getByLabel('Skill', { exact: true }).selectOption('adding within 10');
    await page.getByLabel('Grade band').selectOption('K');
    await page.getByRole('link', { name: 'Harvest Mat' }).waitFor();
    expect(await page.getByRole('link', { name: 'Tide Pairs' }).count()).toBe(0);
    // The preset that meets the wish is the one that opens.
    await page.getByRole('link', { name: 'Harvest Mat' }).click();
    await page.getByRole('heading', { name: 'Harvest Mat', level: 1 }).waitFor();
    expect(page.url()).toContain('preset=matched');
    await page.goBack();
    await page.getByText('works by video call').click();
    await page.getByLabel('Players').selectOption('5');
    await page.getByLabel('Minutes').selectOption('5');
    await page.getByRole('heading', { name: 'No game is like that' }).waitFor();
    await page.getByRole('button', { name: 'Show all games' }).last().click();
    await page.getByText(`${GAME_IDS.length} games`).waitFor();
    expect(complaints).toEqual([]);
  });
});

describe('a bench', () => {
  it('answers knobs at once and brings the heavy figures afterwards', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/choose/five-to-mark?preset=all');
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    await expect.poll(() => margin.innerText(), { timeout: 15_000 }).toContain('Hardest target');
    expect(await margin.innerText()).toContain('exact over all deals of 5'.replace('exact', 'Exact'));
    await expectAccessible(page);

    // Another setting: what was counted goes, progress shows, and it can be stopped and taken up again.
    await page.getByRole('link', { name: /six cards, jokers are 15/ }).click();
    await margin.getByRole('progressbar').waitFor();
    await margin.getByRole('button', { name: 'Stop counting' }).click();
    await margin.getByText('Stopped.').waitFor();
    // While nothing is being counted, and while it is, a knob answers.
    await page.getByRole('button', { name: 'One less: Players' }).click();
    expect(await page.getByRole('textbox', { name: 'Players' }).inputValue()).toBe('1');

    // The solver: no way, a hint card by card, every way.
    await page.getByLabel('Cards on the table').fill('6 4 9');
    await page.getByRole('textbox', { name: 'Target', exact: true }).fill('10');
    await page.keyboard.press('Tab');
    await page.getByText('The shortest takes 2 cards').waitFor();
    await page.getByRole('button', { name: 'Give one more card away' }).click();
    await page.getByText('and 1 other card').waitFor();
    await page.getByRole('button', { name: 'Show every way at once' }).click();
    await page.getByRole('listitem').filter({ hasText: '6 + 4 = 10' }).waitFor();
    await page.getByLabel('Cards on the table').fill('1 1');
    await page.getByText('These cards do not reach 10').waitFor();
    await page.getByLabel('Cards on the table').fill('1 x');
    await page.getByText('“x” is not a whole number from 0 to 20.').waitFor();
    expect(complaints).toEqual([]);
  });

  it('marks what is simulated, mends by a press, and says what does not go together', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/choose/row-call?preset=two');
    const margin = page.getByRole('complementary', { name: 'Reckonings' });
    await expect.poll(() => margin.innerText(), { timeout: 15_000 }).toContain('10,000 plays, seed 1');
    expect(await margin.innerText()).toMatch(/\d ± \d/);
    await page.getByRole('button', { name: 'One more: Players' }).click();
    await page.getByRole('button', { name: 'One more: Players' }).click();
    await page.getByText(/leave 4 cards to call/).waitFor();
    await page.getByRole('button', { name: 'Call from a second deck' }).click();
    await expect.poll(() => margin.innerText()).toContain('40 cards');

    await open(page, '/choose/blanket-board?preset=ten');
    await page.getByLabel('Cells of a board').selectOption('16');
    await page
      .getByText(/A board of 16 cells needs 16 different numbers/)
      .first()
      .waitFor();
    await page.getByText('What you set is kept.').waitFor();
    expect(await page.getByRole('button', { name: 'Save this variant' }).isDisabled()).toBe(true);
    await expectAccessible(page);
    await page.getByLabel('Cells of a board').selectOption('9');
    await page.getByRole('heading', { name: 'How long it takes' }).waitFor();

    // Lists, cards and choices are knobs too.
    await open(page, '/choose/harvest-mat?preset=each');
    await page.getByRole('button', { name: 'Take 12 off' }).click();
    await page.getByPlaceholder(/numbers to put on/).fill('7 7 thirteen');
    await page.keyboard.press('Enter');
    await page.getByText('“thirteen” is not a whole number from 0 to 20.').waitFor();
    await page.getByPlaceholder(/numbers to put on/).fill('7 7');
    await page.keyboard.press('Enter');
    await page.getByText('12 cells.', { exact: true }).waitFor();
    await open(page, '/choose/tide-pairs?preset=ten');
    await page.getByText('Cards this deck lacks:').click();
    await page
      .getByRole('radio', { name: '7♥ is missing' })
      .or(page.getByRole('button', { name: '7♥ is missing' }))
      .click();
    await page.getByText(/One card \(3\) can never pair/).waitFor();
    await page.getByRole('button', { name: 'Take 3♠ out' }).click();
    await page.getByText('Missing: 7♥, 3♠.').waitFor();

    // A play is rehearsed turn by turn.
    await page.getByRole('button', { name: 'Play the next turn' }).click();
    await page.getByText(/^Turn 2 of/).waitFor();
    await page.getByText('Español', { exact: true }).first().click();
    await page
      .getByText(/Participante 1/)
      .first()
      .waitFor();
    expect(complaints).toEqual([]);
  });

  it('shows a card for a moment, covers it, and waits', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/choose/peek-and-say?preset=five');
    await page.getByRole('button', { name: 'Show the card' }).click();
    await page.getByRole('img', { name: 'A card with dots' }).waitFor();
    await page.getByRole('button', { name: 'Look again' }).waitFor();
    expect(await page.getByRole('img', { name: 'A covered card' }).count()).toBe(1);
    await page.getByRole('button', { name: 'Look again' }).click();
    await page
      .getByText(/“How many did you see\?”/)
      .first()
      .waitFor();
    expect(complaints).toEqual([]);
  });
});

describe('two side by side', () => {
  it('marks what differs between two schools, and between two games', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/choose/stepping-stones?preset=felt-10');
    await page.getByRole('link', { name: 'Lay another beside it' }).click();
    await page.getByRole('heading', { name: 'Two side by side' }).waitFor();
    await page
      .getByLabel('On the right')
      .selectOption({ label: 'Stepping Stones: felt path to 10 (the last roll must be exact)' });
    const differs = page.getByRole('row', { name: /differs:/ });
    await differs.filter({ hasText: 'Turns of one player' }).waitFor();
    expect(await differs.filter({ hasText: 'Turns of one player' }).innerText()).toMatch(/3\.3.*7\.6/s);
    expect(await differs.filter({ hasText: 'Length of the path' }).count()).toBe(0);
    await expectAccessible(page);
    await page.getByLabel('On the left').selectOption({ label: 'Clap a Count: in twos to 10' });
    await page.getByRole('heading', { name: 'Clap a Count' }).waitFor();
    expect(complaints).toEqual([]);
  });
});

describe('the deck audit', () => {
  it('tells which games a donated deck still plays, and what two decks make', async () => {
    const { page, complaints } = await visitor();
    await signIn(page);
    await open(page, '/choose/deck');
    await page.getByText('52 cards of 52.').waitFor();
    await page.getByPlaceholder('or type them: 7h qs 10d').fill('7h 12z');
    await page.keyboard.press('Enter');
    await page.getByText('Not a card: 12Z').waitFor();
    await page.getByPlaceholder('or type them: 7h qs 10d').fill('2s 3s');
    await page.keyboard.press('Enter');
    await page.getByText('49 cards of 52.').waitFor();
    const tide = page.getByRole('row', { name: /Tide Pairs/ }).first();
    await expect.poll(() => tide.innerText()).toContain('plays, with a note');
    await expectAccessible(page);
    await page.getByText('There is a second deck').click();
    await page.getByText('Together they also make one whole deck').waitFor();
    // It is still there when the coordinator comes back.
    await open(page, '/choose/deck');
    await page.getByText('101 cards of 104.').waitFor();
    expect(complaints).toEqual([]);
  });
});

describe("a game of one's own", () => {
  it('is made, refused where it is wrong, lent like any other, taken out and brought in', async () => {
    const { page, complaints } = await visitor({ expected: /400/ });
    await signIn(page);
    await open(page, '/choose/own/new');
    await page.getByLabel('Name in English').fill('Ferry Load');
    await page.getByLabel('Goal, in one sentence, English').fill('Load {goal} cars onto the ferry.');
    await page.getByLabel('Goal, in one sentence, Spanish').fill('Suban 20 autos al ferri.');
    await page
      .getByText(/write “20” as one of the numbers/)
      .first()
      .waitFor();
    await page.getByRole('button', { name: 'Keep this game' }).click();
    await page.getByText('Not kept yet').waitFor();
    await expectAccessible(page);
    // What was written outlives the tab.
    await open(page, '/choose/own/new');
    expect(await page.getByLabel('Name in English').inputValue()).toBe('Ferry Load');
    await page.getByLabel('Name in Spanish').fill('La carga del ferri');
    await page.getByLabel('Goal, in one sentence, Spanish').fill('Suban {goal} autos al ferri.');
    await page.getByRole('button', { name: 'One more: How many' }).click();
    await page.getByRole('complementary', { name: 'Reckonings' }).getByText('Answer on average').waitFor();
    await page.getByRole('button', { name: 'Keep this game' }).click();
    await page.getByRole('heading', { name: 'Ferry Load', level: 1 }).waitFor();
    await page
      .getByText('Suban 20 autos al ferri.')
      .or(page.getByText('Load 20 cars onto the ferry.'))
      .first()
      .waitFor();
    const [stored] = await listOwnGames(world.at);
    expect(stored!.definition.turn.count).toBe(2);
    await expectAccessible(page);

    // Kept as a variant, put into a kit, built and printed like any other.
    await page.getByLabel('Name of the variant').fill('Ferry to twenty');
    await page.getByRole('button', { name: 'Save this variant' }).click();
    await page.getByRole('link', { name: 'Fill a kit with it' }).click();
    await page.getByLabel('Name of the kit').fill('Ferry basket');
    await page.getByText('Ferry to twenty').click();
    await page.getByRole('button', { name: 'Save this kit' }).click();
    await page.getByRole('heading', { name: 'Ferry basket', level: 1 }).waitFor();
    await page.getByRole('textbox', { name: 'How many' }).fill('1');
    await page.getByRole('button', { name: 'Build and tag these copies' }).click();
    await page
      .getByText('1 copy has a tag now')
      .or(page.getByText(/tag now/))
      .first()
      .waitFor();
    const kitId = (await listKits(world.at)).find((kit) => kit.name === 'Ferry basket')!.id;
    const [copy] = await listCopies(world.at, { kitId });
    expect((await listVariants(world.at)).find((one) => one.name === 'Ferry to twenty')!.own!.name.es).toBe(
      'La carga del ferri',
    );
    await page.goto(`/print?copy=${copy!.id}`);
    await page.getByRole('button', { name: 'Draw the pack as PDF' }).click();
    const ready = page.getByRole('link', { name: 'Open the PDF' });
    await ready.waitFor({ timeout: 30_000 });
    const pdf = await page.request.get((await ready.getAttribute('href'))!);
    expect(pdf.headers()['content-type']).toContain('application/pdf');
    await page.goto(`/p/${copy!.linkKey}?lang=es`);
    await page.getByRole('heading', { name: 'La carga del ferri' }).waitFor();
    await page.getByText('Terminen cuando alguien tenga 20.').waitFor();

    // Out as a file and in again: a taken name and a torn file are refused with the place.
    await open(page, `/choose/own/${stored!.id}`);
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('link', { name: 'Take it out as a file' }).click(),
    ]);
    const file = join(folder, 'ferry-load.json');
    await download.saveAs(file);
    expect(download.suggestedFilename()).toBe('ferry-load.json');
    const read = JSON.parse(readFileSync(file, 'utf8')) as { name: { en: string }; turn: { count: number } };
    expect(checkOwnGame(read)).toEqual({ ok: true, value: stored!.definition });
    const bringIn = async (path: string): Promise<void> => {
      await open(page, '/choose/own/import');
      await page.getByLabel('File').setInputFiles(path);
      await page.getByRole('button', { name: 'Bring this game in' }).click();
    };
    await bringIn(file);
    await page.getByText('There is a game called “Ferry Load” already').waitFor();
    await bringIn(join(folder, 'torn.json'));
    await page.getByText(/This is not JSON/).waitFor();
    writeFileSync(
      join(folder, 'other.json'),
      JSON.stringify({ ...read, name: { en: 'Barge', es: 'Barcaza' }, turn: { ...read.turn, count: 9 } }),
    );
    await bringIn(join(folder, 'other.json'));
    await page.getByRole('cell', { name: 'turn.count' }).waitFor();
    await expectAccessible(page);
    writeFileSync(
      join(folder, 'good.json'),
      JSON.stringify({ ...read, name: { en: 'Barge', es: 'Barcaza' } }),
    );
    await bringIn(join(folder, 'good.json'));
    await page.getByRole('heading', { name: 'Barge', level: 1 }).waitFor();
    expect((await listOwnGames(world.at)).map((one) => one.definition.name.en)).toEqual([
      'Barge',
      'Ferry Load',
    ]);

    // A changed game leaves the saved variant as it was; a game put away leaves the shelf.
    await open(page, `/choose/own/${stored!.id}`);
    await page.getByRole('textbox', { name: 'Number to reach' }).fill('30');
    await page.keyboard.press('Tab');
    await page.getByRole('button', { name: 'Keep this game' }).click();
    await page.getByText('Load 30 cars onto the ferry.').waitFor();
    expect(
      (await listVariants(world.at)).find((one) => one.name === 'Ferry to twenty')!.own!.end.number,
    ).toBe(20);
    await open(page, `/choose/own/${stored!.id}`);
    await page.getByRole('button', { name: 'Put this game away' }).click();
    await page.getByText(`${GAME_IDS.length + 1} games`).waitFor();
    // The variant saved before keeps its rules on its bench, and can be saved once more.
    const before = (await listVariants(world.at)).find((one) => one.name === 'Ferry to twenty')!;
    await open(page, `/choose/${before.gameId}?variant=${before.id}`);
    await page.getByText('Load 20 cars onto the ferry.').waitFor();
    await page.getByLabel('Name of the variant').fill('Ferry once more');
    await page.getByRole('button', { name: 'Save this variant' }).click();
    await page.getByText('It can go into a kit now.').waitFor();
    expect(
      (await listVariants(world.at)).find((one) => one.name === 'Ferry once more')!.own!.end.number,
    ).toBe(20);
    const schema = await page.request.get('/own-game.schema.json');
    expect(((await schema.json()) as { $schema: string }).$schema).toContain('2020-12');
    expect(complaints).toEqual([]);
  });
});
