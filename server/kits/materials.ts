/** What a kind of part is, from its form. */
import { checkForm, type FieldErrors } from '~/core/check/check';
import { visible } from '~/core/check/keepable';
import type { Random } from '~/core/chance/random';
import { isStored, materials, type AnyMaterialId, type OwnMaterialId } from '~/core/materials/catalogue';
import { asWritten, type SchoolMaterial, type MaterialFields } from '~/core/materials/school';
import { materialFormSchema } from '~/core/materials/school-form';
import { formsOf } from '~/core/words/inspect';
import type { Language } from '~/core/words/languages';
import { searchable } from '~/core/words/search';

export type ReadMaterial = { ok: true; fields: MaterialFields } | { ok: false; errors: FieldErrors };

/** Kinds of parts of the shipped catalogue that another can stand in for. */
export const replaceable = () => materials().filter((one) => isStored(one) && one.id !== 'bag');

/** Reads the form of a kind of part. Names in other languages stand in boxes such as `names.es.one`. */
export function materialIn(form: FormData, languages: readonly Language[], id?: AnyMaterialId): ReadMaterial {
  const names: Partial<Record<Language, Record<string, string>>> = {};
  for (const language of languages.filter((one) => one !== 'en'))
    for (const plural of formsOf(language)) {
      const raw = form.get(`names.${language}.${plural}`);
      const text = typeof raw === 'string' ? visible(raw) : '';
      if (text) (names[language] ??= {})[plural] = text;
    }
  const checked = checkForm(materialFormSchema, {
    ...Object.fromEntries(form),
    allergens: form.getAll('allergens'),
    flags: form.getAll('flags'),
    washable: form.get('washable') === 'true',
    names,
  });
  if (!checked.ok) return checked;
  const errors: FieldErrors = {};
  for (const [language, said] of Object.entries(names))
    if (!said!.other)
      errors[`names.${language}.other`] = 'Write this form too: it is said wherever no other fits.';
  const { standsInFor, smallestMm, middleMm, largestMm, ...rest } = checked.value;
  if (standsInFor && (standsInFor === id || !replaceable().some((one) => one.id === standsInFor)))
    errors.standsInFor = 'Choose another kind of part, one that ships with the application.';
  if (Object.keys(errors).length) return { ok: false, errors };
  const [a, b, c] = [smallestMm, middleMm, largestMm].sort((x, y) => x - y) as [number, number, number];
  return { ok: true, fields: { ...rest, standsInFor, smallestMm: a, middleMm: b, largestMm: c } };
}

/** A material as its form has it. */
export function fieldsOf({ id: _, putAway: __, massG: ___, ...fields }: SchoolMaterial): MaterialFields {
  return fields;
}

/** What a form begins with: what the school wrote, else what ships. */
export const writtenOf = (
  school: readonly SchoolMaterial[],
  material: Parameters<typeof asWritten>[0],
): SchoolMaterial => school.find(({ id }) => id === material.id) ?? asWritten(material);

const ALPHABET = '23456789abcdefghjkmnpqrstuvwxyz';
/** An id for a kind of part of the school's own, which a person recognizes in a list: "own-acorn-cap-7k3pw". */
export function newMaterialId(name: string, random: Random): OwnMaterialId {
  const slug = searchable(name)
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 24);
  const tail = Array.from({ length: 5 }, () => ALPHABET[random.whole(0, ALPHABET.length - 1)]).join('');
  return `own-${slug ? `${slug}-` : ''}${tail}`;
}
