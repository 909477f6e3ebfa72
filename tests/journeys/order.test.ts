/** The order of games in a kit and of steps in a game of the school's own: by keyboard, and by dragging. */
import { describe, expect, it } from 'vitest';
import { addOwnGame } from '~/data/queries/games';
import { findKit } from '~/data/queries/kits';
import { newOwnGame, type OwnGame } from '~/core/own/definition';
import { addVariant } from '../world';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();

describe('order', () => {
  it('of the games in a kit is changed by keyboard, kept, and told to others', async () => {
    const { page, complaints } = await visitor();
    await addVariant(world, 'tide-pairs', 'Pairs');
    await signIn(page);
    await open(page, `/fill/${world.kitId}?change=1`);
    await page.getByRole('checkbox', { name: /Pairs/ }).press('Space');
    const games = page.getByRole('grid', { name: 'Order of the games' });
    await expect.poll(() => games.getByRole('row').allTextContents()).toEqual(['1Six', '2Pairs']);
    await expectAccessible(page);
    // From the last box into the list, down to the second game, to its grip, and up with it.
    await page.getByRole('checkbox').last().focus();
    for (const key of ['Tab', 'ArrowDown', 'ArrowRight', 'Enter']) await page.keyboard.press(key);
    await page.locator('[data-drop-target]').first().waitFor({ state: 'attached' });
    await page.keyboard.press('ArrowUp');
    await page.keyboard.press('Enter');
    await expect.poll(() => games.getByRole('row').allTextContents()).toEqual(['1Pairs', '2Six']);
    await page.getByRole('button', { name: 'Save the changes' }).click();
    await page.waitForURL('**saved=1**');
    const kit = await findKit(world.at, world.kitId);
    expect(kit!.variants.map(({ name }) => name)).toEqual(['Pairs', 'Six']);
    expect(complaints).toEqual([]);
  });

  it('of the steps of a game is changed by dragging', async () => {
    const { page, complaints } = await visitor();
    const steps = ['Shuffle.', 'Turn one over.', 'Say how many.'].map((en) => ({
      part: 'turn' as const,
      show: 'none' as const,
      en,
      es: en,
    }));
    const id = (await addOwnGame(
      world.at,
      {
        ...newOwnGame(),
        name: { en: 'Ferry Load', es: 'Carga' },
        goal: { en: 'Load.', es: 'Suban.' },
        steps,
      },
      world.people.coordinator.id,
    ))!;
    await signIn(page);
    await open(page, `/choose/own/${id}`);
    const list = page.getByRole('grid', { name: 'Order of the steps' });
    await list.getByRole('row', { name: /Say how many/ }).dragTo(list.getByRole('row', { name: /Shuffle/ }), {
      targetPosition: { x: 60, y: 3 },
    });
    await expect
      .poll(() => list.getByRole('row').allTextContents())
      .toEqual(['1Play: Say how many.', '2Play: Shuffle.', '3Play: Turn one over.']);
    // What is sent when it is kept.
    const definition = JSON.parse(await page.locator('[name=definition]').first().inputValue()) as OwnGame;
    expect(definition.steps.map(({ en }) => en)).toEqual(['Say how many.', 'Shuffle.', 'Turn one over.']);
    expect(complaints).toEqual([]);
  });
});
