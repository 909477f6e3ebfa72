import { useEffect, useState } from 'react';
import styled from 'styled-components';
import { afterLook, cardOf, FIRST_LOOK, STAGES, TO_GROW, type Look } from '~/core/rehearse/looking';
import { Button } from '~/app/ui/Button';
import { Row, Stack } from '~/app/ui/Page';
import { GameDrawing } from './SheetView';
import { Stage } from './Stage';
import type { rehearseWords } from './Tongues';

/** The card, and beside it what is asked of it; below it where there is no room. */
const Beside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 560px) minmax(min(100%, 18rem), 1fr);
  gap: 1.2rem 1.6rem;
  @media (max-width: 900px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Numbers = styled.div`
  display: grid;
  grid-template-columns: repeat(5, minmax(56px, 84px));
  gap: 0.5rem;
  button {
    font-size: 1.4rem;
    padding-inline: 0;
  }
`;

/** The start word is heard before the cover is lifted. */
const READY_MS = 1200;
const MOST_DOTS = 10;
type Phase = 'start' | 'ready' | 'shown' | 'asked' | 'told';

/** A start word, a look, a cover, a number, a second look where it is wanted; then more dots, or fewer. */
export function QuickLook({ words }: { words: ReturnType<typeof rehearseWords> }) {
  const [look, setLook] = useState<Look>(FIRST_LOOK);
  const [phase, setPhase] = useState<Phase>('start');
  /** Whether the card was looked at a second time. */
  const [again, setAgain] = useState(false);
  const [said, setSaid] = useState<number>();
  const card = cardOf(look);
  const { seconds } = card;
  useEffect(() => {
    if (phase !== 'ready' && phase !== 'shown') return;
    const timer = setTimeout(
      () => setPhase(phase === 'ready' ? 'shown' : 'asked'),
      phase === 'ready' ? READY_MS : seconds * 1000,
    );
    return () => clearTimeout(timer);
  }, [phase, seconds]);
  const right = said === card.number;
  const grows = right && look.inRow + 1 >= TO_GROW && look.stage < STAGES - 1;
  const answer = (number: number): void => {
    setSaid(number);
    setPhase('told');
  };
  const begin = (): void => {
    if (phase === 'told') setLook(afterLook(look, right));
    setAgain(false);
    setSaid(undefined);
    setPhase('ready');
  };
  const second = (): void => {
    setAgain(true);
    setPhase('ready');
  };
  const open = phase === 'shown' || phase === 'told';
  return (
    <Beside>
      <Stage $wide={560}>
        {open ? (
          <GameDrawing shapes={card.shapes} width={560} />
        ) : (
          <div className="cover">
            {phase === 'ready' ? words('look.ready') : phase === 'asked' ? '?' : ''}
          </div>
        )}
      </Stage>
      <Stack $gap="0.9rem">
        <p role="status" style={{ minHeight: '2.6em', fontSize: '1.2rem' }}>
          {phase === 'asked' && words('look.howMany')}
          {phase === 'told' && words(right ? 'look.right' : 'look.not', { answer: card.number })}
          {phase === 'told' && grows && ` ${words('look.grows')}`}
        </p>
        {phase === 'asked' && (
          <Numbers>
            {Array.from({ length: MOST_DOTS }, (_, i) => (
              <Button key={i} quiet onPress={() => answer(i + 1)}>
                {String(i + 1)}
              </Button>
            ))}
          </Numbers>
        )}
        <Row>
          {(phase === 'start' || phase === 'told') && (
            <Button autoFocus={phase === 'told'} onPress={begin}>
              {words('look.start')}
            </Button>
          )}
          {phase === 'asked' && !again && (
            <Button quiet onPress={second}>
              {words('look.second')}
            </Button>
          )}
        </Row>
      </Stack>
    </Beside>
  );
}
