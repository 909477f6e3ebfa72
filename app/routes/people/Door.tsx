import { use, type ReactNode } from 'react';
import styled from 'styled-components';
import { NonceContext } from '~/app/nonce';
import { color, cut } from '~/app/ui/theme';

const Frame = styled.main`
  min-height: 100vh;
  display: grid;
  place-items: center;
  padding: 2rem 1rem;
  background:
    radial-gradient(circle at 12% 110%, #dbe8d2 0 22rem, transparent 22.2rem),
    radial-gradient(circle at 96% -10%, #f3e4bd 0 18rem, transparent 18.2rem), ${color.paper};
`;
const Card = styled.div`
  ${cut}
  width: min(30rem, 100%);
  background: ${color.sheet};
  border: 1px solid ${color.line};
  box-shadow: 3px 4px 0 #e5dcc3;
  padding: 1.8rem 2rem 2rem;
  display: grid;
  gap: 1.1rem;
  > svg {
    color: ${color.fern};
  }
`;

/** The page before the workroom: one card, one form. */
export const Door = ({ title, lead, children }: { title: string; lead?: ReactNode; children: ReactNode }) => (
  <Frame>
    <script src="/door.js" defer nonce={use(NonceContext)} suppressHydrationWarning />
    <Card>
      <svg
        width="132"
        height="34"
        viewBox="0 0 132 34"
        fill="none"
        stroke="currentColor"
        strokeWidth="2"
        aria-hidden
      >
        <path d="M4 26C34 12 74 30 128 10" />
        <path
          d="M28 20c-4-8-1-13 4-16 5 6 4 12-4 16ZM46 20c2 8 8 11 14 11 0-7-6-12-14-11ZM66 21c-3-8 1-13 6-15 4 6 2 12-6 15ZM88 19c3 7 9 9 15 8-1-7-7-11-15-8ZM106 15c-2-6 2-10 6-12 3 5 1 10-6 12Z"
          fill="currentColor"
          fillOpacity=".18"
        />
      </svg>
      <h1>{title}</h1>
      {lead && <p>{lead}</p>}
      {children}
    </Card>
  </Frame>
);
