/** A family as a form or a file gives it. */
import { Type, type Static } from '@sinclair/typebox';
import { Line, LongText, Tongue } from '~/core/check/schema';
import '~/core/words/languages';

export const familySchema = Type.Object({
  name: Line(80, {
    title: 'Family name',
    description: 'write how the family wants to be called, such as Family Dunlin.',
  }),
  language: Tongue({ title: 'Home language' }),
  reach: LongText(120, { title: 'How to reach them', lines: false }),
  underThree: Type.Boolean({ title: 'A child under three at home', default: false }),
  allergens: LongText(120, { title: 'Allergens', lines: false }),
});
export type FamilyFields = Static<typeof familySchema>;

/** A family's name as it is compared: in any case, blanks taken together. */
export const sameName = (name: string): string => name.trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');
