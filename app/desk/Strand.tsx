import { Hammer, House, Send, Truck, Wrench } from 'lucide-react';
import styled from 'styled-components';
import { showDay } from '~/core/lending/due';
import { color } from '~/app/ui/theme';

export interface StrandPoint {
  on: string;
  kind: 'built' | 'lent' | 'home' | 'mended' | 'moved';
  note: string;
}

const MARKS = { built: Hammer, lent: Send, home: House, mended: Wrench, moved: Truck };
const Line = styled.ol`
  display: flex;
  overflow-x: auto;
  padding: 0.5rem 0 0.75rem;
  li {
    position: relative;
    flex: 1 0 8.5rem;
    padding: 2.4rem 0.75rem 0 0;
  }
  li::before {
    content: '';
    position: absolute;
    inset: 1rem 0 auto 0;
    height: 4px;
    background: ${color.fern};
  }
  li.out::before {
    background: repeating-linear-gradient(90deg, ${color.straw} 0 10px, transparent 10px 16px);
  }
  li:last-child::before {
    width: 1.5rem;
  }
  .mark {
    position: absolute;
    top: 0.15rem;
    width: 1.9rem;
    height: 1.9rem;
    border-radius: 50% 50% 50% 6px;
    display: grid;
    place-items: center;
    background: ${color.sheet};
    border: 2px solid ${color.fern};
    color: ${color.deepFern};
    font-weight: 700;
    line-height: 1;
  }
  time {
    display: block;
    color: ${color.faint};
  }
`;

/** A copy's life along one line: built, lent (dashed while it was out), home again, mended. */
export const Strand = ({ points }: { points: readonly StrandPoint[] }) => (
  <Line aria-label="The life of this copy">
    {points.map((point, i) => {
      const Mark = MARKS[point.kind];
      return (
        <li key={`${point.on}${point.kind}${i}`} className={point.kind === 'lent' ? 'out' : ''}>
          <span className="mark" aria-hidden>
            <Mark size={16} />
          </span>
          <time dateTime={point.on}>{showDay(point.on)}</time>
          {point.note}
        </li>
      );
    })}
  </Line>
);
