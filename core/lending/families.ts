/** A family as a form or a file gives it. */
import { Type, type Static } from '@sinclair/typebox';
import { Line, OneOf, LongText } from '~/core/check/schema';
import type { Language } from '~/core/words/languages';

const LANGUAGE_LABELS: Record<Language, string> = {
  en: 'English',
  es: 'Spanish',
  ar: 'Arabic',
  pt: 'Portuguese',
};

export const familySchema = Type.Object({
  name: Line(80, {
    title: 'Family name',
    description: 'write how the family wants to be called, such as Family Dunlin.',
  }),
  language: OneOf<Language>(LANGUAGE_LABELS, { title: 'Home language' }),
  reach: LongText(120, { title: 'How to reach them', lines: false }),
  underThree: Type.Boolean({ title: 'A child under three at home', default: false }),
  allergens: LongText(120, { title: 'Allergens', lines: false }),
});
export type FamilyFields = Static<typeof familySchema>;

/** A family's name as it is compared: in any case, blanks taken together. */
export const sameName = (name: string): string => name.trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');
