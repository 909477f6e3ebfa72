import { settle, startOf } from '~/core/games/kit/game';
import { madeGame } from '~/core/own/made';
import { assume } from '~/core/games/kit/types';
import type { OwnGame } from '~/core/own/definition';
import { ownFaults } from '~/core/own/faults';
import { LengthRibbon } from '~/app/game/LengthRibbon';
import { Entered, Entries, Margin, Panel } from '~/app/ui/Page';
import { shown } from '~/core/games/kit/shown';
import { PartsTable } from '~/app/game/Reckonings';
import { GameDrawing } from '~/app/game/SheetView';

/** What the game comes to as it stands. */
export function OwnGameAnswer({ own }: { own: OwnGame }) {
  // Sentences that are not written yet do not hinder the reckoning.
  const filled = {
    ...own,
    name: { en: own.name.en || '…', es: own.name.es || '…' },
    goal: { en: own.goal.en || '…', es: own.goal.es || '…' },
    steps: own.steps.map((step) => ({ ...step, en: step.en || '…', es: step.es || '…' })),
  };
  const [problem] = Object.values(ownFaults(filled));
  if (problem)
    return (
      <Margin label="Reckonings">
        <p>Nothing is reckoned yet. {problem}</p>
      </Margin>
    );
  const game = madeGame(filled, 'own-draft');
  const reckoning = settle(game, startOf(game)).reckon(assume(own.ageBand));
  return (
    <>
      <Margin label="Reckonings">
        <GameDrawing shapes={game.drawing} width={120} />
        <Entries>
          <Entered
            label="One play"
            number={String(reckoning.length.minutes.mean)}
            unit="minutes expected"
            reason={`Practises ${reckoning.skills.join(', ')}.`}
          />
          {reckoning.explained.map((figure) => (
            <Entered key={figure.name} label={figure.label} {...shown(figure)} reason={figure.reason} />
          ))}
        </Entries>
      </Margin>
      <Panel aria-label="Length and parts">
        <LengthRibbon length={reckoning.length} />
        <PartsTable reckoning={reckoning} />
      </Panel>
    </>
  );
}
