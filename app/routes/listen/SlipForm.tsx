import { useState } from 'react';
import { Form } from 'react-router';
import { showTag } from '~/core/kits/tag';
import { readSlip, slipSentence } from '~/core/listening/slip';
import { Button, useSending } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Faint, Row, Panel, Stack } from '~/app/ui/Page';

export interface SlipAnswered {
  kept?: string;
  problem?: string;
  slip?: string;
  words?: string;
}

/** A paper slip is typed in with a few keys; what they mean is said before it is kept. */
export function SlipForm({ answered, start }: { answered?: SlipAnswered; start: string }) {
  const [slip, setSlip] = useState(answered?.slip ?? start);
  const busy = useSending();
  const reading = readSlip(slip);
  // While somebody types, what is still missing is no mistake.
  const long = slip.replace(/[\s-]/g, '').length >= 11;
  return (
    <Panel aria-label="Type in a paper slip">
      <Form method="post">
        <Stack $gap="0.7rem">
          <h2>Type in a paper slip</h2>
          {answered?.kept && (
            <Said kind="done" word="Kept" live>
              {answered.kept}
            </Said>
          )}
          {answered?.problem && (
            <Said kind="stop" word="Not kept" live>
              {answered.problem}
            </Said>
          )}
          <TextBox
            name="slip"
            label="Number and ticks"
            value={slip}
            onChange={setSlip}
            autoComplete="off"
            maxLength={40}
            hint="The number of the slip, then a digit for each question; 0 where nothing is ticked: K7M4-W 213420"
            error={long && !reading.ok ? reading.problem : undefined}
          />
          <TextBox
            name="words"
            label="What they wrote, if they did"
            defaultValue={answered?.words ?? ''}
            maxLength={1500}
          />
          <Row>
            <Button type="submit" name="intent" value="slip" isPending={busy}>
              Keep this slip
            </Button>
            <Faint role="status">
              {reading.ok ? `${showTag(reading.tag)}: ${slipSentence(reading.answer)}` : ''}
            </Faint>
          </Row>
        </Stack>
      </Form>
    </Panel>
  );
}
