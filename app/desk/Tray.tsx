import styled from 'styled-components';
import type { KitPart } from '~/core/kits/recipe';
import { color } from '~/app/ui/theme';
import { useCatalogue } from '~/app/ui/catalogue';

const Frame = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(118px, 1fr));
  grid-auto-rows: minmax(118px, auto);
  gap: 8px;
  padding: 10px;
  border-radius: 8px 20px 10px 16px;
  background: #d9c79a;
  border: 2px solid #a78f56;
`;
const Compartment = styled.li`
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
  .drawn {
    display: flex;
    flex-wrap: wrap;
    align-items: flex-end;
    gap: 3px;
    margin-block: 0.4rem;
  }
  .one {
    width: 11px;
    height: 11px;
    border-radius: 50% 50% 50% 3px;
    background: ${color.fern};
  }
  .one:nth-of-type(even) {
    background: ${color.straw};
  }
  .ten {
    width: 9px;
    height: 38px;
    border-radius: 3px 4px 3px 2px;
    background: repeating-linear-gradient(${color.fern} 0 3px, ${color.sheet} 3px 3.8px);
  }
  .hundred {
    width: 38px;
    height: 38px;
    border-radius: 3px 5px 3px 4px;
    background:
      repeating-linear-gradient(transparent 0 3px, ${color.sheet} 3px 3.8px),
      repeating-linear-gradient(90deg, ${color.deepFern} 0 3px, ${color.sheet} 3px 3.8px);
  }
`;
/** So many are drawn one by one; more of them in hundreds, tens and ones. */
const ONE_BY_ONE = 20;
/** A part of which there are more than these lies in a wide compartment. */
const WIDE = 40;

/** How a count is drawn: each piece, or hundreds, tens and ones. */
export const drawnAs = (quantity: number): { hundreds: number; tens: number; ones: number } =>
  quantity <= ONE_BY_ONE
    ? { hundreds: 0, tens: 0, ones: quantity }
    : {
        hundreds: Math.floor(quantity / 100),
        tens: Math.floor((quantity % 100) / 10),
        ones: quantity % 10,
      };

const pieces = (kind: 'one' | 'ten' | 'hundred', n: number) =>
  Array.from({ length: n }, (_, i) => <i key={`${kind} ${i}`} className={kind} />);

/** A kit seen from above: a compartment for each part on a grid, wider where there is much of it. */
export function Tray({ parts }: { parts: readonly KitPart[] }) {
  const catalogue = useCatalogue();
  return (
    <Frame aria-label="The tray">
      {parts.map((part) => {
        const material = catalogue.of(part.material);
        const { hundreds, tens, ones } = drawnAs(part.quantity);
        return (
          <Compartment
            key={part.material}
            style={part.quantity > WIDE ? { gridColumn: 'span 2' } : undefined}
          >
            <span className="count">{part.quantity}</span>
            {material.kind !== 'printed' && (
              <span className="drawn" aria-hidden>
                {pieces('hundred', hundreds)}
                {pieces('ten', tens)}
                {pieces('one', ones)}
              </span>
            )}
            <span>{part.quantity === 1 ? material.name : material.plural}</span>
          </Compartment>
        );
      })}
    </Frame>
  );
}
