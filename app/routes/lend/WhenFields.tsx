import type { FieldErrors } from '~/core/check/check';
import { MOST, type Times } from '~/core/evening/plan';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Row } from '~/app/ui/Page';

/** When an evening is: its name, day and start, and how long its rounds are. */
export function WhenFields({
  name,
  onDay,
  startsAt,
  times,
  errors,
  children,
}: {
  name: string;
  onDay: string;
  startsAt: string;
  times: Times;
  errors: FieldErrors;
  /** The button beside the last fields. */
  children: React.ReactNode;
}) {
  return (
    <>
      <Row>
        <TextBox
          name="name"
          label="Name of the evening"
          defaultValue={name}
          maxLength={80}
          error={errors.name}
        />
        <TextBox name="onDay" inputType="date" label="Day" defaultValue={onDay} error={errors.onDay} />
        <TextBox
          name="startsAt"
          label="Start"
          defaultValue={startsAt}
          maxLength={5}
          error={errors.startsAt}
        />
      </Row>
      <Row>
        <NumberBox
          name="rounds"
          label="Rounds"
          min={1}
          max={MOST.rounds}
          defaultValue={times.rounds}
          error={errors.rounds}
        />
        <NumberBox
          name="roundMinutes"
          label="Minutes of a round"
          min={5}
          max={60}
          defaultValue={times.roundMinutes}
          error={errors.roundMinutes}
        />
        <NumberBox
          name="changeMinutes"
          label="Minutes to change"
          min={0}
          max={15}
          defaultValue={times.changeMinutes}
          error={errors.changeMinutes}
        />
        {children}
      </Row>
    </>
  );
}
