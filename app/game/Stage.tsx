import styled from 'styled-components';
import { color, cut } from '~/app/ui/theme';

/** Where a card is shown for a moment, or its cover. */
export const Stage = styled.div<{ $wide: number }>`
  ${cut}
  display: grid;
  place-items: center;
  width: min(100%, ${({ $wide }) => $wide}px);
  aspect-ratio: 100 / 60;
  border: 2px solid ${color.line};
  background: ${color.paper};
  overflow: hidden;
  svg {
    width: 100%;
    height: 100%;
  }
  .cover {
    width: 100%;
    height: 100%;
    display: grid;
    place-items: center;
    background: repeating-linear-gradient(135deg, ${color.sprout} 0 18px, ${color.sheet} 18px 22px);
    font-size: 1.4rem;
    font-weight: 700;
    color: ${color.deepFern};
  }
`;
