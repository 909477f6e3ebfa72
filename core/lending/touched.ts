/** Loans that are due on a day without school, and when they would be due instead. */
import { due, SchoolDays, type DueAsked } from './calendar';
import { daysBetween } from './due';

/** A due day that is moved. */
export interface DueMove {
  loanId: string;
  from: string;
  to: string;
}
export type Touched<L> = L & { move: DueMove; why: string };

/** How a school counts, without the loan itself. */
export type DueRules = Omit<DueAsked, 'lentOn' | 'days'>;

/** Of loans that are out, those that are due from today on when there is no school. */
export function touchedBy<L extends { id: string; lentOn: string; dueOn: string }>(
  loans: readonly L[],
  rules: DueRules,
  today: string,
): Touched<L>[] {
  const school = new SchoolDays(rules.calendar);
  return loans.flatMap((loan): Touched<L>[] => {
    if (loan.dueOn < today || school.hasSchool(loan.dueOn)) return [];
    const { dueOn, why } = due({
      ...rules,
      lentOn: loan.lentOn,
      days: Math.min(366, daysBetween(loan.lentOn, loan.dueOn)),
    });
    return [{ ...loan, move: { loanId: loan.id, from: loan.dueOn, to: dueOn }, why }];
  });
}
