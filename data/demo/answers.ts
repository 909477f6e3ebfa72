/** What the families of the demo said over a term and a half: children with levels nobody knows, and a game that is harder than it is reckoned. */
import { eq } from 'drizzle-orm';
import type { Random } from '~/core/chance/random';
import { assume } from '~/core/games/kit/types';
import { LEVEL_OF, readChildren } from '~/core/lending/children';
import { daysAfter, daysBetween } from '~/core/lending/due';
import { HOW, silent, type GameAnswer, type How, type Via } from '~/core/listening/answer';
import { demandOf, demandOfBand } from '~/core/listening/demand';
import { chanceOf, type Said } from '~/core/listening/level';
import { open } from '~/core/own/open';
import type { SchoolHandle } from '../db';
import type { CopyRow } from '../queries/copies';
import type { FamilyRow } from '../queries/families';
import { addAnswer, addTheme, markRead, markTheme } from '../queries/listening';
import { answer } from '../schema';

/** A loan of the demo, with what came home short. */
export interface DemoLoan {
  loanId: string;
  copy: CopyRow;
  family: FamilyRow;
  lentOn: string;
  returnedOn?: string;
  lost?: string;
}

/** So much harder than reckoned, in school years. */
const HARDER: Readonly<Record<string, number>> = { 'market-cups': 1.1 };
/** Families of some languages are heard less. */
const ANSWERS: Readonly<Record<string, number>> = { pt: 0.25, ar: 0.45 };
const USUAL_ANSWERS = 0.6;

const SAYINGS: Readonly<Record<string, readonly string[]>> = {
  en: [
    'She counted on from the bigger pile without being told.',
    'He taught his grandmother how to play.',
    'Wanted one more round, and then one more.',
    'Made up a rule: the loser chooses the next game.',
    'Said “it is the same, just turned around”.',
  ],
  es: [
    'Le explicó las reglas a su abuela.',
    'Contó desde el número más grande.',
    'Quiso jugar otra vez antes de dormir.',
    'Dijo: «es lo mismo, pero al revés».',
    'Inventaron una regla: quien pierde elige el próximo juego.',
  ],
  ar: ['شرح اللعبة لجدته.', 'أراد أن يلعب مرة أخرى قبل النوم.', 'عدّ من العدد الأكبر.'],
  pt: ['Explicou as regras para a avó.', 'Quis jogar de novo antes de dormir.'],
};
const LOST: Readonly<Record<string, string>> = {
  en: 'A counter rolled under the sofa.',
  es: 'Una ficha se perdió debajo del sofá.',
  ar: 'ضاع قرص تحت الأريكة.',
  pt: 'Uma ficha sumiu debaixo do sofá.',
};
const ASKS: Readonly<Record<string, string>> = {
  en: 'Is there a shorter one for school nights?',
  es: '¿Hay uno más corto para los días de escuela?',
  ar: 'هل توجد لعبة أقصر لأيام المدرسة؟',
  pt: 'Há um jogo mais curto para os dias de aula?',
};

const fraction = (random: Random): number => random.whole(0, 999_999) / 1_000_000;
const normal = (random: Random): number =>
  Array.from({ length: 12 }, () => fraction(random)).reduce((a, b) => a + b, 0) - 6;

/** What each game of a bag asks, and how long it takes. */
function gamesOf({ plan }: CopyRow): { asks: number; minutes: number; unclear: string }[] {
  return plan.variants.map((ref) => {
    const variant = open(ref);
    const { practice, length } = variant.reckon(assume(plan.ageBand));
    return {
      asks: (demandOf(practice) ?? demandOfBand(plan.ageBand)).demand + (HARDER[ref.gameId] ?? 0),
      minutes: length.minutes.mean,
      unclear: variant.steps().find(({ part }) => part === 'turn')?.id ?? '',
    };
  });
}

