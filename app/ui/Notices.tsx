import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { Notice } from '~/core/games/kit/types';
import { Button } from './Button';
import { color, cut } from './theme';

const LOOKS = {
  stop: { word: 'Does not work', edge: '#8a3816', back: color.clayLight },
  mind: { word: 'Look here', edge: '#6b5108', back: color.strawLight },
  know: { word: 'Good to know', edge: color.shore, back: color.shoreLight },
  done: { word: 'Done', edge: color.fern, back: color.sprout },
} as const;

const Slip = styled.div<{ $kind: keyof typeof LOOKS }>`
  ${cut}
  background: ${({ $kind }) => LOOKS[$kind].back};
  border-inline-start: 6px solid ${({ $kind }) => LOOKS[$kind].edge};
  padding: 0.6rem 0.9rem;
  line-height: 1.45;
  strong {
    color: ${({ $kind }) => LOOKS[$kind].edge};
  }
  .mend {
    margin-top: 0.5rem;
  }
`;

/** Something worth saying, with what can be done about it. */
export const Said = ({
  kind,
  word,
  children,
  action,
  live,
}: {
  kind: keyof typeof LOOKS;
  word?: string;
  children: ReactNode;
  action?: ReactNode;
  live?: boolean;
}) => (
  <Slip $kind={kind} role={live ? 'status' : undefined}>
    <strong>{word ?? LOOKS[kind].word}. </strong>
    {children}
    {action && <div className="mend">{action}</div>}
  </Slip>
);

const List = styled.div`
  display: grid;
  gap: 0.7rem;
`;
const URGENCY = ['stop', 'mind', 'know'];

/** A game's notices, the most urgent first; a mend is applied by a press. */
export const Notices = ({
  notices,
  onMend,
}: {
  notices: readonly Notice[];
  onMend?: (notice: Notice) => void;
}) => (
  <List>
    {[...notices]
      .sort((a, b) => URGENCY.indexOf(a.severity) - URGENCY.indexOf(b.severity))
      .map((notice) => (
        <Said
          key={notice.code + notice.text}
          kind={notice.severity}
          action={
            notice.mend &&
            onMend && (
              <Button quiet onPress={() => onMend(notice)}>
                {notice.mend.label}
              </Button>
            )
          }
        >
          {notice.text}
        </Said>
      ))}
  </List>
);
