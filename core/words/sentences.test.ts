import { describe, expect, it } from 'vitest';
import { exampleArgs } from '~/core/games/kit/examples';
import { SHELF } from '~/core/games/shelf';
import { branchesOf, sentencesOf } from './branches';
import { format } from './message';
import { messageIn } from './reading';
import { readingOf } from './readings';
import { isSaid, lineFromSaid, neverSaid, saidWith, waysToRead } from './sentences';

const EN = 'Put {n, plural, one {# counter} other {# counters}} in the cup {times} times.';
const ES = 'Pongan {n, plural, one {# ficha} other {# fichas}} en el vaso {times} veces.';

describe('the sentences of a line', () => {
  it('are read with the numbers of the game first, then once in every other form', () => {
    expect(waysToRead(EN, ES, 'es', { n: 6, times: 2 }).map(({ said }) => said)).toEqual([
      'Pongan 6 fichas en el vaso 2 veces.',
      'Pongan 1 ficha en el vaso 2 veces.',
    ]);
    expect(waysToRead('Shake it.', 'Agiten.', 'es', {})).toHaveLength(1);
  });

  it('one and only one of them is said with any numbers, in every line that ships', () => {
    for (const language of ['es', 'ar', 'vi']) {
      const reading = readingOf(language);
      for (const game of SHELF) {
        const args = exampleArgs(game);
        for (const id of Object.keys(game.words.en)) {
          const message = messageIn(reading, game.words, id);
          if (message === undefined) continue;
          const all = sentencesOf(branchesOf(message, language));
          expect(all.filter((one) => isSaid(one, all, language, args[id] ?? {}))).toHaveLength(1);
          for (const one of all)
            if (!neverSaid(one, language)) {
              const said = all.filter((other) =>
                isSaid(other, all, language, saidWith(one, language, args[id] ?? {})),
              );
              expect(said).toHaveLength(1);
            }
        }
      }
    }
  });

  it('takes what a reader would say, with each number back in its place', () => {
    const args = { n: 6, times: 2 };
    const line = lineFromSaid('Metan 6 fichas en el vaso, 2 veces.', ES, 'es', args)!;
    expect(format(line, 'es', { n: 9, times: 4 })).toBe('Metan 9 fichas en el vaso, 4 veces.');
    expect(format(line, 'es', { n: 1, times: 4 })).toBe('Pongan 1 ficha en el vaso 4 veces.');
    expect(lineFromSaid('Metan seis fichas en el vaso, 2 veces.', ES, 'es', args)).toBeUndefined();
    expect(lineFromSaid('Metan 6 fichas en el vaso, 26 veces.', ES, 'es', args)).toBeUndefined();
    expect(lineFromSaid('Metan {n} fichas', ES, 'es', args)).toBeUndefined();
    // Two numbers that look alike cannot be told apart.
    expect(lineFromSaid('Metan 2 fichas 2 veces.', ES, 'es', { n: 2, times: 2 })).toBeUndefined();
    expect(lineFromSaid('Sacudan.', 'Agiten.', 'es', {})).toBe('Sacudan.');
    expect(lineFromSaid("D'un coup", 'Agiten.', 'es', {})).toBe("D''un coup");
  });
});
