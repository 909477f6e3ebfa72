import { dueState, dueWords, showDay } from '~/core/lending/due';
import { State } from '~/app/ui/Page';

const TONES = { overdue: 'hand', today: 'wait', soon: 'wait', later: 'calm' } as const;

/** A due date, with how near it is in words. */
export const DueFlag = ({ dueOn, today }: { dueOn: string; today: string }) => (
  <>
    {showDay(dueOn)} <State tone={TONES[dueState(dueOn, today)]}>{dueWords(dueOn, today)}</State>
  </>
);
