import { useLocation, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { showDay } from '~/core/lending/due';
import type { Period } from '~/core/looking/period';
import { Button } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Faint, Row, Stack } from '~/app/ui/Page';
import { Ways } from './Ways';

const WAYS = [
  { to: '/look-back', label: 'Who is reached', end: true },
  { to: '/look-back/wear', label: 'What wears' },
  { to: '/look-back/copies', label: 'How many copies' },
  { to: '/look-back/play', label: 'What plays' },
];

/** The ways through what is looked back on; the period that was chosen goes along. */
export function LookWays() {
  const [search] = useSearchParams();
  const kept = new URLSearchParams(
    [...search].filter(([name]) => name === 'period' || name === 'from' || name === 'to'),
  );
  return (
    <Ways
      label="Looking back"
      ways={WAYS.map((way) => ({ ...way, to: kept.size ? `${way.to}?${kept}` : way.to }))}
    />
  );
}

/** Which days the figures are of; others can be chosen. */
export function PeriodBar({ period, offered }: { period: Period; offered: readonly Period[] }) {
  const { pathname } = useLocation();
  const own = period.id === 'own';
  return (
    <Form method="get" action={pathname} key={`${period.id} ${period.from} ${period.to}`}>
      <Stack $gap="0.4rem">
        <Row>
          <Pick
            name="period"
            label="Looking back on"
            defaultValue={period.id}
            options={[
              ...offered.map(({ id, name }) => ({ value: id, label: name })),
              { value: 'own', label: 'days of your own' },
            ]}
          />
          <TextBox name="from" inputType="date" label="From" defaultValue={own ? period.from : ''} />
          <TextBox name="to" inputType="date" label="To" defaultValue={own ? period.to : ''} />
          <Button type="submit" quiet>
            Show these days
          </Button>
          <a
            href={`/look-back/report.pdf?${new URLSearchParams({ period: period.id, from: period.from, to: period.to })}`}
          >
            Report of two pages (PDF)
          </a>
        </Row>
        <Faint>
          {period.name}: {showDay(period.from)} to {showDay(period.to)}, {period.to.slice(0, 4)}.
        </Faint>
      </Stack>
    </Form>
  );
}

/** The address of a table of this period as a file. */
export const tableFile = (table: string, { id, from, to }: Period): string =>
  `/look-back/${table}.csv?${new URLSearchParams({ period: id, from, to })}`;
