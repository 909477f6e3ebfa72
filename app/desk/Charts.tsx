import type { ReactNode } from 'react';
import { Bar, BarChart, ErrorBar, XAxis, YAxis } from 'recharts';
import styled from 'styled-components';
import { Panel, Row, Stack } from '~/app/ui/Page';
import { Table, type Column } from '~/app/ui/Table';
import { color, type } from '~/app/ui/theme';

const tick = { fontFamily: type.body, fontSize: 16, fill: color.ink };
const WIDTH = 680;
const ROW = 44;

const Sentence = styled.p`
  font-size: 1.12rem;
  max-width: 44rem;
`;
const How = styled.p`
  color: ${color.faint};
  max-width: 44rem;
`;
const Scroll = styled.div`
  overflow-x: auto;
`;

/** A figure with what it shows in a sentence, how it was reckoned, its table and its file. */
export function Figure<R>({
  id,
  title,
  sentence,
  how,
  csv,
  columns,
  rows,
  rowKey,
  children,
}: {
  id: string;
  title: string;
  sentence: ReactNode;
  how?: ReactNode;
  csv?: string;
  columns: readonly Column<R>[];
  rows: readonly R[];
  rowKey: (row: R) => string;
  /** The picture; without one the table stands open. */
  children?: ReactNode;
}) {
  const table = <Table label={title} rows={rows} rowKey={rowKey} columns={columns} />;
  return (
    <Panel aria-labelledby={id}>
      <Stack $gap="0.6rem">
        <h2 id={id}>{title}</h2>
        <Sentence>{sentence}</Sentence>
        {children && <Scroll aria-hidden>{children}</Scroll>}
        {children ? (
          <details>
            <summary>Show as a table</summary>
            {table}
          </details>
        ) : (
          table
        )}
        <Row>
          {csv && (
            <a href={csv} download>
              As a table for a spreadsheet (CSV)
            </a>
          )}
        </Row>
        {how && <How>{how}</How>}
      </Stack>
    </Panel>
  );
}

/** A letter beside a bar is about so wide, and there is room for so much at least. */
const [LETTER, LEAST_BESIDE] = [8.2, 170];

/** What stands beside each bar: an axis of its own, so that a bar of no length has its words too. */
const Beside = ({ told }: { told: readonly string[] }) => (
  <YAxis
    yAxisId="told"
    orientation="right"
    type="category"
    dataKey={(_: unknown) => ''}
    width={Math.max(LEAST_BESIDE, ...told.map((one) => one.length * LETTER))}
    axisLine={false}
    tickLine={false}
    interval={0}
    tick={({ x, y, index }) => (
      <text x={Number(x)} y={Number(y) + 5} fontFamily={type.body} fontSize={15} fill={color.ink}>
        {told[index]}
      </text>
    )}
  />
);

/** A share of a group with its interval, and what stands beside its bar. */
export interface ShareRow {
  label: string;
  share: number;
  low: number;
  high: number;
  /** "12 of 20". */
  told: string;
}

/** Shares of groups as bars with their intervals, labelled beside them. */
export function ShareBars({ rows, labelWidth = 150 }: { rows: readonly ShareRow[]; labelWidth?: number }) {
  return (
    <BarChart
      width={WIDTH}
      height={36 + rows.length * ROW}
      data={rows.map((row) => ({
        ...row,
        // A bar of no length is not drawn, and its interval would be missing.
        share: Math.max(row.share, 1e-9),
        range: [Math.max(0, row.share - row.low), row.high - row.share],
      }))}
      layout="vertical"
      accessibilityLayer={false}
      margin={{ top: 4, right: 4, bottom: 4, left: 4 }}
    >
      <XAxis
        type="number"
        domain={[0, 1]}
        ticks={[0, 0.25, 0.5, 0.75, 1]}
        tickFormatter={(value: number) => `${Math.round(value * 100)}`}
        tick={{ ...tick, fontSize: 14, fill: color.faint }}
        axisLine={false}
        tickLine={false}
        height={24}
      />
      <YAxis
        type="category"
        dataKey="label"
        width={labelWidth}
        tick={tick}
        axisLine={false}
        tickLine={false}
      />
      <Beside told={rows.map(({ told }) => told)} />
      <Bar dataKey="share" fill="#9DBB8F" stroke={color.fern} barSize={20} isAnimationActive={false}>
        {rows.some(({ low, high }) => high > low) && (
          <ErrorBar
            dataKey="range"
            direction="x"
            width={9}
            strokeWidth={2}
            stroke={color.ink}
            isAnimationActive={false}
          />
        )}
      </Bar>
    </BarChart>
  );
}

/** Amounts as bars, each with its number beside it. */
export function AmountBars({
  rows,
  labelWidth = 190,
}: {
  rows: readonly { label: string; amount: number; told?: string; low?: number; high?: number }[];
  labelWidth?: number;
}) {
  const most = Math.max(1e-9, ...rows.map(({ amount, high }) => Math.max(amount, high ?? 0)));
  return (
    <BarChart
      width={WIDTH}
      height={12 + rows.length * ROW}
      data={rows.map((row) => ({
        ...row,
        range: [row.amount - (row.low ?? row.amount), (row.high ?? row.amount) - row.amount],
      }))}
      layout="vertical"
      accessibilityLayer={false}
      margin={{ top: 4, right: 4, bottom: 4, left: 4 }}
    >
      <XAxis type="number" hide domain={[0, most]} />
      <YAxis
        type="category"
        dataKey="label"
        width={labelWidth}
        tick={tick}
        axisLine={false}
        tickLine={false}
      />
      <Beside told={rows.map(({ told, amount }) => told ?? String(amount))} />
      <Bar dataKey="amount" fill="#9DBB8F" stroke={color.fern} barSize={20} isAnimationActive={false}>
        {rows.some(({ low, high }) => low !== undefined || high !== undefined) && (
          <ErrorBar
            dataKey="range"
            direction="x"
            width={9}
            strokeWidth={2}
            stroke={color.ink}
            isAnimationActive={false}
          />
        )}
      </Bar>
    </BarChart>
  );
}
