/** The desk in the hall as the school does it: each act once, in the order in which it is sent. */
import { randomCard } from '~/core/lending/card';
import { daysBetween, showDay } from '~/core/lending/due';
import type { HallAct, HallKnown, Heard } from '~/core/lending/hall';
import { against as unsafe, hazardsOf } from '~/core/kits/safety';
import { showTag } from '~/core/kits/tag';
import { type SchoolHandle, transaction } from '~/data/db';
import { findCopy } from '~/data/queries/copies';
import { familyByCard, giveCards } from '~/data/queries/families';
import { findAct, hallBags, hallFamilies, heardBefore, keepAct } from '~/data/queries/hall';
import { arrive, unarrive } from '~/data/queries/returns';
import { findLoan, lend, undoLoan } from '~/data/queries/lending';
import { catalogueNow } from '~/data/queries/materials';
import { lendingRules } from '~/data/queries/rules';
import { secureRandom } from '../random';
import { today } from '../today';
import { proposedDue } from './due';
import { kitWalls } from './kits';
import { whyNotLent } from './refused';

/** What the desk has to know to go on without network. Families that have no card yet get one. */
export async function hallKnown(at: SchoolHandle): Promise<HallKnown> {
  await giveCards(at, () => randomCard(secureRandom));
  const day = today(at);
  const [bags, families, kits, { bagsAtOnce, backFirst }] = await Promise.all([
    hallBags(at),
    hallFamilies(at),
    kitWalls(at),
    lendingRules(at),
  ]);
  return {
    today: day,
    rules: { bagsAtOnce, backFirst },
    bags,
    families: families.map((family) => ({
      card: family.card,
      name: family.name,
      out: family.out,
      notSafe: kits.filter(({ hazards }) => unsafe(hazards, family).length > 0).map(({ id }) => id),
    })),
  };
}

/** Days that the clock of a desk may be behind when it sends what it kept. */
const MOST_DAYS_BEHIND = 14;
const wrong = (word: string, text: string): Heard => ({ kind: 'wrong', word, text });

/** Does one act of a desk, or answers what came of it before. */
export const doAct = (at: SchoolHandle, act: HallAct, personId: string): Promise<Heard> =>
  transaction(at, async (tx) => {
    const before = await heardBefore(tx, act.id);
    if (before) return before;
    const about: string[] = [];
    const heard = await done(tx, act, personId, about);
    await keepAct(tx, act, { heard, about }, personId);
    return heard;
  });

/** Does an act; `about` is told the families that are named in what is heard. */
async function done(at: SchoolHandle, act: HallAct, personId: string, about: string[]): Promise<Heard> {
  const now = today(at);
  const behind = daysBetween(act.day, now);
  if (behind < -1 || behind > MOST_DAYS_BEHIND)
    return wrong('Clock', `The clock of this device says ${showDay(act.day)}. Set it right, and scan again.`);
  const day = behind < 0 ? now : act.day;
  if (act.kind === 'undo') return undone(at, act, personId, about);
  const copy = act.tag ? await findCopy(at, { tag: act.tag }) : undefined;
  if (!copy) return wrong('Not ours', 'No bag of this school has this tag.');
  if (copy.loan) about.push(copy.loan.familyId);
  const name = `${showTag(copy.tag)}, ${copy.kitName},`;
  if (act.kind === 'home') {
    const home = await arrive(at, { copyId: copy.id, arrivedOn: day, personId });
    return home
      ? {
          kind: 'right',
          word: 'Home',
          text: `${name} is home from ${copy.loan?.familyName ?? 'its family'}. Put it with those to count.`,
          loanId: home.loanId,
        }
      : wrong('Not out', `${name} was not out, or was taken back already.`);
  }
  const family = act.card ? await familyByCard(at, act.card) : undefined;
  if (!family) return wrong('No such card', 'No family of this school has this card.');
  about.push(family.id);
  const stops = unsafe(hazardsOf(copy.parts, await catalogueNow(at)), family);
  if (stops.length)
    return wrong(
      'Not this one',
      `${name} is not for ${family.name} before somebody has decided it. Lend it at the desk, where the reason stands.`,
    );
  const { dueOn } = await proposedDue(at, day, copy.daysOut, family.group);
  const lent = await lend(at, { copyId: copy.id, familyId: family.id, lentOn: day, dueOn, personId });
  if (lent.ok)
    return {
      kind: 'right',
      word: family.name,
      text: `${name} is theirs until ${showDay(dueOn)}.`,
      loanId: lent.loanId,
      dueOn,
    };
  if ('about' in lent && lent.about) about.push(lent.about);
  const why =
    lent.reason === 'out' && copy.loan
      ? `${name} is out with ${copy.loan.familyName} already, so it was not lent to ${family.name}.`
      : `${name} ${family.name}: ${whyNotLent(lent)}`;
  return wrong('Not lent', why);
}

async function undone(at: SchoolHandle, act: HallAct, personId: string, about: string[]): Promise<Heard> {
  const last = act.of ? await findAct(at, act.of) : undefined;
  const loanId = last?.heard.loanId;
  if (!last || !loanId || last.heard.kind !== 'right')
    return wrong('Nothing to undo', 'What was to be undone had not been done.');
  const loan = await findLoan(at, loanId);
  if (loan) about.push(loan.familyId);
  const what = loan ? `${showTag(loan.tag)}, ${loan.kitName},` : 'The bag';
  if (last.act.kind === 'home')
    return (await unarrive(at, loanId))
      ? { kind: 'right', word: 'Undone', text: `${what} is with ${loan!.familyName} as before.` }
      : wrong('Counted', `${what} was counted meanwhile. Undo it on its page.`);
  const result = await undoLoan(at, loanId, personId);
  return result.ok
    ? { kind: 'right', word: 'Undone', text: `${what} is at school, as if it had not been lent.` }
    : wrong('Not undone', result.why);
}
