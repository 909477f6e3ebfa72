/** A rehearsal as a helper reads it: the scenes of a game, said in a language. */
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { findGame, SHELF } from '~/core/games/shelf';
import { open } from '~/core/own/open';
import { sceneSaid } from '~/core/rehearse/said';
import { REHEARSE_WORDS } from '~/core/words/rehearse';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { linesOf, nameOf, type Reading } from '~/core/words/reading';
import type { SchoolHandle } from '~/data/db';
import { findEvening } from '~/data/queries/evenings';
import { readingsAt } from '~/data/queries/wording';
import { isId } from '../ids';
import { rehearsalOf } from '../threads';

export const MOST_NAME = 60;
/** A play is one of so many: each is another child at another table. */
const MOST_PLAYS = 9999;

export const BANDS = Object.keys(AGE_BANDS) as AgeBand[];

/** The languages in which a school can rehearse: English, and those whose lines there are. */
export async function rehearsedIn(at: SchoolHandle, languages: readonly Language[]): Promise<Reading[]> {
  return (await readingsAt(at, [...new Set(['en', ...languages])])).filter(
    (reading) => reading.language === 'en' || Object.keys(linesOf(reading, REHEARSE_WORDS)).length > 0,
  );
}

/** A page of rehearsing in the language that is asked for: what every one of its pages starts from. */
export async function tongueOf(request: Request, at: SchoolHandle, languages: readonly Language[]) {
  const readings = await rehearsedIn(at, languages);
  const lang = new URL(request.url).searchParams.get('lang');
  const reading = readings.find(({ language }) => language === lang) ?? readings[0]!;
  return {
    reading,
    languages: readings.map(({ language }) => ({ value: language, label: aboutLanguage(language).own })),
    direction: aboutLanguage(reading.language).direction,
  };
}

/** The game as it stands on a table of an evening, or at one of its settings. */
async function chosen(at: SchoolHandle, gameId: string, asked: URLSearchParams) {
  const game = findGame(gameId);
  if (!game) return undefined;
  const eveningId = asked.get('evening');
  const plan = isId(eveningId) ? (await findEvening(at, eveningId))?.plan : undefined;
  const table = plan?.tables.find(({ id }) => id === asked.get('table'))?.game;
  const preset = game.presets.find(({ id }) => id === asked.get('preset')) ?? game.presets[0]!;
  return table?.gameId === gameId
    ? { game, params: table.params, band: table.ageBand, setting: table.name, preset: '' }
    : { game, params: preset.params, band: preset.ageBand, setting: preset.name, preset: preset.id };
}
/** The scenes of a rehearsal, said; undefined where there is no such game. */
export async function rehearsalFor(
  at: SchoolHandle,
  gameId: string,
  asked: URLSearchParams,
  reading: Reading,
) {
  const found = await chosen(at, gameId, asked);
  if (!found) return undefined;
  const { game, params, setting, preset } = found;
  const band = BANDS.find((one) => one === asked.get('age')) ?? found.band;
  const play = Number(asked.get('play'));
  const seed = Number.isInteger(play) && play >= 1 && play <= MOST_PLAYS ? play : 1;
  const ref = { gameId, params };
  const scenes = await rehearsalOf({ ref, band, seed });
  const { words } = open(ref).game;
  return {
    name: nameOf(game, reading),
    setting,
    band,
    seed,
    preset,
    presets: game.presets.map(({ id, name }) => ({ value: id, label: name })),
    scenes: scenes.map((scene) => sceneSaid(scene, reading, words)),
  };
}

/** Every game that can be rehearsed, by name. */
export const gamesToRehearse = (reading: Reading): { id: string; name: string }[] =>
  SHELF.map((game) => ({ id: game.id, name: nameOf(game, reading) })).sort((a, b) =>
    a.name.localeCompare(b.name, reading.language),
  );
