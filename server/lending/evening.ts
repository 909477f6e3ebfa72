/** The evening of a school: bags that were not fetched are passed on, and families are told what there is to tell. */
import { dueDay } from '~/core/lending/calendar';
import { mayWrite, offerText, reminderText, saidOf, stageOf } from '~/core/lending/reminders';
import { say, type Reading } from '~/core/words/reading';
import { FAMILY_WORDS } from '~/core/words/family';
import type { KitPlan } from '~/core/kits/recipe';
import { gameNames } from '~/core/pack/names';
import type { SchoolHandle } from '~/data/db';
import { dueRules } from '~/data/queries/calendar';
import { plansOf } from '~/data/queries/copies';
import { passOnHolds } from '~/data/queries/holds';
import {
  addMessages,
  borrowers,
  dropHeld,
  untold,
  waitingMessages,
  type NewMessage,
} from '~/data/queries/outbox';
import { dropOldPictures } from '~/data/queries/pictures';
import { dropOldLooks } from '~/data/queries/privacy';
import { lendingRules } from '~/data/queries/rules';
import { dropOldBrowsers } from '~/data/queries/browsers';
import { dropOldSecurity } from '~/data/queries/security';
import { dropOldMarks } from '~/data/queries/sent';
import { dropOldTexts } from '~/data/queries/texts';
import { findSchool } from '~/data/queries/schools';
import { messageMaker, tonguesAt } from './telling';

/** How a family answers by text: the words for it, and its games by number. */
const textBack = (reading: Reading, { variants }: KitPlan) => ({
  easy: say(reading, FAMILY_WORDS, 'text.tooEasy'),
  ok: say(reading, FAMILY_WORDS, 'text.justRight'),
  hard: say(reading, FAMILY_WORDS, 'text.tooHard'),
  games: gameNames(variants, reading)
    .map((name, i) => `${i + 1} ${name}`)
    .join(' · '),
});

/** What there is to tell families on an evening; nothing that was told before. Families that never want to hear hear nothing. */
export async function messagesOf(at: SchoolHandle, today: string): Promise<NewMessage[]> {
  const [rules, days, school, families, offers] = await Promise.all([
    lendingRules(at),
    dueRules(at),
    findSchool(at),
    borrowers(at),
    untold(at),
  ]);
  const tongues = await tonguesAt(
    at,
    [...families, ...offers].map(({ family }) => family.language),
  );
  const plans = await plansOf(at, [
    ...new Set(families.flatMap(({ bags }) => bags.map(({ runId }) => runId))),
  ]);
  const next = dueDay({ lentOn: today, days: 1, calendar: days.calendar });
  const made: NewMessage[] = [];
  const make = messageMaker(tongues, rules, today);
  const keep = (...about: Parameters<typeof make>): void => {
    const one = make(...about);
    if (one) made.push(one);
  };
  for (const { family, bags, writtenOn, said } of families) {
    const staged = bags.flatMap((bag) => {
      const stage = stageOf(bag.dueOn, today, rules);
      return stage ? [{ ...bag, stage }] : [];
    });
    const news = staged.map((bag) => saidOf(bag, bag.stage));
    if (news.every((one) => said.includes(one)) || !mayWrite(writtenOn, today, family.weekly)) continue;
    keep('reminder', `reminder ${today}`, family, news, (marked, address) =>
      reminderText(tongues.get(family.language)!.reading, {
        family: family.name,
        school: school.name,
        bags: staged,
        next,
        address,
        marked,
        // A text is read by itself where there is one bag that it can be about.
        textBack:
          family.channel === 'message' && bags.length === 1
            ? textBack(tongues.get(family.language)!.reading, plans.get(bags[0]!.runId)!.plan)
            : undefined,
      }),
    );
  }
  for (const { family, kitName, keptUntil, once } of offers)
    keep('offer', once, family, [], (marked) =>
      offerText(tongues.get(family.language)!.reading, {
        family: family.name,
        school: school.name,
        kit: kitName,
        until: keptUntil,
        marked,
      }),
    );
  return made;
}

/** Does the work of an evening. Done twice, by whichever servers, it is done once. Answers the messages that wait to be sent. */
export async function evening(at: SchoolHandle, today: string): Promise<string[]> {
  await passOnHolds(at, today);
  await dropHeld(at, today);
  await dropOldPictures(at, today);
  await dropOldLooks(at);
  await dropOldTexts(at);
  await dropOldSecurity(at);
  await dropOldBrowsers(at);
  await dropOldMarks();
  await addMessages(at, await messagesOf(at, today));
  return waitingMessages(at);
}
