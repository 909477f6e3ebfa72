/**
 * A school's own catalogue: the shipped one as a start, with what the school wrote over it and what it added. What stands
 * in for what is among it.
 */
import type { Static } from '@sinclair/typebox';
import { formsOf } from '~/core/words/inspect';
import { format, literal } from '~/core/words/message';
import type { Language } from '~/core/words/languages';
import type { Source } from '~/core/words/reading';
import {
  ballCaution,
  bodyOf,
  materialOf,
  materials,
  type AnyMaterialId,
  type Material,
  type MaterialCaution,
  type MaterialFlag,
  type MaterialId,
  type OwnMaterialId,
} from './catalogue';
import type { schoolMaterialSchema } from './school-form';
import type { Body } from './tube';
import { MATERIAL_WORDS } from './words';

export const KINDS = { durable: 'Lasts', consumable: 'Is used up' } as const;
export const FORMS: Record<Body['form'], string> = {
  box: 'A box or a cube',
  disc: 'A disc',
  rod: 'A rod or a cup',
  ball: 'A ball',
};
export const ALLERGENS = { wheat: 'Wheat', nuts: 'Nuts', latex: 'Latex' } as const;
export type Allergen = keyof typeof ALLERGENS;
export const FLAGS: Record<MaterialFlag, string> = {
  cord: 'A cord longer than 300 mm',
  magnet: 'A magnet',
  glass: 'Glass',
  sharp: 'A point or an edge that can prick or cut',
};

export type SchoolMaterialFields = Static<typeof schoolMaterialSchema>;

/** The names of a part in a language, by the plural forms that the language has for counts of pieces. */
export type Names = Readonly<
  Partial<Record<Language, Readonly<Partial<Record<Intl.LDMLPluralRule, string>>>>>
>;

/** What a form of a material holds. */
export type MaterialFields = SchoolMaterialFields & { names: Names };

/** A kind of part as a school has it: plain data, for a row, a thread or a page. */
export interface SchoolMaterial extends SchoolMaterialFields {
  id: AnyMaterialId;
  names: Names;
  putAway: boolean;
  /** What one weighs, where it was learned on the scale, in grams. */
  massG?: number;
}

export const isOwnMaterial = (id: string): id is OwnMaterialId => id.startsWith('own-');

/** Whether a part is printed: what a school adds is bought. */
export const isPrinted = (id: string): boolean => !isOwnMaterial(id) && materialOf(id).kind === 'printed';

