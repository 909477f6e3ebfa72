/** What stands in the place of a game that cannot be opened, so that no list falls with it. */
import { point } from '~/core/chance/pmf';
import { bench, game, stop } from '~/core/games/kit';
import type { Game } from '~/core/games/kit/game';
import { literal } from '~/core/words/message';
import type { OwnGame } from './definition';

const closed = new WeakMap<Game, string>();
/** Whether this only stands in the place of a game. */
export const isClosed = (game: Game): boolean => closed.has(game);
/** Why it cannot be opened; empty for a game that can. */
export const whyClosed = (game: Game): string => closed.get(game) ?? '';

/** In the place of rules that cannot be opened: `gameFor` makes a closed game of it, here and in the browser. */
export const closedRules = (name: string, why: string): OwnGame =>
  ({ name: { en: name, es: name }, closed: why }) as unknown as OwnGame;

/** A game without parts and steps that says why it cannot be opened. It takes any parameters. */
export function closedGame(id: string, name: string, why: string): Game {
  const words = (title: string, goal: string) => ({ name: literal(title), goal: literal(goal) });
  const made = game({
    family: 'own',
    traits: { places: [] },
    knobs: {},
    presets: [{ id: 'closed', name: 'cannot be opened', ageBand: 'K' }],
    words: {
      id,
      en: words(name, `This game cannot be opened: ${why}`),
      own: { es: words(name, 'Este juego no se puede abrir. Avisen a la escuela, por favor.') },
    },
    drawing: [bench],
    reckon: () => ({
      figures: [],
      parts: [],
      turns: point(0),
      setUpMinutes: 0,
      practice: [],
      players: { fewest: 1, most: 8, alone: true },
      notices: [stop('closed', `“${name}” cannot be opened: ${why}`)],
      ladder: {},
    }),
    play: function* () {},
    steps: () => [],
    subject: () => name,
  });
  closed.set(made, why);
  return made;
}
