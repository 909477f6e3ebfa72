/** The table at which families tick themselves in, and take a bag home: what its tablet may know and do. */
import { against, hazardsOf } from '~/core/kits/safety';
import type { Said } from '~/core/listening/level';
import { LEVELS } from '~/core/pack/questions';
import { languageFor } from '~/core/words/trouble';
import { SHIPPED_LANGUAGES, type Language } from '~/core/words/languages';
import { PRINT_WORDS } from '~/core/words/print';
import { ENGLISH, nameOf, say } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { open } from '~/core/own/open';
import type { SchoolHandle } from '~/data/db';
import { findCopy } from '~/data/queries/copies';
import { findEvening } from '~/data/queries/evenings';
import { createFamily, familiesNamed, familyByCard, findFamily } from '~/data/queries/families';
import { gatheringOf, keepTaps, tickIn, type Gathering, type Tap } from '~/data/queries/gatherings';
import { lend } from '~/data/queries/lending';
import { catalogueNow } from '~/data/queries/materials';
import { readingsAt } from '~/data/queries/wording';
import { proposedDue } from './lending/due';
import { mayVisit, wrongLink } from './limits';
import { hashOf } from './people/session';
import { offeredIn } from './reply';
import { today } from './today';

/** A name is looked for from so many letters on, so that nobody reads through the families. */
const LEAST_LETTERS = 3;
const MOST_FOUND = 4;

type Shown = ReturnType<typeof offeredIn>;
export type TablePage = Shown &
  (
    | { refused: 'busy' | 'over'; status: number }
    | { refused?: undefined; at: SchoolHandle; gathering: Gathering }
  );

export async function tablePage(request: Request, key: string, address: string): Promise<TablePage> {
  const lang = new URL(request.url).searchParams.get('lang');
  const found = /^[\w-]{32}$/.test(key) ? await gatheringOf(hashOf(key)) : undefined;
  const browser = languageFor(request.headers.get('Accept-Language'), [...SHIPPED_LANGUAGES]);
  if (!found) {
    const shown = offeredIn(
      SHIPPED_LANGUAGES.map((one) => readingOf(one)),
      lang,
      browser,
    );
    return (await wrongLink(address))
      ? { refused: 'over', status: 404, ...shown }
      : { refused: 'busy', status: 429, ...shown };
  }
  const { at, school, gathering } = found;
  const shown = offeredIn(await readingsAt(at, school.languages), lang, browser);
  if (!(await mayVisit(gathering.id, address))) return { refused: 'busy', status: 429, ...shown };
  if (gathering.closedAt || gathering.expiresAt < new Date())
    return { refused: 'over', status: 410, ...shown };
  return { ...shown, at, gathering };
}

type OpenTable = Extract<TablePage, { refused?: undefined }>;

/** The few families that are called so, by name alone; or the one with a card. */
export async function findAtTable(
  { at }: OpenTable,
  text: string,
  card: string | undefined,
): Promise<{ id: string; name: string }[]> {
  const one = card ? await familyByCard(at, card) : undefined;
  const found = one
    ? [one]
    : text.length < LEAST_LETTERS
      ? []
      : await familiesNamed(at, text, MOST_FOUND + 1);
  // So many are called so that the words say nothing: more of the name is wanted.
  return found.length > MOST_FOUND ? [] : found.map(({ id, name }) => ({ id, name }));
}

export async function tickAtTable({ at, gathering }: OpenTable, familyId: string): Promise<boolean> {
  const family = await findFamily(at, familyId);
  if (family) await tickIn(at, gathering.id, family.id, true);
  return family !== undefined;
}

/**
 * A family that nobody knows yet: entered with its name and language, and ticked in. Where somebody is called so
 * already, those are answered instead, so that nobody is entered twice.
 */
export async function enterAtTable(
  page: OpenTable,
  name: string,
  language: Language,
): Promise<{ id: string } | { taken: { id: string; name: string }[] }> {
  const { at, gathering } = page;
  const made = await createFamily(at, { name, language });
  if (!made)
    return {
      taken: (await familiesNamed(at, name, MOST_FOUND)).map(({ id, name: known }) => ({ id, name: known })),
    };
  await tickIn(at, gathering.id, made.id, true);
  return { id: made.id };
}

/** The tables of an evening that have a game, with their numbers on the signs. */
async function tablesToTap({ at, gathering }: OpenTable) {
  const evening = gathering.eveningId ? await findEvening(at, gathering.eveningId) : undefined;
  return (evening?.plan.tables ?? []).flatMap(({ id, game }, i) =>
    game ? [{ id, game, number: i + 1 }] : [],
  );
}

/** The tables, as a family that leaves is asked about them: in the language of the page. */
export async function tablesSaid(page: OpenTable): Promise<{ id: string; table: string; game: string }[]> {
  const tables = await tablesToTap(page);
  if (tables.length === 0) return [];
  const [reading = ENGLISH] = await readingsAt(page.at, [page.language]);
  return tables.map(({ id, game, number }) => ({
    id,
    table: say(reading, PRINT_WORDS, 'evening.table', { table: number }),
    game: nameOf(open(game).game, reading),
  }));
}

/** What a family taps when it leaves: of each table it was at how it was, and whether they would play it again. */
export async function tapAtTable(page: OpenTable, familyId: string, form: FormData): Promise<boolean> {
  const { at, gathering } = page;
  if (!(await findFamily(at, familyId))) return false;
  const taps = (await tablesToTap(page)).flatMap(({ id, game }): Tap[] => {
    const said = form.get(`said ${id}`);
    const again = form.get(`again ${id}`);
    return typeof said === 'string' && Object.hasOwn(LEVELS, said)
      ? [
          {
            tableName: id,
            game,
            said: said as Said,
            again: again === 'yes' ? true : again === 'no' ? false : null,
          },
        ]
      : [];
  });
  await keepTaps(at, gathering.id, familyId, taps);
  return true;
}

/** The family takes a bag home. Undefined where a person has to look at it first. */
export async function takeAtTable(
  { at, gathering }: OpenTable,
  familyId: string,
  tag: string,
): Promise<{ kitName: string; dueOn: string } | undefined> {
  const [family, copy] = [await findFamily(at, familyId), await findCopy(at, { tag })];
  if (!family || !copy || copy.loan || !copy.printedAt) return undefined;
  if (against(hazardsOf(copy.parts, await catalogueNow(at)), family).length) return undefined;
  const day = today(at);
  const { dueOn } = await proposedDue(at, day, copy.daysOut, family.group);
  const lent = await lend(at, { copyId: copy.id, familyId, lentOn: day, dueOn, personId: null });
  if (!lent.ok) return undefined;
  await tickIn(at, gathering.id, familyId, true);
  return { kitName: copy.kitName, dueOn };
}
