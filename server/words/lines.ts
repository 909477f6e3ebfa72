/** Lines as they stand at a school in any two languages, for files that go out and come back. */
import { SHELF } from '~/core/games/shelf';
import { open } from '~/core/own/open';
import { deskGroups, ordinary, PART_NAMES } from '~/core/pack/desk';
import { sheetLines } from '~/core/pack/instructions';
import { AROUND, type Worded } from '~/core/pack/sources';
import type { LineState } from '~/core/words/checks';
import type { LineHere, SegmentState } from '~/core/words/exchange';
import type { Language } from '~/core/words/languages';
import { englishOf, isShared, messageIn, nameOf, type Reading } from '~/core/words/reading';
import { SHARED } from '~/core/words/shared';
import type { SchoolHandle } from '~/data/db';
import { findKit } from '~/data/queries/kits';
import { readingsAt } from '~/data/queries/wording';
import { allStates } from '~/data/queries/words';
import { isId } from '../ids';

/** Everything whose lines go out and come back; a game of the school's own is worded in itself. */
const SOURCES: readonly (Worded & { title?: string })[] = [...SHELF, ...AROUND];
const sources = new Map(SOURCES.map((one) => [one.id, one]));
/** What a line is worded in, by its id. */
export const sourceWith = (id: string): Worded | undefined => sources.get(id);
export const titleOf = (of: Worded & { title?: string }): string => of.title ?? nameOf(of);

/** Which lines: "all", "kit 0f…", "game two-tone-spill"; and of those which. */
export interface Choice {
  what: string;
  which: Which;
}
export const WHICH = {
  all: 'all lines',
  open: 'lines that nobody has found right',
  unworded: 'lines without a wording',
} as const;
export type Which = keyof typeof WHICH;
export const isWhich = (text: unknown): text is Which =>
  typeof text === 'string' && Object.hasOwn(WHICH, text);

/** Where a family reads each line of a game. */
function placesOf(source: Worded & { title?: string }): Map<string, string> {
  const game = SHELF.find(({ id }) => id === source.id);
  if (!game) return new Map(Object.keys(source.words.en).map((id) => [id, titleOf(source)]));
  return new Map(
    deskGroups(ordinary(game)).flatMap(({ part, lines }) =>
      lines.map(({ id }, i) => [id, `${PART_NAMES[part]}, ${i + 1}`] as const),
    ),
  );
}
let places: Map<string, Map<string, string>> | undefined;
const allPlaces = (): Map<string, Map<string, string>> =>
  (places ??= new Map(SOURCES.map((source) => [source.id, placesOf(source)])));

/** "game line" of the lines that are chosen; undefined for all. */
async function chosen(at: SchoolHandle, what: string, reading: Reading): Promise<Set<string> | undefined> {
  const [kind, id = ''] = what.split(' ');
  const keyOf = (of: Worded, messageId: string): string =>
    `${isShared(reading, of.words, messageId) ? SHARED.id : of.id} ${messageId}`;
  if (kind === 'kit') {
    const kit = isId(id) ? await findKit(at, id) : undefined;
    return new Set(
      (kit?.variants ?? []).flatMap((one) => {
        const variant = open(one);
        return sheetLines(variant).map((messageId) => keyOf(variant.game, messageId));
      }),
    );
  }
  if (kind === 'game') {
    const of = sourceWith(id);
    return new Set(of ? Object.keys(of.words.en).map((messageId) => keyOf(of, messageId)) : []);
  }
  return undefined;
}

const segmentState = (state: LineState | undefined, worded: boolean): SegmentState =>
  !worded ? 'initial' : state?.kind === 'checked' ? 'final' : 'translated';
const noteOf = (state: LineState | undefined): string =>
  state?.kind === 'doubt'
    ? state.voices
        .map(({ by, note, right }) => (right ? '' : `${by}: ${note || 'not sure'}`))
        .filter(Boolean)
        .join(' · ')
    : state?.kind === 'stale'
      ? 'The English has changed since this was read.'
      : '';

/** The lines of a choice as they stand; each of what games say alike once. */
export async function linesHere(
  at: SchoolHandle,
  from: Language,
  to: Language,
  { what, which }: Choice = { what: 'all', which: 'all' },
): Promise<LineHere[]> {
  const [readings, states] = await Promise.all([readingsAt(at, [from, to]), allStates(at, SOURCES, to)]);
  const [read, worded] = readings as [Reading, Reading];
  const wanted = await chosen(at, what, worded);
  return SOURCES.flatMap((source): LineHere[] =>
    Object.keys(source.words.en).flatMap((messageId): LineHere[] => {
      if (isShared(worded, source.words, messageId)) return [];
      if (wanted && !wanted.has(`${source.id} ${messageId}`)) return [];
      const message = messageIn(worded, source.words, messageId);
      const english = englishOf(to === 'en' ? { english: worded.wording } : worded, source.words, messageId)!;
      const state = states.get(source.id)?.get(messageId);
      if (which === 'open' && state?.kind === 'checked') return [];
      if (which === 'unworded' && message !== undefined) return [];
      return [
        {
          sourceId: source.id,
          messageId,
          english,
          from: from === 'en' ? english : (messageIn(read, source.words, messageId) ?? english),
          ...(message === undefined ? {} : { to: message }),
          place: allPlaces().get(source.id)?.get(messageId) ?? titleOf(source),
          state: segmentState(state, message !== undefined),
          note: noteOf(state),
        },
      ];
    }),
  );
}
