import { Bar, BarChart, LabelList, XAxis, YAxis } from 'recharts';
import styled from 'styled-components';
import { Table } from '~/app/ui/Table';
import { color, type } from '~/app/ui/theme';

export interface ReachBar {
  language: string;
  reached: number;
  notYet: number;
}

const label = { fontFamily: type.body, fontSize: 16, fill: color.ink };

const Key = styled.p`
  display: flex;
  gap: 1.4rem;
  span::before {
    content: '';
    display: inline-block;
    width: 1.1rem;
    height: 1.1rem;
    margin-inline-end: 0.45rem;
    vertical-align: -3px;
    border: 1px solid #8a6a12;
    background: #ead9a9;
  }
  .reached::before {
    border-color: ${color.fern};
    background: ${color.fern};
  }
`;

/** Families reached and not yet reached, by home language; the table says the same. */
export const ReachChart = ({ bars }: { bars: readonly ReachBar[] }) => {
  const most = Math.max(1, ...bars.map((bar) => bar.reached + bar.notYet));
  return (
    <div>
      <Key>
        <span className="reached">reached, first</span>
        <span>not yet, after them</span>
      </Key>
      <div aria-hidden>
        <BarChart
          width={560}
          height={60 + bars.length * 54}
          data={[...bars]}
          layout="vertical"
          accessibilityLayer={false}
          margin={{ top: 8, right: 60, bottom: 8, left: 8 }}
        >
          <XAxis type="number" hide domain={[0, most]} />
          <YAxis
            type="category"
            dataKey="language"
            width={110}
            tick={label}
            axisLine={false}
            tickLine={false}
          />
          <Bar dataKey="reached" stackId="families" fill={color.fern} isAnimationActive={false}>
            <LabelList
              dataKey="reached"
              position="inside"
              formatter={(value) => (value ? String(value) : '')}
              fill={color.paper}
              fontFamily={type.body}
              fontSize={16}
            />
          </Bar>
          <Bar dataKey="notYet" stackId="families" fill="#EAD9A9" stroke="#8a6a12" isAnimationActive={false}>
            <LabelList
              dataKey="notYet"
              position="inside"
              formatter={(value) => (value ? String(value) : '')}
              fill={color.ink}
              fontFamily={type.body}
              fontSize={16}
            />
          </Bar>
        </BarChart>
      </div>
      <details>
        <summary>Show as a table</summary>
        <Table
          rows={bars}
          rowKey={(bar) => bar.language}
          columns={[
            { head: 'Home language', cell: (bar) => bar.language },
            { head: 'Reached', cell: (bar) => bar.reached },
            { head: 'Not yet', cell: (bar) => bar.notYet },
          ]}
        />
      </details>
    </div>
  );
};
