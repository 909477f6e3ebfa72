import { dueState, dueWords, showDay } from '~/core/lending/due';
import { State } from '~/app/ui/Page';

const TONES = { overdue: 'hand', today: 'wait', soon: 'wait', later: 'calm' } as const;

/** A due date, with how near it is in words; or that the bag is home and waits to be counted. */
export const DueFlag = ({
  dueOn,
  arrivedOn,
  today,
}: {
  dueOn: string;
  arrivedOn?: string | null;
  today: string;
}) => (
  <>
    {showDay(dueOn)}{' '}
    {arrivedOn ? (
      <State tone="note">home, to count</State>
    ) : (
      <State tone={TONES[dueState(dueOn, today)]}>{dueWords(dueOn, today)}</State>
    )}
  </>
);
