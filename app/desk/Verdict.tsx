import type { CopyVerdict, GameVerdict } from '~/core/kits/verdict';
import { hundredths } from '~/core/words/numbers';
import { Faint, Panel, Stack, State } from '~/app/ui/Page';

const COPY_WORDS: Record<CopyVerdict['copy'], { tone: 'calm' | 'wait' | 'hand'; text: string; why: string }> =
  {
    asItIs: { tone: 'calm', text: 'lend it as it is', why: 'Every game in it plays.' },
    withNote: {
      tone: 'wait',
      text: 'lend it with a note',
      why: 'Every game in it can be played; the family page tells what is different.',
    },
    mendFirst: {
      tone: 'hand',
      text: 'mend it first',
      why: 'One of its games cannot be played with what is there.',
    },
  };

const GAME_WORDS: Record<GameVerdict, { tone: 'calm' | 'wait' | 'hand'; text: string }> = {
  plays: { tone: 'calm', text: 'plays' },
  playsWithNote: { tone: 'wait', text: 'plays with a note' },
  doesNotPlay: { tone: 'hand', text: 'does not play' },
};

/** Whether a copy can go out again, and what of each of its games plays. */
export function Verdict({ verdict, names }: { verdict: CopyVerdict; names: readonly string[] }) {
  const copy = COPY_WORDS[verdict.copy];
  return (
    <Panel aria-labelledby="verdict" aria-live="polite">
      <Stack $gap="0.7rem">
        <h2 id="verdict">Can it go out again?</h2>
        <p style={{ margin: 0 }}>
          <State tone={copy.tone}>{copy.text}</State> {copy.why}
        </p>
        <ul style={{ margin: 0, padding: 0, listStyle: 'none', display: 'grid', gap: '0.6rem' }}>
          {verdict.games.map((game, i) => (
            <li key={`${names[i]} ${i}`}>
              <strong>{names[i]}</strong>{' '}
              <State tone={GAME_WORDS[game.verdict].tone}>{GAME_WORDS[game.verdict].text}</State>
              {game.verdict !== 'plays' && <div>{game.note}</div>}
              {game.enough > 0 && game.enough < 1 && (
                <Faint>
                  What is there suffices in {hundredths(game.enough)} of 100 plays
                  {game.loan &&
                    `, and in every one of the ${game.loan.plays} plays of a loan in ${hundredths(game.loan.enough)} of 100 loans`}
                  .
                </Faint>
              )}
            </li>
          ))}
        </ul>
      </Stack>
    </Panel>
  );
}
