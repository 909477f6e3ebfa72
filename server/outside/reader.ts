/**
 * The process that reads what came from outside: files, lists, pictures. It has no way to the database and no secrets;
 * whoever asks ends it when it takes too long. Libraries that keep something of what they read do so here only, and each
 * task leaves nothing behind for the next.
 */
import { setPriority } from 'node:os';
import { serialize } from 'node:v8';
import sharp from 'sharp';
import workerpool from 'workerpool';
import { readCalendar, type ReadCalendar } from '~/core/lending/ical';
import { catalogueOf, type SchoolMaterial } from '~/core/materials/school';
import { takeBack, type LineHere, type Returned, type Taken } from '~/core/words/exchange';
import type { Language } from '~/core/words/languages';
import type { ReadXliff } from '~/core/words/xliff';
import { familiesFromCsv, type ReadCsv } from '../families/csv';
import { readOwnGame, type ReadOwn } from '../games/read';
import { storeFromCsv, type ReadStore } from '../kits/store-csv';
import { madeSmall, type SmallPicture } from '../listening/small';
import { readMark, type MarkReading } from '../print/mark';
import { linesIn } from '../words/files';
import { watched } from './watch';

// Whoever waits for a page comes first.
setPriority(10);
sharp.concurrency(1);
sharp.cache(false);

/** Nothing of ours that was read is larger than this. */
const MOST_OUTPUT_BYTES = 24_000_000;

const reading = {
  calendar: (text: string, about: { timeZone: string; from: string; to: string }): ReadCalendar =>
    readCalendar(text, about),
  families: (text: string, existing: string[], languages: Language[]): ReadCsv =>
    familiesFromCsv(text, existing, languages),
  lines: (text: string): ReadXliff => linesIn(text),
  takenBack: (segments: Returned[], here: LineHere[], from: Language, to: Language): Taken =>
    takeBack(segments, here, from, to),
  store: (text: string, school: SchoolMaterial[]): ReadStore => storeFromCsv(text, catalogueOf(school)),
  ownGame: (text: string): ReadOwn => readOwnGame(text),
  mark: (bytes: Uint8Array): Promise<MarkReading> => readMark(bytes),
  picture: (bytes: Uint8Array): Promise<SmallPicture | undefined> => madeSmall(Buffer.from(bytes)),
};
export type Reading = typeof reading;

type Task = (...asked: never[]) => unknown;
const underWatch = watched(Number(process.env.LONGEST_MS));
workerpool.worker(
  Object.fromEntries(
    Object.entries(reading).map(([name, work]) => [
      name,
      (...asked: unknown[]) =>
        underWatch(async () => {
          const answer = await (work as Task)(...(asked as never[]));
          if (serialize(answer).byteLength > MOST_OUTPUT_BYTES) throw new RangeError('too much came of it');
          return answer;
        }),
    ]),
  ),
);
