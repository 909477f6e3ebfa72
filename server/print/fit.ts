/** The sheets that say a line, as they would be with another wording of it. */
import { gameFor, open, type GameRef } from '~/core/own/open';
import { gamesThatSay, ordinaryPreset } from '~/core/pack/desk';
import { onPhone, type PhoneGame } from '~/core/pack/phone';
import { MOST_PAGES } from '~/core/pack/instructions';
import type { KitPlan } from '~/core/kits/recipe';
import type { Paper, Sheet } from '~/core/paper/sheet';
import type { Worded } from '~/core/pack/sources';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { FAMILY_WORDS } from '~/core/words/family';
import { excerpt, type Reading, type Revised } from '~/core/words/reading';
import { readingOf } from '~/core/words/readings';
import { SHARED } from '~/core/words/shared';
import { SHELF } from '~/core/games/shelf';
import type { SchoolHandle } from '~/data/db';
import { findKit, kitsOfGames, planOf } from '~/data/queries/kits';
import { listMaterials } from '~/data/queries/materials';
import { schoolPrinting, type School } from '~/data/queries/schools';
import { revisedBy } from '~/data/queries/wording';
import { laidOut } from '../threads';

/** A sheet that would be too long: it takes more pages than it may, or leaves something out that it has now. */
export interface Over {
  /** The kit; the game with its ordinary settings where no kit has it. */
  of: string;
  language: string;
  pages: number;
  most: number;
  leavesOut?: Sheet['leavesOut'];
}
export interface Fit {
  /** The first of the sheets, page by page. */
  pages: Sheet[];
  of: string;
  over: Over[];
  /** The first game of the sheet as the family page has it. */
  phone: PhoneGame & { reading: Reading };
}

/** So many kits are looked at; those made last come first. */
const MOST_KITS = 6;

/** A game with its ordinary settings, as a kit of its own. */
function ordinary(ref: GameRef): KitPlan {
  const game = gameFor(ref);
  const { ageBand, params, name } = ordinaryPreset(game);
  return { ageBand, players: 2, assurance: 'usual', variants: [{ ...ref, name, params }] };
}

/** The games whose sheets say a line; the first is the one that is shown where no kit has it. */
function saying(of: Worded & { ref?: GameRef }, messageId: string, first?: string): GameRef[] {
  if (of.ref) return [of.ref];
  const games = of.id === SHARED.id ? gamesThatSay(messageId) : SHELF;
  return games
    .map(({ id }) => ({ gameId: id }))
    .sort((a, b) => Number(b.gameId === first) - Number(a.gameId === first));
}

/** The changed wording with one line worded otherwise. */
const withLine = (
  changed: Revised,
  sourceId: string,
  messageId: string,
  language: Language,
  message: string,
): Revised => ({
  ...changed,
  [language]: {
    ...changed[language],
    [sourceId]: { ...changed[language]?.[sourceId], [messageId]: message },
  },
});

/** Lays out the sheets that say a line, with this wording of it. */
export async function fitOf(
  at: SchoolHandle,
  school: School,
  of: Worded & { ref?: GameRef },
  line: { messageId: string; language: Language; message: string; gameId?: string; kitId?: string },
): Promise<Fit> {
  const { messageId, language, message } = line;
  const games = saying(of, messageId, line.gameId);
  const ids = games.map(({ gameId }) => gameId);
  const found = await kitsOfGames(at, ids, MOST_KITS);
  const wanted = [...new Set([...(line.kitId ? [line.kitId] : []), ...found])];
  const kits = (await Promise.all(wanted.map((id) => findKit(at, id)))).flatMap((kit) => (kit ? [kit] : []));
  const sheets: { of: string; paper: Paper; plan: KitPlan }[] = kits.flatMap((kit) => {
    const plan = planOf(kit);
    return plan.variants
      .filter(({ gameId }) => ids.includes(gameId))
      .map((one) => ({ of: kit.name, paper: kit.paper, plan: { ...plan, variants: [one] } }));
  });
  const asked = ({ plan }: (typeof sheets)[number]): boolean => plan.variants[0]!.gameId === line.gameId;
  sheets.sort((a, b) => Number(asked(b)) - Number(asked(a)));
  if (sheets.length === 0) {
    const plan = ordinary(games[0]!);
    sheets.push({ of: plan.variants[0]!.name, paper: school.paper, plan });
  }
  const languages = [language === 'en' ? (school.languages.find((one) => one !== 'en') ?? 'en') : language];
  const [changed, written, printing] = await Promise.all([
    revisedBy(at, languages),
    listMaterials(at),
    schoolPrinting(at),
  ]);
  const worded = withLine(changed, of.id, messageId, language, message);
  const lay = async (wording: Revised, { of: name, paper, plan }: (typeof sheets)[number]) =>
    (
      await laidOut({
        packs: [
          {
            kitName: name,
            schoolName: school.name,
            ...(school.contact ? { contact: school.contact } : {}),
            plan,
            ...(written.length ? { school: written } : {}),
            parts: [],
            items: ['instructions'],
            scope: 'once',
            labels: {},
            checked: {},
            copies: [],
          },
        ],
        context: {
          paper,
          languages: [...new Set([...languages, 'en'])],
          changed: wording,
          seed: 1,
          finish: 'plain',
          cuts: 'shared',
          fill: false,
        },
        twoSided: false,
        loans: 1,
        printing,
      })
    ).pages;
  const all = await Promise.all(
    sheets.map(async (sheet) => {
      const [pages, before] = await Promise.all([lay(worded, sheet), lay(changed, sheet)]);
      return { of: sheet.of, pages, before };
    }),
  );
  const reading = readingOf(language, worded);
  const over = all.flatMap(({ of: name, pages, before }): Over[] => {
    const longer = pages.length > MOST_PAGES;
    const leavesOut = pages[0]?.leavesOut;
    if (!longer && (!leavesOut || leavesOut === before[0]?.leavesOut)) return [];
    return [
      {
        of: name,
        language: aboutLanguage(languages[0]!).name,
        pages: pages.length,
        most: MOST_PAGES,
        ...(leavesOut && !longer ? { leavesOut } : {}),
      },
    ];
  });
  return {
    pages: all[0]!.pages,
    of: all[0]!.of,
    phone: {
      ...onPhone(open(sheets[0]!.plan.variants[0]!), reading),
      reading: excerpt(reading, FAMILY_WORDS),
    },
    // A kit with several games that say the line is named once.
    over: over.filter((one, i) => over.findIndex((other) => other.of === one.of) === i),
  };
}
