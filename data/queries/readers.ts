/** Fluent readers by invitation: their links, what they are asked to read, and what they said. */
import { and, desc, eq, getTableColumns, isNull, sql } from 'drizzle-orm';
import type { Language } from '~/core/words/languages';
import { atSchool, installation, type SchoolHandle } from '../db';
import { kit, person, readerLink, school, wordingCheck } from '../schema';
import { ours } from './ours';
import { boundTo, schoolColumns, type School } from './schools';
import { log } from './changes';

export type ReaderLink = Omit<typeof readerLink.$inferSelect, 'keyHash'>;
const { keyHash: _, ...columns } = getTableColumns(readerLink);

export interface NewReader {
  keyHash: string;
  reader: string;
  language: Language;
  /** One of both: a kit as it is played, or a game. */
  kitId?: string;
  gameId?: string;
  again: boolean;
  personId: string;
  expiresAt: Date;
}
export async function inviteReader(at: SchoolHandle, input: NewReader): Promise<string> {
  const [made] = await at.insert(readerLink).values(input).returning({ id: readerLink.id });
  await log(at, {
    thing: 'wording',
    thingId: 'readers',
    kind: 'added',
    after: { [made!.id]: `${input.reader}, ${input.language}` },
    personId: input.personId,
  });
  return made!.id;
}

/** A reader's link as the school sees it. */
export interface Invited extends ReaderLink {
  kit: string | null;
  by: string | null;
  /** Lines of which the reader has said something, and those that were not right. */
  read: number;
  doubted: number;
}
export const listReaders = (at: SchoolHandle): Promise<Invited[]> => {
  // Of each line the last word counts; a word that was taken back is none.
  const last = at
    .selectDistinctOn([wordingCheck.readerId, wordingCheck.gameId, wordingCheck.messageId], {
      readerId: wordingCheck.readerId,
      right: wordingCheck.right,
      spoken:
        sql<boolean>`(${wordingCheck.right} or ${wordingCheck.unsure} or ${wordingCheck.note} <> '')`.as(
          'spoken',
        ),
    })
    .from(wordingCheck)
    .where(and(ours(at, wordingCheck), sql`${wordingCheck.readerId} is not null`))
    .orderBy(wordingCheck.readerId, wordingCheck.gameId, wordingCheck.messageId, desc(wordingCheck.at))
    .as('last');
  return at
    .select({
      ...columns,
      kit: kit.name,
      by: person.name,
      read: sql<number>`count(${last.readerId}) filter (where ${last.spoken})::int`,
      doubted: sql<number>`count(${last.readerId}) filter (where ${last.spoken} and not ${last.right})::int`,
    })
    .from(readerLink)
    .leftJoin(kit, and(ours(at, kit), eq(kit.id, readerLink.kitId)))
    .leftJoin(person, eq(person.id, readerLink.personId))
    .leftJoin(last, eq(last.readerId, readerLink.id))
    .where(ours(at, readerLink))
    .groupBy(readerLink.schoolId, readerLink.id, kit.name, person.name)
    .orderBy(desc(readerLink.createdAt))
    .limit(100);
};

/** Ends a link at once; what was said through it stays. */
export async function closeReader(at: SchoolHandle, id: string, personId: string): Promise<void> {
  const closed = await at
    .update(readerLink)
    .set({ closedAt: new Date() })
    .where(and(ours(at, readerLink), eq(readerLink.id, id), isNull(readerLink.closedAt)))
    .returning({ id: readerLink.id });
  if (closed.length)
    await log(at, {
      thing: 'wording',
      thingId: 'readers',
      kind: 'changed',
      after: { [id]: 'closed' },
      personId,
    });
}

/** Whose link this is, open or not; undefined for a key that no link has. */
export async function readerOf(
  keyHash: string,
): Promise<{ at: SchoolHandle; school: School; link: ReaderLink } | undefined> {
  const [found] = await installation()
    .select(schoolColumns)
    .from(school)
    .where(sql`${school.id} = public.school_of_reader(${keyHash})`);
  if (!found) return undefined;
  const at = atSchool(boundTo(found));
  const [link] = await at
    .select(columns)
    .from(readerLink)
    .where(and(ours(at, readerLink), eq(readerLink.keyHash, keyHash)));
  return link && { at, school: found, link };
}

/** What a reader has said of a line, and of which wording. */
export interface ReadersWord {
  right: boolean;
  note: string;
  unsure: boolean;
  message: string;
}
/** The last word of a reader on each line, by "game line"; words that were taken back are left out. */
export async function wordsOf(at: SchoolHandle, readerId: string): Promise<Map<string, ReadersWord>> {
  const rows = await at
    .selectDistinctOn([wordingCheck.gameId, wordingCheck.messageId], {
      gameId: wordingCheck.gameId,
      messageId: wordingCheck.messageId,
      right: wordingCheck.right,
      note: wordingCheck.note,
      unsure: wordingCheck.unsure,
      message: wordingCheck.message,
    })
    .from(wordingCheck)
    .where(and(ours(at, wordingCheck), eq(wordingCheck.readerId, readerId)))
    .orderBy(wordingCheck.gameId, wordingCheck.messageId, desc(wordingCheck.at));
  return new Map(
    rows
      .filter(({ right, note, unsure }) => right || unsure || note !== '')
      .map(({ gameId, messageId, ...word }) => [`${gameId} ${messageId}`, word]),
  );
}
