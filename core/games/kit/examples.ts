/** Numbers with which the lines of a game can be read before anybody has set its knobs. */
import { seeded } from '~/core/chance/random';
import { settle, type Game } from './game';
import { argumentsOf } from '~/core/words/inspect';
import type { Args } from '~/core/words/message';

const PLAYS = 3;
const NUMBER = 4;

/** For every line of the game, arguments as an ordinary variant gives them. */
export function exampleArgs(game: Game): Record<string, Args> {
  const examples: Record<string, Args> = {};
  const add = (id: string, args: Args): void => void (examples[id] ??= args);
  // The second preset is the ordinary one, where there are several.
  const presets = [...game.presets.slice(1, 2), ...game.presets];
  for (const { params } of presets) {
    const variant = settle(game, params);
    add('goal', variant.about());
    for (const step of variant.steps()) add(step.id, step.args);
    const random = seeded(2);
    for (let i = 0; i < PLAYS; i++)
      for (const turn of variant.play(random)) {
        add(turn.id, turn.args);
        if (turn.coach) add(turn.coach.id, turn.coach.args);
      }
  }
  for (const [id, message] of Object.entries(game.words.en))
    add(id, Object.fromEntries(argumentsOf(message).map((name) => [name, NUMBER])));
  return examples;
}
