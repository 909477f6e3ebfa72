/**
 * What can hurt in a kit, in one place: each hazard with its threshold and source, and the families to whom a kit must not
 * go before a person has decided. Cautions, never a guarantee: the district's rules and licensed staff decide.
 */
import { faultsOf } from '~/core/games/kit/game';
import {
  fitsChokeTube,
  type AnyMaterialId,
  type Material,
  type MaterialFlag,
} from '~/core/materials/catalogue';
import { ALLERGENS, SHIPPED, type Catalogue } from '~/core/materials/school';
import { CHOKE_TUBE_MM, isSmallBall, SMALL_BALL_MM } from '~/core/materials/tube';
import { open } from '~/core/own/open';
import { listed } from '~/core/words/numbers';
import { searchable } from '~/core/words/search';
import { recipeOf, type KitPlan, type KitVariant } from './recipe';
import { verdictOfCopy } from './verdict';

export type HazardId =
  | 'smallParts'
  | 'smallBall'
  | 'magnet'
  | 'wheat'
  | 'latex'
  | 'nuts'
  | 'allergen'
  | 'cord'
  | 'glass'
  | 'sharp';

interface About {
  title: string;
  threshold: string;
  source: string;
  /** The families to whom it must not go without a decision; none where a caution is enough. */
  against?: 'underThree' | 'allergy';
  holds: (material: Material) => boolean;
}
const flagged =
  (flag: MaterialFlag) =>
  ({ flags }: Material): boolean =>
    flags.includes(flag);
const made =
  (allergen: string) =>
  ({ allergens }: Material): boolean =>
    allergens.includes(allergen);

export const HAZARDS: Record<HazardId, About> = {
  smallParts: {
    title: 'Small parts',
    threshold: `They fit, in some way they can be turned, into a cylinder ${CHOKE_TUBE_MM} mm wide and 25.4 to 57.1 mm deep.`,
    source: '16 CFR 1501.4',
    against: 'underThree',
    holds: fitsChokeTube,
  },
  smallBall: {
    title: 'Small balls',
    threshold: `They pass an opening ${SMALL_BALL_MM} mm wide.`,
    source: '16 CFR 1500.18(a)(17)',
    against: 'underThree',
    holds: ({ body }) => isSmallBall(body),
  },
  magnet: {
    title: 'Magnets',
    threshold: 'A magnet that comes loose and is swallowed can tear the bowel; two of them worse.',
    source: '16 CFR 1262',
    against: 'underThree',
    holds: flagged('magnet'),
  },
  wheat: {
    title: 'Wheat',
    threshold: 'Any amount, for a family that names it.',
    source: 'FALCPA, the major food allergens',
    against: 'allergy',
    holds: made('wheat'),
  },
  nuts: {
    title: 'Nuts',
    threshold: 'Any amount in something edible, for a family that names them.',
    source: 'FALCPA, the major food allergens',
    against: 'allergy',
    holds: made('nuts'),
  },
  latex: {
    title: 'Latex',
    threshold: 'Any natural rubber, for a family that names it.',
    source: '21 CFR 801.437',
    against: 'allergy',
    holds: made('latex'),
  },
  allergen: {
    title: 'Other allergens',
    threshold: 'Any amount, for a family that names it.',
    source: 'FALCPA names the major ones; others as this school wrote them',
    against: 'allergy',
    holds: ({ allergens }) => allergens.some((one) => !Object.hasOwn(ALLERGENS, one)),
  },
  cord: {
    title: 'Cords',
    threshold: 'A cord longer than 300 mm can go around a small neck.',
    source: 'ASTM F963, 4.14',
    holds: flagged('cord'),
  },
  glass: {
    title: 'Glass',
    threshold: 'It breaks into sharp edges.',
    source: '16 CFR 1500.49',
    holds: flagged('glass'),
  },
  sharp: {
    title: 'Points and edges',
    threshold: 'A point or an edge that can prick or cut.',
    source: '16 CFR 1500.48 and 1500.49',
    holds: flagged('sharp'),
  },
};

export interface Hazard {
  id: HazardId;
  materials: AnyMaterialId[];
  /** Words for what is in them that are not among those everybody knows. */
  words?: string[];
}

