import { ToggleButton, ToggleButtonGroup } from 'react-aria-components';
import styled from 'styled-components';
import { isRed, RANKS, showCard, SUITS, type Card, type Suit } from '~/core/cards/deck';
import { color } from './theme';

const Grid = styled.div`
  display: grid;
  gap: 6px;
  .suit {
    display: grid;
    grid-template-columns: repeat(13, minmax(0, 1fr));
    gap: 4px;
  }
`;
const Spot = styled(ToggleButton)<{ $red: boolean }>`
  min-height: 44px;
  min-width: 0;
  padding: 0;
  border: 1.5px solid ${color.faint};
  border-radius: 4px 7px 5px 6px;
  background: ${color.sheet};
  color: ${({ $red }) => ($red ? color.clay : color.ink)};
  font-weight: 700;
  font-variant-numeric: tabular-nums;
  cursor: pointer;
  &[data-hovered] {
    background: ${color.sprout};
  }
  &[data-selected] {
    border-style: dashed;
    background: repeating-linear-gradient(-45deg, ${color.strawLight} 0 5px, ${color.paper} 5px 10px);
    color: ${color.faint};
    text-decoration: line-through;
  }
  &[data-focus-visible] {
    outline: 3px solid ${color.shore};
    outline-offset: 1px;
  }
`;

/** All fifty-two cards; those pressed are missing. */
export const CardGrid = ({
  label,
  missing,
  onChange,
}: {
  label: string;
  missing: readonly string[];
  onChange: (missing: Card[]) => void;
}) => (
  <Grid role="group" aria-label={label}>
    {(Object.keys(SUITS) as Suit[]).map((suit) => (
      <ToggleButtonGroup
        key={suit}
        className="suit"
        aria-label={SUITS[suit]}
        selectionMode="multiple"
        selectedKeys={missing.filter((card) => card.endsWith(suit))}
        onSelectionChange={(keys) =>
          onChange([
            ...missing.filter((card): card is Card => !card.endsWith(suit)),
            ...([...keys] as Card[]),
          ])
        }
      >
        {RANKS.map((rank): Card => `${rank}${suit}`).map((card) => (
          <Spot key={card} id={card} $red={isRed(card)} aria-label={`${showCard(card)} is missing`}>
            {showCard(card)}
          </Spot>
        ))}
      </ToggleButtonGroup>
    ))}
  </Grid>
);
