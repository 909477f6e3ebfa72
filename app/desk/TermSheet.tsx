import styled from 'styled-components';
import { showDay } from '~/core/lending/due';
import type { TermDay, TermWeek } from '~/core/lending/term';
import { count } from '~/core/words/numbers';
import { TableFrame } from '~/app/ui/Page';
import { color } from '~/app/ui/theme';

const Sheet = styled.table`
  border-collapse: separate;
  border-spacing: 3px;
  font-variant-numeric: tabular-nums;
  th {
    font-weight: 500;
    color: ${color.faint};
    text-align: start;
    padding: 0 0.6rem;
    white-space: nowrap;
  }
  td {
    min-width: 6.2rem;
    height: 2.6rem;
    padding: 0.15rem 0.5rem;
    vertical-align: top;
    background: ${color.sheet};
    border: 1px solid ${color.line};
    border-radius: 2px 9px 3px 7px;
  }
  td.closed {
    background: repeating-linear-gradient(135deg, ${color.strawLight} 0 6px, ${color.paper} 6px 12px);
    color: ${color.faint};
    font-size: 0.82rem;
  }
  td.today {
    outline: 2.5px solid ${color.fern};
  }
  td.away {
    background: none;
    border: 0;
    white-space: nowrap;
  }
  .date {
    color: ${color.faint};
    font-size: 0.85rem;
  }
  b {
    margin-inline-start: 0.5rem;
  }
`;

const dateOf = (day: string): string => String(Number(day.slice(8)));
const said = ({ goOut, comeHome }: TermDay): string =>
  [goOut && `${count(goOut, 'bag')} out`, comeHome && `${count(comeHome, 'bag')} due`]
    .filter(Boolean)
    .join(', ');

/** A term week by week: days without school are hatched; what goes out and what is due stands in its day. */
export function TermSheet({ weeks, today }: { weeks: readonly TermWeek[]; today: string }) {
  const named = weeks[0]?.days ?? [];
  return (
    <TableFrame>
      <Sheet>
        <thead>
          <tr>
            <th scope="col">Week of</th>
            {named.map(({ day }) => (
              <th key={day} scope="col">
                {showDay(day).split(',')[0]}
              </th>
            ))}
            <th scope="col">Away after it</th>
          </tr>
        </thead>
        <tbody>
          {weeks.map(({ monday, days, away }) => (
            <tr key={monday}>
              <th scope="row">{showDay(monday).split(', ')[1]}</th>
              {days.map((one) => (
                <td
                  key={one.day}
                  className={[one.school ? '' : 'closed', one.day === today ? 'today' : ''].join(' ').trim()}
                  aria-current={one.day === today ? 'date' : undefined}
                >
                  <span className="date">{dateOf(one.day)}</span>
                  {one.school ? <b>{said(one)}</b> : <> {one.closed ?? 'no school'}</>}
                  {!one.school && one.comeHome > 0 && <b>{said(one)}</b>}
                </td>
              ))}
              <td className="away">{away > 0 ? count(away, 'bag') : ''}</td>
            </tr>
          ))}
        </tbody>
      </Sheet>
    </TableFrame>
  );
}
