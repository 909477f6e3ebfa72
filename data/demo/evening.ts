/** The demo's evening of next week: who is expected, six tables with their games, five helpers. */
import { askedOf, emptyPlan, groupsOf, type EveningPlan, type Invited } from '~/core/evening/plan';
import { oneMoreHelper } from '~/core/evening/help';
import { evening } from '~/core/evening/rotation';
import { gameOf } from '~/core/games/shelf';
import { readChildren } from '~/core/lending/children';
import { daysAfter } from '~/core/lending/due';
import { bandOf } from '~/core/listening/meaning';
import { nameOf } from '~/core/words/reading';
import type { SchoolHandle } from '../db';
import { createEvening, keepRehearsal, toInvite } from '../queries/evenings';

const GAMES: readonly (readonly [game: string, preset: string])[] = [
  ['two-tone-spill', '6-ordered'],
  ['listen-and-move', 'seven'],
  ['peek-and-say', 'five'],
  ['market-cups', 'small'],
  ['leaf-twins', 'leaves-10'],
  ['tide-pairs', 'ten'],
];
const WHEN = { name: 'Game night', startsAt: '17:30', rounds: 3, roundMinutes: 12, changeMinutes: 3 };
const SEATS = 18;
const HELP_SECONDS = 5;

export async function nextWeek(at: SchoolHandle, day: string, personId: string): Promise<void> {
  const invited = new Map<string, Invited>();
  for (const { language, children } of await toInvite(at)) {
    const read = readChildren(children);
    const band = bandOf(read.ok ? read.children : []);
    const there = invited.get(`${language} ${band}`) ?? { language, band, families: 0 };
    invited.set(`${language} ${band}`, { ...there, families: there.families + 1 });
  }
  const plan: EveningPlan = {
    ...emptyPlan(WHEN),
    seats: SEATS,
    groups: groupsOf([...invited.values()], 60, SEATS / 2),
    tables: GAMES.map(([gameId, presetId], i) => {
      const game = gameOf(gameId);
      const { name, params, ageBand } = game.presets.find(({ id }) => id === presetId)!;
      return {
        id: `Table ${i + 1}`,
        seats: SEATS,
        game: { gameId, name: `${nameOf(game)}, ${name}`, params, ageBand },
      };
    }),
    helpers: [
      { id: 'Tobin', languages: ['en', 'es'] },
      { id: 'Eskil', languages: ['en'] },
      { id: 'Ilaria', languages: ['es', 'pt'] },
      { id: 'Amal', languages: ['ar', 'en'] },
      { id: 'Maren', languages: ['en'] },
    ],
  };
  // Some of them have rehearsed what stands on the tables.
  const rehearsed = [
    { helper: 'Tobin', gameId: 'two-tone-spill', turns: 6, well: 5 },
    { helper: 'Tobin', gameId: 'market-cups', turns: 6, well: 4 },
    { helper: 'Amal', gameId: 'leaf-twins', turns: 6, well: 6 },
    { helper: 'Eskil', gameId: 'listen-and-move', turns: 6, well: 3 },
  ];
  for (const one of rehearsed) await keepRehearsal(at, one);
  const asked = askedOf(plan, rehearsed);
  const rotation = await evening(asked);
  const help = await oneMoreHelper(asked, rotation, HELP_SECONDS);
  await createEvening(at, {
    name: WHEN.name,
    startsAt: WHEN.startsAt,
    onDay: daysAfter(day, 7),
    plan,
    solved: { rotation, ...(help ? { help } : {}) },
    personId,
  });
}
