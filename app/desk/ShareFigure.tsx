import type { ReactNode } from 'react';
import type { GroupShare } from '~/core/looking/reached';
import type { Column } from '~/app/ui/Table';
import { Figure, ShareBars } from './Charts';

const COLUMNS: readonly Column<GroupShare>[] = [
  { head: 'Group', cell: ({ label }) => label },
  { head: 'Families', cell: ({ n }) => n },
  { head: 'Of', cell: ({ of }) => of },
  { head: 'Share', cell: ({ share }) => `${Math.round(share * 100)} in 100` },
  { head: 'Between', cell: ({ low, high }) => `${Math.round(low * 100)} and ${Math.round(high * 100)}` },
];

/** Shares of groups with their intervals: a picture, its sentence and its table. */
export const ShareFigure = ({
  shares,
  ...about
}: {
  id: string;
  title: string;
  sentence: ReactNode;
  how?: ReactNode;
  csv?: string;
  shares: readonly GroupShare[];
}) => (
  <Figure {...about} columns={COLUMNS} rows={shares} rowKey={({ id }) => id}>
    <ShareBars
      rows={shares.map(({ label, n, of, share, low, high, small }) => ({
        label,
        share,
        low,
        high,
        told: `${n} of ${of}${small ? ', small' : ''}`,
      }))}
    />
  </Figure>
);
