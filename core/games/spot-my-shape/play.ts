import { pick, type Random } from '~/core/chance/random';
import type { Outcome } from '~/core/chance/simulate';
import { turn, type Turn } from '~/core/games/kit';
import type { SpotParams } from '.';
import type { words } from './words';

/** One riddle a turn: clues until one thing fits, or until they are used up and a hint is given. */
export function* play(
  { clues, things, each, rounds, players }: SpotParams,
  random: Random,
): Generator<Turn<keyof typeof words.en>, Outcome> {
  let afterAll = 0;
  for (let round = 0; round < rounds; round++) {
    let left = things;
    let told = 0;
    while (told < clues.length && left > 1) {
      let stay = 1;
      for (let i = 1; i < left; i++) if (random.whole(1, each) === 1) stay++;
      left = stay;
      told++;
    }
    afterAll += left;
    const clue = pick(clues, random);
    yield turn(
      (round % players) + 1,
      left === 1 ? 'play.found' : 'play.hint',
      { clue, told, left },
      left === 1 ? 'play.how' : 'play.more',
    );
  }
  return { left: afterAll / rounds };
}
