import { useState } from 'react';
import styled from 'styled-components';
import { seeded } from '~/core/chance/random';
import type { Game, Params, Turn } from '~/core/games/kit/types';
import { say, WORDED, type Worded } from '~/core/words/message';
import { Button } from '~/app/ui/Button';
import { Choice } from '~/app/ui/fields';
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
export function Rehearsal({ game, params }: { game: Game; params: Params }) {
  const [seed, setSeed] = useState(1);
  const [shown, setShown] = useState(1);
  const [language, setLanguage] = useState<Worded>('en');
  const turns: Turn[] = [];
  for (const turn of game.play(params, seeded(seed))) {
    turns.push(turn);
    if (turns.length === MOST) break;
  }
  const visible = turns.slice(0, shown);
  return (
    <Stack $gap="0.8rem">
      <Choice
        name="rehearsal-language"
        label="Language of the rehearsal"
        value={language}
        onChange={(value) => setLanguage(value as Worded)}
        options={WORDED.map((one) => ({ value: one, label: one === 'en' ? 'English' : 'Español' }))}
      />
      <Turns aria-live="polite" lang={language}>
        {visible.map((turn, i) => (
          <li key={`${seed} ${i}`}>
            {say(game.words, language, turn.id, turn.args)}
            {turn.coach && <em>{say(game.words, language, turn.coach.id, turn.coach.args)}</em>}
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
