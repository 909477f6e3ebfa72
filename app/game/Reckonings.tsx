import styled from 'styled-components';
import { shown } from '~/core/games/kit/shown';
import type { Reckoning } from '~/core/games/kit/types';
import { count, plain } from '~/core/words/numbers';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button } from '~/app/ui/Button';
import { Entered, Entries, Faint, Margin } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { color } from '~/app/ui/theme';
import { useProgress, type Progress, type Reckoned } from './useReckoning';

const Under = styled.div`
  line-height: 31px;
  progress {
    width: 100%;
    height: 10px;
    accent-color: ${color.fern};
    vertical-align: middle;
  }
`;

const HowFar = ({ progress }: { progress: Progress }) => (
  <progress max={1} value={useProgress(progress)} aria-label="How far the figures are" />
);

/** Heavy figures on their way: how far they are, and a way to stop them. */
function UnderWay({ reckoned, reckoning }: { reckoned: Reckoned; reckoning: Reckoning }) {
  const waiting = reckoning.pending.length
    ? `${count(reckoning.pending.length, 'figure')} still being counted over all deals`
    : 'A first guess; ten thousand plays are being simulated';
  if (reckoned.progress !== undefined)
    return (
      <Under role="status">
        {waiting}. <HowFar progress={reckoned.progress} />
        <Button quiet onPress={reckoned.cancel}>
          Stop counting
        </Button>
      </Under>
    );
  if (reckoned.stopped)
    return (
      <Under role="status">
        Stopped. {reckoning.pending.length ? 'Some figures are missing.' : 'The numbers are a first guess.'}{' '}
        <Button quiet onPress={reckoned.again}>
          Go on counting
        </Button>
      </Under>
    );
  return null;
}

/** The margin of a bench: every figure with its reason. */
export function Reckonings({ reckoned, reckoning }: { reckoned: Reckoned; reckoning: Reckoning }) {
  const { length, explained, simulated } = reckoning;
  return (
    <Margin label="Reckonings">
      <UnderWay reckoned={reckoned} reckoning={reckoning} />
      <Entries>
        <Entered
          label="One play"
          number={String(length.minutes.mean)}
          unit="minutes expected"
          reason={`${plain(length.secondsPerTurn)} seconds a turn and ${count(length.setUpMinutes, 'minute')} to set up.`}
        />
        {explained.map((figure) => (
          <Entered key={figure.name} label={figure.label} {...shown(figure)} reason={figure.reason} />
        ))}
      </Entries>
      {simulated && (
        <Faint>
          Numbers with ± are simulated: {simulated.plays.toLocaleString('en-US')} plays, seed {simulated.seed}
          ; the number after ± is the standard error.
        </Faint>
      )}
    </Margin>
  );
}

/** What a play takes: parts with their three quantities, and what to prepare. */
export function PartsTable({ reckoning }: { reckoning: Reckoning }) {
  const catalogue = useCatalogue();
  return reckoning.parts.length === 0 ? (
    <p>Nothing at all.</p>
  ) : (
    <Table
      rows={reckoning.parts}
      rowKey={(part) => part.material}
      columns={[
        {
          head: 'Part',
          cell: (part) => (
            <>
              {catalogue.of(part.material).plural}
              <Faint>{part.reason}</Faint>
            </>
          ),
        },
        { head: 'Expected', cell: (part) => plain(part.expected) },
        { head: 'Enough', cell: (part) => plain(part.enough) },
        { head: 'Most', cell: (part) => plain(part.worst) },
      ]}
    />
  );
}
