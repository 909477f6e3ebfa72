/** What the report of two pages says of a school and a period. */
import type { Period } from '~/core/looking/period';
import { median } from '~/core/looking/played';
import type { ReportFacts } from '~/core/looking/report';
import { closing, SMALL } from '~/core/looking/reached';
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
  const plays = played.kits.filter(({ playsPerLoan }) => playsPerLoan !== undefined);
  const answers = plays.reduce((sum, one) => sum + one.answers, 0);
  const minutes = median(
    played.kits.flatMap(({ minutesSaid }) => (minutesSaid === undefined ? [] : [minutesSaid])),
  );
  const lost = wear.parts.filter((one) => one.lost > 0);
  return {
    school,
    period: `${period.name}: ${showDay(period.from)} to ${showDay(period.to)}, ${period.to.slice(0, 4)}`,
    madeOn: showDay(today(at)),
    families: reach.families,
    reached: reach.lent,
    loans: reach.loans,
    answered: reach.answered,
    languages: reach.by.language.reached.shares,
    grades: reach.by.grade.reached.shares,
    months: reach.months,
    rightByGrade: played.grades.map((one) => ({ ...one, small: one.of < SMALL })),
    // What would close a gap names its group: only where the group is not small.
    closing: closing(
      reach.by.language.reached.shares.filter(({ small }) => !small),
      'language',
    ),
    ...(played.words >= SMALL ? { right: { n: right, of: played.words } } : {}),
    ...(answers >= SMALL
      ? { playsPerLoan: plays.reduce((sum, one) => sum + one.playsPerLoan! * one.answers, 0) / answers }
      : {}),
    ...(minutes === undefined || answers < SMALL ? {} : { minutes: Math.round(minutes) }),
    lost: {
      parts: lost
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