/** Names as one message with the count before them; undefined where the form for all others is missing. */
function messageOf(
  language: Language,
  names: Readonly<Partial<Record<Intl.LDMLPluralRule, string>>>,
): string | undefined {
  if (!names.other?.trim()) return undefined;
  const forms = (Object.entries(names) as [Intl.LDMLPluralRule, string][])
    .filter(([form, text]) => form !== 'other' && text.trim() && formsOf(language).includes(form))
    .map(([form, text]) => `${form} {# ${literal(text.trim())}}`);
  return `{quantity, plural, ${[...forms, `other {# ${literal(names.other.trim())}}`].join(' ')}}`;
}

/** A kind of part that another can take the place of, and what changes then. */
export interface StandIn {
  for: MaterialId;
  by: AnyMaterialId;
  changes: string;
}
const SHIPPED_STAND_INS: readonly StandIn[] = [
  { for: 'cube', by: 'block', changes: 'Blocks do not lock: towers are lower, and they are knocked over.' },
  { for: 'block', by: 'cube', changes: 'Cubes are smaller and lock: towers stand better.' },
  { for: 'chip', by: 'token', changes: 'Tokens are thicker: fewer fit on a square.' },
  { for: 'token', by: 'chip', changes: 'Chips are flat: they are harder to pick up.' },
  { for: 'piece', by: 'chip', changes: 'Chips are hard and slide: play on a cloth.' },
  { for: 'chip', by: 'piece', changes: 'Felt pieces are soft and cannot be wiped.' },
  { for: 'hop-stone', by: 'token', changes: 'Tokens are light: throw from nearer.' },
  { for: 'cup', by: 'small-cup', changes: 'Small cups hold one die, not several.' },
];

/** What a school knows of its materials. */
export interface Catalogue {
  /** The material with this id. Throws RangeError when there is none; one of another school's own is a part. */
  of: (id: string) => Material;
  /** All of them, in the order in which a bag is filled; also what was put away. */
  all: readonly Material[];
  /** Not chosen for anything new. */
  putAway: ReadonlySet<string>;
  /** Their names as families read them. */
  words: Source;
  standIns: readonly StandIn[];
}

/** The shipped one. */
export const SHIPPED: Catalogue = {
  of: materialOf,
  all: materials(),
  putAway: new Set(),
  words: MATERIAL_WORDS,
  standIns: SHIPPED_STAND_INS,
};

const RULES_DECIDE = "Your district's rules and licensed staff decide.";

/** The usual cautions of a kind of part, as it is at this school. */
function cautionsFor(one: SchoolMaterial, shipped: Material | undefined): MaterialCaution[] {
  const made: MaterialCaution[] = (shipped?.cautions ?? []).filter(
    ({ code }) =>
      code !== 'ball' &&
      (!code.startsWith('allergen-') || one.allergens.some((id) => code === `allergen-${id}`)),
  );
  if (one.form === 'ball') made.push(ballCaution(one.largestMm));
  for (const allergen of allergensOf(one))
    if (!made.some(({ code }) => code === `allergen-${allergen}`))
      made.push({
        code: `allergen-${allergen}`,
        text: `${one.plural.charAt(0).toUpperCase()}${one.plural.slice(1)}: with ${allergen}. Ask about allergies before they are lent. ${RULES_DECIDE}`,
      });
  return made;
}
const allergensOf = ({ allergens, otherAllergens }: SchoolMaterialFields): string[] => [
  ...allergens,
  ...otherAllergens
    .split(/[,;]/)
    .map((word) => word.trim().toLowerCase())
    .filter(Boolean),
];

function materialBy(one: SchoolMaterial): Material {
  const shipped = isOwnMaterial(one.id) ? undefined : materialOf(one.id);
  const kind =
    shipped && shipped.kind !== 'durable' && shipped.kind !== 'consumable' ? shipped.kind : one.kind;
  return {
    id: one.id,
    kind,
    name: one.name,
    plural: one.plural,
    smallestMm: one.smallestMm,
    largestMm: one.largestMm,
    body: bodyOf(one.smallestMm, one.largestMm, one.form, one.middleMm),
    massG: one.massG ?? shipped?.massG ?? 0,
    pack: shipped?.pack ?? { size: 1, priceCents: 0 },
    allergens: allergensOf(one),
    washable: one.washable,
    flags: one.flags,
    cautions: cautionsFor(one, shipped),
  };
}

/** What a shipped material is, as a school would have written it. */
export function asWritten({
  id,
  kind,
  name,
  plural,
  body,
  allergens,
  flags,
  washable,
}: Material): SchoolMaterial {
  const [smallestMm, middleMm, largestMm] = body.sizesMm;
  return {
    id,
    name,
    plural,
    kind: kind === 'consumable' ? 'consumable' : 'durable',
    form: body.form,
    smallestMm,
    middleMm,
    largestMm,
    allergens: allergens.filter((one): one is Allergen => Object.hasOwn(ALLERGENS, one)),
    otherAllergens: allergens.filter((one) => !Object.hasOwn(ALLERGENS, one)).join(', '),
    flags: [...flags],
    washable,
    standsInFor: '',
    changes: '',
    names: {},
    putAway: false,
  };
}

const made = new WeakMap<readonly SchoolMaterial[], Catalogue>();
/** The catalogue of a school from what it wrote. */
export function catalogueOf(school: readonly SchoolMaterial[]): Catalogue {
  if (school.length === 0) return SHIPPED;
  const before = made.get(school);
  if (before) return before;
  const fresh = make(school);
  made.set(school, fresh);
  return fresh;
}

function make(school: readonly SchoolMaterial[]): Catalogue {
  const putAway = new Set<string>(school.filter((one) => one.putAway).map(({ id }) => id));
  const mine = school.flatMap(({ id, standsInFor, changes }): StandIn[] =>
    standsInFor && !putAway.has(id) ? [{ for: standsInFor as MaterialId, by: id, changes }] : [],
  );
  const written = new Map<string, Material>(school.map((one) => [one.id, materialBy(one)]));
  const own = school.filter(({ id }) => isOwnMaterial(id));
  const shipped = materials().map((material): Material => written.get(material.id) ?? material);
  const besides = (of: MaterialId): Material[] =>
    own.filter(({ standsInFor }) => standsInFor === of).map(({ id }) => written.get(id)!);
  // A stand-in lies where what it stands for would; what else the school added comes before the paper.
  const paper = shipped.findIndex(({ kind }) => kind === 'printed');
  const others = own.filter(({ standsInFor }) => !standsInFor).map(({ id }) => written.get(id)!);
  const all = shipped.flatMap((material, i) => [
    ...(i === paper ? others : []),
    material,
    ...besides(material.id as MaterialId),
  ]);
  const byId = new Map(all.map((material) => [material.id as string, material]));
  return {
    of: (id) => byId.get(id) ?? (isOwnMaterial(id) ? unknown(id) : materialOf(id)),
    all,
    putAway,
    words: wordsOf(school),
    standIns: [
      ...SHIPPED_STAND_INS.filter(
        ({ for: usual, by }) => !putAway.has(by) && !mine.some((one) => one.for === usual && one.by === by),
      ),
      ...mine,
    ],
  };
}

/** A part that another school added to its catalogue. */
const unknown = (id: OwnMaterialId): Material => ({
  ...materialBy({
    ...asWritten(materialOf('token')),
    id,
    name: 'part',
    plural: 'parts',
    standsInFor: '',
    changes: '',
  }),
});

/** The names of all materials, with those that the school wrote. */
function wordsOf(school: readonly SchoolMaterial[]): Source {
  const en: Record<string, string> = { ...MATERIAL_WORDS.en };
  const own: Partial<Record<Language, Record<string, string>>> = {};
  for (const { id, name, plural, names } of school) {
    const usual = isOwnMaterial(id) ? undefined : materialOf(id);
    if (usual?.name !== name || usual.plural !== plural)
      en[id] = messageOf('en', { one: name, other: plural })!;
    for (const language of Object.keys(names)) {
      const message = language === 'en' ? undefined : messageOf(language, names[language] ?? {});
      if (message !== undefined) (own[language] ??= {})[id] = message;
    }
  }
  return { id: MATERIAL_WORDS.id, en, own };
}

/** A name as it is read with a count, to show it while it is typed. */
export const shownName = (
  language: Language,
  names: Readonly<Partial<Record<Intl.LDMLPluralRule, string>>>,
  quantity: number,
): string => {
  const message = messageOf(language, names);
  return message === undefined ? '' : format(message, language, { quantity });
};
