import { useEffect, useState } from 'react';
import { seeded } from '~/core/chance/random';
import type { Variant } from '~/core/games/kit/game';
import { count } from '~/core/words/numbers';
import { say, type Reading } from '~/core/words/reading';
import { Button } from '~/app/ui/Button';
import { Row, Stack } from '~/app/ui/Page';
import { GameDrawing } from './SheetView';
import { Stage } from './Stage';

type Phase = 'covered' | 'shown' | 'asked' | 'told';

/** Shows a card for its seconds, covers it, and waits until the answer is asked for. */
export function Trainer({ variant, readings }: { variant: Variant; readings: readonly Reading[] }) {
  const [seed, setSeed] = useState(1);
  const [phase, setPhase] = useState<Phase>('covered');
  const card = variant.peek(seeded(seed));
  useEffect(() => {
    if (phase !== 'shown') return;
    const timer = setTimeout(() => setPhase('asked'), card.seconds * 1000);
    return () => clearTimeout(timer);
  }, [phase, card.seconds]);
  const open = phase === 'shown' || phase === 'told';
  return (
    <Stack $gap="0.8rem">
      <Stage $wide={420} role="img" aria-label={open ? 'A card with dots' : 'A covered card'}>
        {open ? (
          <GameDrawing shapes={card.shapes} width={420} />
        ) : (
          <div className="cover">{phase === 'asked' ? 'How many were there?' : 'Ready?'}</div>
        )}
      </Stage>
      <div aria-live="polite" style={{ minHeight: '3.2em' }}>
        {phase === 'shown' && <p>Shown for {count(card.seconds, 'second')}. Nobody speaks.</p>}
        {phase === 'asked' && <p>Wait for the answer. Then look again together.</p>}
        {phase === 'told' &&
          readings.map((reading) => (
            <p key={reading.language} lang={reading.language}>
              {say(reading, variant.game.words, card.says.id, card.says.args)}
            </p>
          ))}
      </div>
      <Row>
        {phase === 'covered' && <Button onPress={() => setPhase('shown')}>Show the card</Button>}
        {phase === 'shown' && (
          <Button quiet onPress={() => setPhase('asked')}>
            Cover it now
          </Button>
        )}
        {phase === 'asked' && <Button onPress={() => setPhase('told')}>Look again</Button>}
        {phase === 'told' && (
          <Button
            onPress={() => {
              setSeed((n) => n + 1);
              setPhase('covered');
            }}
          >
            Take the next card
          </Button>
        )}
      </Row>
    </Stack>
  );
}
