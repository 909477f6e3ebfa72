/** What the report of two pages says of a school and a period. */
import type { Period } from '~/core/looking/period';
import type { ReportFacts } from '~/core/looking/report';
import { SMALL } from '~/core/looking/reached';
import { showDay } from '~/core/lending/due';
import { count, money } from '~/core/words/numbers';
import type { SchoolHandle } from '~/data/db';
import { today } from '../today';
import { copiesIn, playedIn, reachedIn, wearIn } from './figures';

const MOST_PARTS = 4;

export async function reportOf(
  at: SchoolHandle,
  school: string,
  period: Period,
  termEnds: string | undefined,
): Promise<ReportFacts> {
  const [reach, wear, copies, played] = await Promise.all([
    reachedIn(at, period),
    wearIn(at, period),
    copiesIn(at, period, termEnds),
    playedIn(at, period, false),
  ]);
  const right = played.grades.reduce((sum, { n }) => sum + n, 0);
  const { families: told, playsPerLoan, minutes } = played;
  const lost = wear.parts.filter((one) => one.lost > 0);
  return {
    school,
    period: `${period.name}: ${showDay(period.from)} to ${showDay(period.to)}, ${period.to.slice(0, 4)}`,
    madeOn: showDay(today(at)),
    families: reach.families,
    reached: reach.lent,
    loans: reach.loans,
    answered: reach.answered,
    languages: reach.counted('language'),
    grades: reach.counted('grade'),
    months: reach.by.month.reached.shares,
    rightByGrade: played.said,
    ...(told.said >= SMALL ? { right: { n: right, of: played.words } } : {}),
    ...(playsPerLoan === undefined || told.times < SMALL ? {} : { playsPerLoan }),
    ...(minutes === undefined || told.minutes < SMALL ? {} : { minutes: Math.round(minutes) }),
    lost: {
      parts: lost
        // One loss in a loan or two says nothing of a hundred.
        .filter(({ loans }) => loans >= SMALL)
        .slice(0, MOST_PARTS)
        .map(({ plural, perLoan }) => `${plural}, ${(perLoan * 100).toFixed(0)} in 100 loans`),
      pieces: lost.reduce((sum, one) => sum + one.lost, 0),
      loans: wear.loans,
      cents: money(lost.reduce((sum, one) => sum + one.lostCents, 0)),
    },
    copies: copies.kits
      .filter(({ change }) => change > 0)
      .map(({ name, sentence }) => `${name}: ${sentence}`),
    missing: [
      'Shares have Wilson’s intervals, differences Newcombe’s; one is spoken of only where its interval leaves out zero.',
      'Losses per loan come from counting every bag that comes home; how many copies are enough from Erlang’s loss formula.',
      `Figures on games are of families that answered; others may find them otherwise. ${
        reach.forgotten
          ? `${count(reach.forgotten, 'loan is', 'loans are')} of families that asked to be forgotten, and missing here.`
          : 'No family asked to be forgotten.'
      }`,
      `A figure that rests on fewer than ${SMALL} families is left out.`,
    ],
  };
}
