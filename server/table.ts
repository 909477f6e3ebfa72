/** The table at which families tick themselves in, and take a bag home: what its tablet may know and do. */
import { randomBytes } from 'node:crypto';
import { createCookie } from 'react-router';
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
import { addDevice, findDevice, signedInAt, type Device } from '~/data/queries/devices';
import { createFamily, familiesCalled, familyByCard, findFamily } from '~/data/queries/families';
import { gatheringOf, keepTaps, tickIn, type Gathering, type Tap } from '~/data/queries/gatherings';
import { lend } from '~/data/queries/lending';
import { catalogueNow } from '~/data/queries/materials';
import { readingsAt } from '~/data/queries/wording';
import { proposedDue } from './lending/due';
import { mayBringDevice, mayEnterAnother, mayLookForName, mayUseDevice, wrongLink } from './limits';
import { noteSecurity } from './people/security';
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
    | { refused: 'waits'; status: number; number: number; headers: Headers }
    | { refused?: undefined; at: SchoolHandle; gathering: Gathering; device: Device; headers: Headers }
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
  if (gathering.closedAt || gathering.expiresAt < new Date())
    return { refused: 'over', status: 410, ...shown };
  const cookie = deviceCookie(key, new URL(request.url).protocol === 'https:');
  const token: unknown = await cookie.parse(request.headers.get('Cookie'));
  const known = typeof token === 'string' ? await findDevice(at, gathering.id, hashOf(token)) : undefined;
  // A device is kept out by what it does itself, never by what others in the same building do.
  if (!(await (known ? mayUseDevice(known.id) : mayBringDevice(gathering.id, address))))
    return { refused: 'busy', status: 429, ...shown };
  const headers = new Headers();
  let device = known;
  if (!device) {
    const fresh = randomBytes(24).toString('base64url');
    device = await addDevice(at, gathering.id, hashOf(fresh));
    if (!device) return { refused: 'over', status: 410, ...shown };
    headers.append('Set-Cookie', await cookie.serialize(fresh));
  }
  if (!device.letIn) return { refused: 'waits', status: 403, number: device.number, headers, ...shown };
  return { ...shown, at, gathering, device, headers };
}

/** A table belongs to the devices on which it was opened. */
const deviceCookie = (key: string, secure: boolean) =>
  createCookie(secure ? '__Secure-fern-table' : 'fern-table', {
    secure,
    httpOnly: true,
    sameSite: 'lax',
    path: `/in/${key}`,
    maxAge: 2 * 86_400,
  });

type OpenTable = Extract<TablePage, { refused?: undefined }>;

/** The few families that are called so, by name alone; or the one with a card. */
export async function findAtTable(
  { at, device }: OpenTable,
  text: string,
  card: string | undefined,
): Promise<{ id: string; name: string }[]> {
  if (!(await mayLookForName(device.id))) return [];
  const one = card ? await familyByCard(at, card) : undefined;
  const found = one
    ? [one]
    : text.length < LEAST_LETTERS
      ? []
      : await familiesCalled(at, text, MOST_FOUND + 1);
  // So many are called so that the words say nothing: more of the name is wanted.
  return found.length > MOST_FOUND ? [] : found.map(({ id, name }) => ({ id, name }));
}

export async function tickAtTable({ at, gathering, device }: OpenTable, familyId: string): Promise<boolean> {
  const family = await findFamily(at, familyId);
  if (!family) return false;
  await tickIn(at, gathering.id, family.id, true);
  await signedInAt(at, device.id, family.id);
  return true;
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
  const { at, gathering, device } = page;
  if (!(await mayEnterAnother(gathering.id))) {
    await noteSecurity(at, 'totalReached', null);
    return { taken: [] };
  }
  const made = await createFamily(at, { name, language });
  if (!made)
    return {
      taken: (await familiesCalled(at, name, MOST_FOUND)).map(({ id, name: known }) => ({ id, name: known })),
    };
  await tickIn(at, gathering.id, made.id, true);
  await signedInAt(at, device.id, made.id);
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

/** The family that signed in there a moment ago takes a bag home. Undefined where a person has to look at it first. */
export async function takeAtTable(
  { at, gathering, device }: OpenTable,
  familyId: string,
  tag: string,
): Promise<{ kitName: string; dueOn: string } | undefined> {
  if (device.familyId !== familyId || !device.fresh) return undefined;
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
