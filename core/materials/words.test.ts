import { describe, expect, it } from 'vitest';
import { readingOf } from '~/core/words/readings';
import { ENGLISH, messageIn } from '~/core/words/reading';
import { materials } from './catalogue';
import { hasHomeStandIn, isEdibleAtHome, MATERIAL_WORDS } from './words';

/** What nobody plays with, and so needs nothing in its place. */
const NOT_PLAYED_WITH = ['bag', 'instruction-sheet', 'plan'];

describe('what stands in for parts at home', () => {
  it('is told for every part that is played with, in both languages', () => {
    const without = materials()
      .map(({ id }) => id)
      .filter((id) => !hasHomeStandIn(id));
    expect(without.sort()).toEqual([...NOT_PLAYED_WITH].sort());
    for (const { id } of materials())
      if (hasHomeStandIn(id))
        expect([id, messageIn(readingOf('es'), MATERIAL_WORDS, `${id}.standIn`)]).not.toEqual([
          id,
          undefined,
        ]);
  });

  it('is known to be food where it is', () => {
    for (const { id } of materials()) {
      const said = messageIn(ENGLISH, MATERIAL_WORDS, `${id}.standIn`) ?? '';
      expect([id, isEdibleAtHome(id)]).toEqual([
        id,
        /\b(?:beans?|pasta|cereal(?! box)|nuts?|raisins?)\b/.test(said),
      ]);
    }
  });
});
