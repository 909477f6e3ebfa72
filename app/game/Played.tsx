import { memo } from 'react';
import type { Heard } from '~/core/games/kit/hearing';
import type { Variant } from '~/core/games/kit/game';
import { say, type Reading } from '~/core/words/reading';
import { Panel } from '~/app/ui/Page';
import { Rehearsal } from './Rehearsal';
import { Solver } from './Solver';
import { heardIn, TellsIt, type ToldStep } from './Told';
import { Trainer } from './Trainer';

/** What is done with a variant on a bench, beside reckoning it: solving, showing, rehearsing, telling. */
export default memo(function Played({
  variant,
  readings,
  told,
  heard,
}: {
  variant: Variant;
  readings: readonly Reading[];
  /** Its steps, where they have been said already. */
  told?: readonly ToldStep[] | undefined;
  /** What might be heard in a play. */
  heard: readonly Heard[];
}) {
  const { game } = variant;
  const steps = told ?? [
    ...variant.steps().map(({ id, args }): ToldStep => ({
      id,
      texts: readings.map((reading) => say(reading, game.words, id, args)),
    })),
    ...heardIn(heard, readings),
  ];
  return (
    <>
      {game.solves && (
        <Panel aria-labelledby="solver">
          <h2 id="solver">Try a layout</h2>
          <Solver variant={variant} />
        </Panel>
      )}
      {game.peeks && (
        <Panel aria-labelledby="trainer">
          <h2 id="trainer">Show it on the screen</h2>
          <Trainer variant={variant} readings={readings} />
        </Panel>
      )}
      <Panel aria-labelledby="rehearse">
        <h2 id="rehearse">Rehearse a play</h2>
        <Rehearsal variant={variant} readings={readings} />
      </Panel>
      <TellsIt languages={readings.map(({ language }) => language)} steps={steps} />
    </>
  );
});
