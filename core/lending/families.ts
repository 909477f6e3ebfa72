/** A family as a form or a file gives it. */
import { Type, type Static } from '@sinclair/typebox';
import { checkForm, type Checked } from '~/core/check/check';
import { Line, LongText, OneOf, Tongue } from '~/core/check/schema';
import { aboutLanguage, languageNamed } from '~/core/words/languages';
import { childrenText, readChildren } from './children';

/** How the school may write to a family. */
export const CHANNELS = {
  paper: 'paper in the bag',
  message: 'a message to the phone',
  mail: 'a mail',
  never: 'never: they would rather not be reminded',
} as const;
export type Channel = keyof typeof CHANNELS;

export const familySchema = Type.Object({
  name: Line(80, {
    title: 'Family name',
    description: 'write how the family wants to be called, such as Family Dunlin.',
  }),
  language: Tongue({ title: 'Home language' }),
  speaks: LongText(120, { title: 'Other languages', lines: false }),
  children: LongText(400, { title: 'Children' }),
  group: LongText(40, { title: 'Class or group', lines: false }),
  reach: LongText(120, { title: 'How to reach them', lines: false }),
  channel: OneOf<Channel>(CHANNELS, { title: 'Reminders', default: 'paper' }),
  weekly: Type.Boolean({ title: 'Once a week at the most', default: false }),
  underThree: Type.Boolean({ title: 'A child under three at home', default: false }),
  allergens: LongText(120, { title: 'Allergens', lines: false }),
  pictures: Type.Boolean({ title: 'Pictures of their children’s work', default: false }),
});
export type FamilyFields = Static<typeof familySchema>;

/** A family about which nothing is known but its name. */
export const NEW_FAMILY: FamilyFields = {
  name: '',
  language: 'en',
  speaks: '',
  children: '',
  group: '',
  reach: '',
  channel: 'paper',
  weekly: false,
  underThree: false,
  allergens: '',
  pictures: false,
};

/** A family in a form or a file, its children and languages written as they always are. */
export function checkFamily(form: FormData | Record<string, unknown>): Checked<FamilyFields> {
  const checked = checkForm(familySchema, form);
  if (!checked.ok) return checked;
  const { children, speaks } = checked.value;
  const read = readChildren(children);
  if (!read.ok) return { ok: false, errors: { children: read.problem } };
  const named = speaks
    .split(/[,;]/)
    .map((one) => one.trim())
    .filter(Boolean);
  const strange = named.find((one) => !languageNamed(one));
  if (strange !== undefined)
    return {
      ok: false,
      errors: {
        speaks: `“${strange.slice(0, 40)}” is no language that is known here. Write them with commas between.`,
      },
    };
  return {
    ok: true,
    value: {
      ...checked.value,
      children: childrenText(read.children),
      speaks: [...new Set(named.map((one) => aboutLanguage(languageNamed(one)!.tag).name))].join(', '),
    },
  };
}

/** A family's name as it is compared: in any case, blanks taken together. */
export const sameName = (name: string): string => name.trim().replace(/\s+/g, ' ').toLocaleLowerCase('en');
