import { describe, expect, it } from 'vitest';
import { settle, startOf } from '~/core/games/kit/game';
import { SHELF } from '~/core/games/shelf';
import { format } from '~/core/words/message';
import { SHARED } from '~/core/words/shared';
import { turnables } from '~/core/words/turnables';
import { readingOf } from '~/core/words/readings';
import { deskGroups, gamesThatSay, linesOnce, ordinary } from './desk';
import { sheetLines } from './instructions';

describe('the lines of a game on the words desk', () => {
  it.each(SHELF.map((game) => [game.id, game] as const))(
    'of %s are all there, each once, those of the sheet first and in its order',
    (_, game) => {
      const variant = settle(game, startOf(game));
      const groups = deskGroups(variant);
      const ids = groups.flatMap(({ lines }) => lines.map(({ id }) => id));
      expect([...ids].sort()).toEqual(Object.keys(game.words.en).sort());
      const onSheet = groups.filter(({ part }) => part !== 'other').flatMap(({ lines }) => lines);
      expect(onSheet.map(({ id }) => id).sort()).toEqual(sheetLines(variant).sort());
      for (const { lines } of groups)
        for (const { id, args } of lines) {
          const message = game.words.en[id]!;
          expect(format(message, 'en', args)).not.toBe('');
          for (const { name, values } of turnables(message, args))
            for (const value of values)
              expect(format(message, 'en', { ...args, [name]: value })).not.toBe('');
        }
    },
  );

  it('are worded once where several games say them alike', () => {
    for (const id of Object.keys(SHARED.en)) expect([id, gamesThatSay(id).length > 0]).toEqual([id, true]);
    expect(gamesThatSay('no such line')).toEqual([]);
  });
});
describe('the lines of some variants', () => {
  it('are there once, however many games say them, each where it is worded', () => {
    const reading = readingOf('es');
    const all = SHELF.slice(0, 8).map(ordinary);
    const lines = linesOnce(all, reading);
    const keys = lines.map(({ home, id }) => `${home} ${id}`);
    expect(new Set(keys).size).toBe(keys.length);
    const each = all.flatMap((variant) => deskGroups(variant).flatMap((group) => group.lines));
    expect(lines.length).toBeLessThan(each.length);
    expect(lines.some(({ home }) => home === 'shared')).toBe(true);
  });
});
