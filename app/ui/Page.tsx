import { CircleCheck, Hand, Hourglass, Info } from 'lucide-react';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { color, cut, narrow } from './theme';

/** A working screen: the bench, wide, and the margin beside it. */
export const Workplace = styled.main`
  display: grid;
  grid-template-columns: minmax(0, 1fr) 340px;
  gap: 1.75rem;
  max-width: 1280px;
  margin: 0 auto;
  padding: 1.4rem 1.75rem 6.5rem;
  align-items: start;
  ${narrow} {
    grid-template-columns: minmax(0, 1fr);
    padding-inline: 1rem;
  }
`;

/** A screen without a margin. */
export const Wide = styled.main`
  max-width: 1280px;
  margin: 0 auto;
  padding: 1.4rem 1.75rem 6.5rem;
  ${narrow} {
    padding-inline: 1rem;
  }
`;

export const Stack = styled.div<{ $gap?: string }>`
  display: grid;
  gap: ${({ $gap = '1.1rem' }) => $gap};
  align-content: start;
  min-width: 0;
`;

export const Row = styled.div<{ $gap?: string }>`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: ${({ $gap = '0.9rem' }) => $gap};
`;

export const Faint = styled.p`
  color: ${color.faint};
`;

const Head = styled.header`
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  justify-content: space-between;
  gap: 0.75rem 1.5rem;
  p {
    color: ${color.faint};
    max-width: 46rem;
  }
`;

/** The one question of a screen, with its next action. */
export const Heading = ({
  title,
  children,
  action,
}: {
  title: string;
  children?: ReactNode;
  action?: ReactNode;
}) => (
  <Head>
    <div>
      <h1>{title}</h1>
      {children && <p>{children}</p>}
    </div>
    {action}
  </Head>
);

/** A sheet of card lying on the bench. */
export const Panel = styled.section`
  ${cut}
  background: ${color.sheet};
  border: 1px solid ${color.line};
  box-shadow: 0 1px 0 #e8e0c9;
  padding: 1rem 1.2rem;
`;

const Ruled = styled.aside`
  padding: 10px 0 10px 1.4rem;
  border-left: 2px solid #d99b83;
  /* Ruled so that the writing stands on the lines. */
  background: repeating-linear-gradient(transparent 0 30px, #d9e2dc 30px 31px) 0 6px;
  line-height: 31px;
  min-height: 20rem;
  h2 {
    line-height: 31px;
    font-size: 1.1rem;
  }
`;

/** The margin: reckonings in a ruled notebook. */
export const Margin = ({ label, children }: { label: string; children: ReactNode }) => (
  <Ruled aria-label={label}>{children}</Ruled>
);

const Entry = styled.div`
  margin-bottom: 31px;
  dt {
    line-height: 31px;
    color: ${color.faint};
  }
  .number {
    font-family: 'Young Serif', serif;
    font-size: 1.35rem;
    /* No taller than the line it stands on. */
    line-height: 1;
    font-variant-numeric: lining-nums tabular-nums;
    color: ${color.deepFern};
    margin-right: 0.15rem;
  }
  dd {
    margin: 0;
    line-height: 31px;
  }
  .reason {
    color: ${color.faint};
  }
`;

/** One number with its unit and where it comes from. */
export const Entered = ({
  label,
  number,
  unit,
  reason,
}: {
  label: string;
  number: string;
  unit?: string;
  reason?: ReactNode;
}) => (
  <Entry>
    <dt>{label}</dt>
    <dd>
      <span className="number">{number}</span> {unit}
    </dd>
    {reason && <dd className="reason">{reason}</dd>}
  </Entry>
);

export const Entries = styled.dl`
  margin: 0;
`;

const Hollow = styled.div`
  display: grid;
  justify-items: center;
  gap: 0.8rem;
  text-align: center;
  padding: 2.5rem 1rem;
  color: ${color.faint};
  border: 1.5px dashed ${color.line};
  border-radius: 6px 18px 8px 14px;
  svg {
    color: ${color.fern};
  }
`;

/** Nothing here yet: why, and what to do about it. */
export const Empty = ({
  title,
  children,
  action,
}: {
  title: string;
  children: ReactNode;
  action?: ReactNode;
}) => (
  <Hollow>
    <svg
      width="84"
      height="46"
      viewBox="0 0 84 46"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      aria-hidden
    >
      <path d="M4 18h76l-9 25H13L4 18Z" />
      <path d="M12 25h60M15 33h54M26 18 31 43M42 18v25M58 18l-5 25" strokeWidth="1" />
      <path d="M16 18C20 2 64 2 68 18" />
    </svg>
    <h2>{title}</h2>
    <p>{children}</p>
    {action}
  </Hollow>
);

const Flag = styled.span<{ $tone: Tone }>`
  display: inline-flex;
  align-items: center;
  gap: 0.35rem;
  padding: 0.05rem 0.6rem;
  border-radius: 2px 9px 3px 9px;
  font-weight: 700;
  white-space: nowrap;
  background: ${({ $tone }) => TONES[$tone].back};
  color: ${({ $tone }) => TONES[$tone].text};
`;
const TONES = {
  calm: { back: color.sprout, text: color.deepFern, Mark: CircleCheck },
  wait: { back: color.strawLight, text: '#5f4608', Mark: Hourglass },
  hand: { back: color.clayLight, text: '#8a3816', Mark: Hand },
  note: { back: color.shoreLight, text: '#24506d', Mark: Info },
} as const;
export type Tone = keyof typeof TONES;

/** A state, told by word and by shape as well as by colour. */
export function State({ tone, children }: { tone: Tone; children: ReactNode }) {
  const { Mark } = TONES[tone];
  return (
    <Flag $tone={tone}>
      <Mark size={15} strokeWidth={2.5} aria-hidden />
      {children}
    </Flag>
  );
}

/** A table that scrolls by itself on a narrow screen. */
export const TableFrame = styled.div`
  overflow-x: auto;
  th {
    text-align: start;
    font-weight: 700;
    color: ${color.faint};
    padding: 0.35rem 0.9rem 0.35rem 0;
    border-bottom: 2px solid ${color.fern};
    white-space: nowrap;
  }
  td {
    padding: 0.55rem 0.9rem 0.55rem 0;
    border-bottom: 1px solid ${color.line};
    vertical-align: baseline;
    font-variant-numeric: tabular-nums;
  }
  tbody th {
    border-bottom: 1px solid ${color.line};
  }
  tbody tr:hover {
    background: #f6f0df;
  }
`;

export const Tag = styled.code`
  font-family: inherit;
  font-weight: 700;
  letter-spacing: 0.06em;
  white-space: nowrap;
`;
