import { useEffect } from 'react';
import styled from 'styled-components';
import type { Heard } from '~/core/lending/hall';
import { color, cut, type } from './theme';
import { tone } from './tones';

const Plate = styled.div<{ $kind: Heard['kind'] }>`
  ${cut}
  display: grid;
  gap: 0.3rem;
  min-height: 9rem;
  align-content: center;
  padding: 1rem 1.4rem;
  border: 3px solid ${({ $kind }) => ({ right: color.fern, wrong: color.clay, next: color.shore })[$kind]};
  background: ${({ $kind }) => ({ right: color.sprout, wrong: color.clayLight, next: color.shoreLight })[$kind]};
  .word {
    font-family: ${type.display};
    font-size: clamp(2.2rem, 6vw, 4rem);
    line-height: 1.05;
    overflow-wrap: anywhere;
  }
  .sign {
    font-weight: 700;
  }
`;
const SIGNS: Record<Heard['kind'], string> = { right: 'Right', wrong: 'Stop', next: 'Next' };

/** What came of a scan, to be seen across a hall and heard in it. `at` is new for each scan. */
export function BigWord({ heard, at, sound = true }: { heard: Heard; at: string | number; sound?: boolean }) {
  useEffect(() => {
    if (sound) tone(heard.kind);
    // A sound for each scan, not for each drawing of the page.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at]);
  return (
    <Plate $kind={heard.kind} role="status">
      <span className="sign">{SIGNS[heard.kind]}</span>
      <span className="word">{heard.word}</span>
      <span>{heard.text}</span>
    </Plate>
  );
}