/** What can hurt among these parts. Printed sheets are left out: their corners are rounded when they are cut. */
export function hazardsOf(
  parts: readonly { material: AnyMaterialId }[],
  catalogue: Catalogue = SHIPPED,
): Hazard[] {
  return (Object.keys(HAZARDS) as HazardId[]).flatMap((id) => {
    const found = [...new Set(parts.map(({ material }) => material))].filter((material) => {
      const about = catalogue.of(material);
      return about.kind !== 'printed' && HAZARDS[id].holds(about);
    });
    if (found.length === 0) return [];
    const words = found
      .flatMap((material) => catalogue.of(material).allergens)
      .filter((one) => !Object.hasOwn(ALLERGENS, one));
    return [{ id, materials: found, ...(id === 'allergen' ? { words } : {}) }];
  });
}

/** The flags of a family that change a decision. */
export interface FamilyFlags {
  underThree: boolean;
  /** In the family's own words. */
  allergens: string;
}

/** Other words for an allergen, as they are searched. */
const ALSO: Partial<Record<HazardId, readonly string[]>> = {
  wheat: ['wheat', 'gluten', 'celiac', 'coeliac', 'trigo', 'قمح', 'غلوتين'],
  nuts: [
    'nut',
    'peanut',
    'almond',
    'hazelnut',
    'nuez',
    'nueces',
    'cacahuate',
    'mani',
    'noz',
    'nozes',
    'amendoim',
    'مكسرات',
  ],
  latex: ['latex', 'rubber', 'لاتكس'],
};

/** Whether a text names a word, as itself or at the beginning of a longer one; Arabic words take their article before them. */
const named = (word: string, text: string): boolean =>
  /^[a-z]/.test(word) ? new RegExp(`(^|[^a-z])${word}`).test(text) : text.includes(word);

/** What stands against lending to a family, before a person has decided. */
export const against = (hazards: readonly Hazard[], { underThree, allergens }: FamilyFlags): Hazard[] => {
  const said = searchable(allergens);
  return hazards.filter(({ id, words }) =>
    HAZARDS[id].against === 'underThree'
      ? underThree
      : HAZARDS[id].against === 'allergy' &&
        (words?.map(searchable) ?? ALSO[id] ?? []).some((word) => named(word, said)),
  );
};

/** "Small parts: dice, two-color counters", for each. */
export const hazardWords = (hazards: readonly Hazard[], catalogue: Catalogue = SHIPPED): string =>
  listed(
    hazards.map(
      ({ id, materials: of }) =>
        `${HAZARDS[id].title.toLowerCase()} (${of.map((one) => catalogue.of(one).plural).join(', ')})`,
    ),
  );

export interface SaferKit {
  /** The games that can be played without what can hurt, with their settings. */
  variants: KitVariant[];
  /** What was turned, a sentence for each game that was changed. */
  changed: string[];
  /** Games that cannot be played without it. */
  dropped: string[];
}

/**
 * The nearest version of a kit without some hazards: each game as it is, or at its nearest setting that needs none of
 * these parts; the others are left out. Undefined when no game is left.
 */
export function saferKit(
  plan: KitPlan,
  without: readonly HazardId[],
  catalogue: Catalogue = SHIPPED,
): SaferKit | undefined {
  const bad = (material: Material): boolean =>
    material.kind !== 'printed' && without.some((id) => HAZARDS[id].holds(material));
  const held = Object.fromEntries(
    catalogue.all.filter((material) => !bad(material)).map(({ id }) => [id, PLENTY]),
  );
  const { games } = verdictOfCopy({ plan, held }, catalogue);
  const safer: SaferKit = { variants: [], changed: [], dropped: [] };
  plan.variants.forEach((variant, i) => {
    const judged = games[i]!;
    if (judged.verdict === 'plays') safer.variants.push(variant);
    else if (judged.change) {
      const params = { ...open(variant).params, ...judged.change };
      if (Object.keys(faultsOf(open(variant).game, params)).length) safer.dropped.push(variant.name);
      else {
        safer.variants.push({ ...variant, params });
        safer.changed.push(`${variant.name}: ${judged.note.split('. ').at(-1)!}`);
      }
    } else safer.dropped.push(variant.name);
  });
  if (safer.variants.length === 0) return undefined;
  const left = recipeOf({ ...plan, variants: safer.variants }, catalogue).parts;
  return hazardsOf(left, catalogue).some(({ id }) => without.includes(id)) ? undefined : safer;
}
const PLENTY = 1_000_000;
