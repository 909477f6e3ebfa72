import styled from 'styled-components';
import { materialOf } from '~/core/materials/catalogue';
import type { KitPart } from '~/core/kits/recipe';
import { color } from '~/app/ui/theme';

const Frame = styled.ul`
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding: 10px;
  border-radius: 8px 20px 10px 16px;
  background: #d9c79a;
  border: 2px solid #a78f56;
`;
const Compartment = styled.li`
  min-width: 112px;
  min-height: 118px;
  padding: 0.55rem 0.8rem;
  border-radius: 4px 10px 5px 8px;
  background: ${color.sheet};
  box-shadow: inset 0 3px 5px #b9a67455;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  .count {
    font-family: 'Young Serif', serif;
    font-size: 1.7rem;
    line-height: 1.1;
    font-variant-numeric: lining-nums tabular-nums;
    color: ${color.deepFern};
  }
  .dots {
    display: flex;
    flex-wrap: wrap;
    gap: 3px;
    margin-block: 0.4rem;
  }
  .dots i {
    width: 11px;
    height: 11px;
    border-radius: 50% 50% 50% 3px;
    background: ${color.fern};
  }
  .dots i:nth-child(even) {
    background: ${color.straw};
  }
`;
const DRAWN = 24;

/** A kit seen from above: a compartment for each part, the larger the more there are of it. */
export const Tray = ({ parts }: { parts: readonly KitPart[] }) => (
  <Frame aria-label="The tray">
    {parts.map((part) => {
      const material = materialOf(part.material);
      return (
        <Compartment
          key={part.material}
          style={{
            flexGrow: Math.sqrt(part.quantity),
            flexBasis: `${88 + 20 * Math.sqrt(part.quantity)}px`,
          }}
        >
          <span className="count">{part.quantity}</span>
          {material.kind !== 'printed' && (
            <span className="dots" aria-hidden>
              {Array.from({ length: Math.min(part.quantity, DRAWN) }, (_, i) => (
                <i key={i} />
              ))}
            </span>
          )}
          <span>{part.quantity === 1 ? material.name : material.plural}</span>
        </Compartment>
      );
    })}
  </Frame>
);
