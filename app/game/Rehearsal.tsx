import { useState } from 'react';
import styled from 'styled-components';
import { seeded } from '~/core/chance/random';
import type { Variant } from '~/core/games/kit/game';
import type { Turn } from '~/core/games/kit/types';
import { aboutLanguage } from '~/core/words/languages';
import { say, type Reading } from '~/core/words/reading';
import { Button } from '~/app/ui/Button';
import { Choice } from '~/app/ui/fields/Choice';
import { Faint, Row, Stack } from '~/app/ui/Page';
import { color } from '~/app/ui/theme';

const MOST = 60;

const Turns = styled.ol`
  display: grid;
  gap: 0.5rem;
  li {
    padding-inline-start: 0.8rem;
    border-inline-start: 3px solid ${color.straw};
  }
  em {
    display: block;
    font-style: normal;
    color: ${color.faint};
  }
`;

/** One simulated play, turn by turn, with what a grown-up might say. */
export function Rehearsal({ variant, readings }: { variant: Variant; readings: readonly Reading[] }) {
  const [seed, setSeed] = useState(1);
  const [shown, setShown] = useState(1);
  const [reading, setReading] = useState(readings[0]!);
  const { words } = variant.game;
  const turns: Turn[] = [];
  for (const turn of variant.play(seeded(seed))) {
    turns.push(turn);
    if (turns.length === MOST) break;
  }
  const visible = turns.slice(0, shown);
  return (
    <Stack $gap="0.8rem">
      <Choice
        name="rehearsal-language"
        label="Language of the rehearsal"
        value={reading.language}
        onChange={(value) => setReading(readings.find(({ language }) => language === value)!)}
        options={readings.map(({ language }) => ({ value: language, label: aboutLanguage(language).own }))}
      />
      <Turns aria-live="polite" lang={reading.language}>
        {visible.map((turn, i) => (
          <li key={`${seed} ${i}`}>
            {say(reading, words, turn.id, turn.args)}
            {turn.coach && <em>{say(reading, words, turn.coach.id, turn.coach.args)}</em>}
          </li>
        ))}
      </Turns>
      <Row>
        <Button
          onPress={() => setShown((n) => Math.min(turns.length, n + 1))}
          isDisabled={shown >= turns.length}
        >
          Play the next turn
        </Button>
        <Button
          quiet
          onPress={() => {
            setSeed((n) => n + 1);
            setShown(1);
          }}
        >
          Begin another play
        </Button>
        <Faint>
          Turn {visible.length} of {turns.length === MOST ? `more than ${MOST}` : turns.length}; play number{' '}
          {seed}.
        </Faint>
      </Row>
    </Stack>
  );
}
