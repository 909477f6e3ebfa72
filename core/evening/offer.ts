/** Every game of the shelf as a table of an evening would have it, setting by setting. */
import { map } from '~/core/chance/pmf';
import { settle } from '~/core/games/kit/game';
import { assume, type AgeBand, type Params } from '~/core/games/kit/types';
import { SHELF } from '~/core/games/shelf';
import { demandOf, demandOfBand } from '~/core/listening/demand';
import { nameOf } from '~/core/words/reading';
import type { TableGame } from './tables';

/** With the setting it is played in. */
export interface Offered extends TableGame {
  params: Params;
  ageBand: AgeBand;
}

/** Games that are only for outdoors are left out: an evening is in a hall. */
export const offered = (): Offered[] =>
  SHELF.filter(({ traits }) => traits.places.some((place) => place !== 'outdoors')).flatMap((game) =>
    game.presets.map(({ id, name, ageBand, params }): Offered => {
      const { practice, length, skills, players } = settle(game, params).reckon(assume(ageBand));
      const { turns, secondsPerTurn, setUpMinutes } = length;
      return {
        id: `${game.id} ${id}`,
        gameId: game.id,
        name: `${nameOf(game)}, ${name}`,
        params,
        ageBand,
        demand: (demandOf(practice) ?? demandOfBand(ageBand)).demand,
        minutes: map(turns, (count) => Math.ceil((count * secondsPerTurn) / 60 + setUpMinutes)),
        skills,
        quiet: game.traits.quiet ?? false,
        moves: game.traits.places.includes('floor') && !game.traits.places.includes('table'),
        joinLate: players.alone,
      };
    }),
  );