export async function familiesAnswer(
  at: SchoolHandle,
  day: string,
  loans: readonly DemoLoan[],
  by: string,
  random: Random,
): Promise<void> {
  const known = new Map<string, ReturnType<typeof gamesOf>>();
  const levels = new Map<string, number>();
  const kept: { id: string; sentAt: Date; said: string }[] = [];
  for (const { loanId, copy, family, lentOn, returnedOn, lost } of loans) {
    if (!random.chance(ANSWERS[family.language] ?? USUAL_ANSWERS)) continue;
    const games = known.get(copy.buildRunId) ?? gamesOf(copy);
    known.set(copy.buildRunId, games);
    const read = readChildren(family.children);
    const children = read.ok ? read.children : [];
    const child = children[random.whole(0, Math.max(0, children.length - 1))];
    const who = `${family.id} ${child?.name}`;
    const level = levels.get(who) ?? LEVEL_OF[child?.band ?? 'g1'] + 0.7 * normal(random);
    levels.set(who, level);
    const says = (asks: number): Said => {
      const drawn = fraction(random);
      const easy = chanceOf('tooEasy', level, asks);
      if (drawn < easy) return 'tooEasy';
      return drawn < easy + chanceOf('justRight', level, asks) ? 'justRight' : 'tooHard';
    };
    const sayings = SAYINGS[family.language] ?? SAYINGS.en!;
    const each = games.map(({ asks, unclear }, position): GameAnswer => {
      const said = says(asks);
      const how = Object.keys(HOW) as How[];
      return {
        ...silent(position),
        said,
        times: random.whole(1, 5),
        // With one child there is no need to say which.
        child: children.length > 1 && child && random.chance(0.7) ? child.name : '',
        how: said === 'tooEasy' ? ['knew'] : random.chance(0.5) ? [how[random.whole(0, 2)]!] : [],
        childSaid: random.chance(0.4) ? sayings[random.whole(0, sayings.length - 1)]! : '',
        unclear:
          said === 'tooHard' && HARDER[copy.plan.variants[position]!.gameId] && random.chance(0.4)
            ? unclear
            : '',
      };
    });
    const spoken = each
      .map(({ childSaid }) => childSaid)
      .join(' ')
      .trim();
    const last = returnedOn ?? daysAfter(day, -1);
    const sentOn = daysAfter(
      lentOn,
      Math.max(1, Math.round(daysBetween(lentOn, last) * (0.4 + 0.5 * fraction(random)))),
    );
    const via: Via = random.chance(0.25)
      ? 'slip'
      : random.chance(0.12)
        ? 'phone'
        : random.chance(0.15)
          ? 'text'
          : 'page';
    const middle = games.reduce((sum, { minutes }) => sum + minutes, 0) / games.length;
    const id = await addAnswer(at, {
      answer: {
        children: children.length || 1,
        grownUps: random.whole(1, 2),
        minutes: Math.max(3, Math.round(middle * (0.7 + 0.9 * fraction(random)))),
        childDid: '',
        missing: lost ? (LOST[family.language] ?? LOST.en!) : '',
        anythingElse: random.chance(0.06) ? (ASKS[family.language] ?? ASKS.en!) : '',
        ...(random.chance(0.3)
          ? { again: random.chance(0.5) ? ('again' as const) : ('other' as const) }
          : {}),
      },
      games: each,
      sendKey: via === 'slip' ? `slip ${loanId}` : crypto.randomUUID(),
      loanId,
      language: family.language,
      via,
      ...(via === 'phone' || via === 'slip' ? { personId: by } : {}),
    });
    if (id) kept.push({ id, sentAt: new Date(`${sentOn}T18:20:00Z`), said: spoken });
  }
  const [taught, again, rule] = [
    (await addTheme(at, 'teaches somebody'))!,
    (await addTheme(at, 'wants to go on'))!,
    (await addTheme(at, 'makes own rules'))!,
  ];
  for (const { id, sentAt, said } of kept) {
    await at.update(answer).set({ sentAt }).where(eq(answer.id, id));
    const themeId = /grandmother|abuela|لجدته|avó/.test(said)
      ? taught
      : /one more round|otra vez|مرة أخرى|de novo/.test(said)
        ? again
        : /rule:|regla:/.test(said)
          ? rule
          : undefined;
    if (themeId) await markTheme(at, { answerId: id, themeId, personId: by, on: true });
  }
  // What came in the last days is new.
  const old = kept.filter(({ sentAt }) => sentAt < new Date(`${daysAfter(day, -3)}T00:00:00Z`));
  await markRead(
    at,
    old.map(({ id }) => id),
    true,
  );
}
