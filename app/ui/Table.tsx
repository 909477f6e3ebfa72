import { ArrowDown, ChevronLeft, ChevronRight } from 'lucide-react';
import type { Key, ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { Row, TableFrame } from './Page';
import { color } from './theme';

export interface Column<R, Sort extends string = string> {
  head: ReactNode;
  cell: (row: R) => ReactNode;
  /** The word by which the address says that the list is sorted by this column. */
  sort?: Sort;
}

const Head = styled.th`
  a {
    display: inline-flex;
    align-items: center;
    gap: 0.25rem;
    color: inherit;
    min-height: 32px;
  }
`;

/** A table of rows. Columns that can be sorted by are links; the database sorts. */
export function Table<R>({
  columns,
  rows,
  rowKey,
  sorted,
  label,
}: {
  columns: readonly Column<R>[];
  rows: readonly R[];
  rowKey: (row: R) => Key;
  /** The column it is sorted by now. */
  sorted?: string;
  label?: string;
}) {
  return (
    <TableFrame>
      <table aria-label={label}>
        <thead>
          <tr>
            {columns.map(({ head, sort }, i) => (
              <Head key={i} aria-sort={sort && sort === sorted ? 'ascending' : undefined}>
                {sort ? <SortLink sort={sort} now={sort === sorted} head={head} /> : head}
              </Head>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={rowKey(row)}>
              {columns.map(({ cell }, i) => (
                <td key={i}>{cell(row)}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </TableFrame>
  );
}

function SortLink({ sort, now, head }: { sort: string; now: boolean; head: ReactNode }) {
  const to = useAddress({ sort, page: undefined });
  return (
    <Link to={to} preventScrollReset>
      {head}
      {now && <ArrowDown size={15} aria-hidden />}
    </Link>
  );
}

/** This address with some of its words changed; undefined takes one away. */
function useAddress(change: Record<string, string | undefined>): string {
  const next = new URLSearchParams(useSearchParams()[0]);
  for (const [name, value] of Object.entries(change))
    if (value === undefined) next.delete(name);
    else next.set(name, value);
  return `?${next}`;
}

const Pages = styled.nav`
  a,
  span.none {
    display: inline-flex;
    align-items: center;
    gap: 0.2rem;
    min-height: 44px;
    padding: 0 0.6rem;
  }
  span.none {
    color: ${color.faint};
  }
`;

/** Which part of a long list is shown, and the way to the next. Nothing where all of it is. */
export function Pager({
  first,
  shown,
  found,
  size,
}: {
  /** Counted from 0. */
  first: number;
  shown: number;
  found: number;
  size: number;
}) {
  const page = Math.floor(first / size) + 1;
  const before = useAddress({ page: page > 2 ? String(page - 1) : undefined });
  const after = useAddress({ page: String(page + 1) });
  if (found <= size) return null;
  return (
    <Pages aria-label="Pages of the list">
      <Row style={{ alignItems: 'center' }}>
        {first > 0 ? (
          <Link to={before}>
            <ChevronLeft size={18} aria-hidden /> Before these
          </Link>
        ) : (
          <span className="none">This is the beginning</span>
        )}
        <strong>
          {first + 1} to {first + shown} of {found.toLocaleString('en-US')}
        </strong>
        {first + shown < found ? (
          <Link to={after}>
            After these <ChevronRight size={18} aria-hidden />
          </Link>
        ) : (
          <span className="none">This is the end</span>
        )}
      </Row>
    </Pages>
  );
}

/** What an address asks of a list: where it begins. Words that are no page are the first. */
export function firstOf(search: URLSearchParams, size: number): number {
  const page = Number(search.get('page') ?? 1);
  return Number.isInteger(page) && page > 0 && page < 100_000 ? (page - 1) * size : 0;
}
