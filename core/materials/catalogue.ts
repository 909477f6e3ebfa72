/** The catalogue of materials: what a part is, how large it is, and the usual caution about it. */

import { fitsTube, SMALL_BALL_MM, type Body } from './tube';

/** Something to say wherever the material is chosen, with its threshold and source. */
export interface MaterialCaution {
  code: string;
  text: string;
}

/** What can hurt about a thing beside its size and what it is made of. */
export type MaterialFlag = 'cord' | 'magnet' | 'glass' | 'sharp';

/** A material of the shipped catalogue. */
export type MaterialId = (typeof ROWS)[number][0];
/** A material that a school added to its own catalogue. */
export type OwnMaterialId = `own-${string}`;
export type AnyMaterialId = MaterialId | OwnMaterialId;

/** `home`: found at home, never packed. */
type Kind = 'durable' | 'consumable' | 'printed' | 'home';

/** What decides over cautions. */
interface Traits {
  allergens: readonly string[];
  washable: boolean;
  /** What else can hurt. */
  flags: readonly MaterialFlag[];
  cautions: readonly MaterialCaution[];
}

export interface Material<Id extends AnyMaterialId = AnyMaterialId> extends Traits {
  id: Id;
  kind: Kind;
  name: string;
  plural: string;
  /** Smallest and largest dimension of one, in mm. */
  smallestMm: number;
  largestMm: number;
  /** Its form with all three dimensions: what decides whether it fits the small-parts cylinder. */
  body: Body;
  /** Mass of one, in grams. */
  massG: number;
  /** Pack as it is bought. */
  pack: { size: number; priceCents: number };
}

const RULES_DECIDE = "Your district's rules and licensed staff decide.";
const WHEAT: MaterialCaution = {
  code: 'allergen-wheat',
  text: `Modelling dough is often made with wheat flour: ask about wheat allergy and coeliac disease before it is lent, or choose a dough without wheat. ${RULES_DECIDE}`,
};
/** About a ball of this width. */
export const ballCaution = (widthMm: number): MaterialCaution => ({
  code: 'ball',
  text: `Balls must be wider than ${SMALL_BALL_MM} mm where a child under three may be (16 CFR 1500.18): this one is${widthMm > SMALL_BALL_MM ? '' : ' not'}, at ${widthMm} mm. Roll, do not throw, indoors. ${RULES_DECIDE}`,
});
const CHALK: MaterialCaution = {
  code: 'chalk-traffic',
  text: `Chalk away from driveways, parked cars and streets, with a grown-up there; ask before chalking where others walk. ${RULES_DECIDE}`,
};
const FLOOR: MaterialCaution = {
  code: 'slippery-floor',
  text: `Felt and paper slide on smooth floors: tape each piece down on all sides, and play in bare feet or shoes, not in socks. ${RULES_DECIDE}`,
};
const LAMINATE: MaterialCaution = {
  code: 'hot-laminator',
  text: `Laminating and cutting are for grown-ups: the rollers are hot, and cut corners of pouches are sharp until they are rounded. ${RULES_DECIDE}`,
};

type Row<Id extends string = string> = readonly [
  id: Id,
  kind: Kind,
  name: string,
  plural: string,
  smallestMm: number,
  largestMm: number,
  massG: number,
  packSize: number,
  priceCents: number,
  more?: Partial<Traits> & {
    form?: Body['form'];
    /** The dimension between the smallest and the largest; as the form has it where nothing is said. */
    middleMm?: number;
  },
];
const printed = <const Id extends string>(
  id: Id,
  name: string,
  priceCents = 4,
  cautions: MaterialCaution[] = [],
): Row<Id> => [id, 'printed', name, `${name}s`, 0.1, 297, 5, 1, priceCents, { washable: false, cautions }];

const ROWS = [
  [
    'two-colour-counter',
    'durable',
    'two-color counter',
    'two-color counters',
    2,
    25,
    1.2,
    200,
    1450,
    { form: 'disc' },
  ],
  ['chip', 'durable', 'chip', 'chips', 2, 22, 1, 300, 1200, { form: 'disc' }],
  ['piece', 'durable', 'felt piece', 'felt pieces', 3, 20, 0.4, 300, 900, { form: 'disc', washable: false }],
  ['cube', 'durable', 'connecting cube', 'connecting cubes', 19, 24, 4, 100, 1600, { middleMm: 19 }],
  ['ten-rod', 'durable', 'ten-rod', 'ten-rods', 10, 100, 8, 50, 1500, { middleMm: 10 }],
  ['block', 'durable', 'stacking block', 'stacking blocks', 25, 35, 12, 60, 2400, { middleMm: 25 }],
  ['die', 'durable', 'die', 'dice', 16, 16, 5, 24, 700, { middleMm: 16 }],
  [
    'card-deck',
    'durable',
    'deck of cards',
    'decks of cards',
    16,
    89,
    95,
    12,
    1800,
    { middleMm: 64, washable: false },
  ],
  ['tile', 'durable', 'double-six domino', 'double-six dominoes', 8, 48, 9, 28, 950, { middleMm: 24 }],
  ['cup', 'durable', 'shaking cup', 'shaking cups', 70, 95, 18, 12, 900, { form: 'rod' }],
  ['small-cup', 'durable', 'small cup', 'small cups', 40, 60, 6, 50, 650, { form: 'rod' }],
  ['peg', 'durable', 'clothespin', 'clothespins', 10, 72, 5, 48, 500, { middleMm: 12 }],
  ['pin', 'durable', 'pin', 'pins', 60, 200, 70, 10, 2600, { form: 'rod' }],
  [
    'ball',
    'durable',
    'soft ball',
    'soft balls',
    90,
    90,
    60,
    6,
    1500,
    { form: 'ball', cautions: [ballCaution(90)] },
  ],
  [
    'bean-bag',
    'durable',
    'bean bag',
    'bean bags',
    30,
    120,
    110,
    12,
    2200,
    { middleMm: 120, washable: false },
  ],
  ['hop-stone', 'durable', 'flat stone', 'flat stones', 12, 60, 60, 20, 800, { form: 'disc' }],
  ['token', 'durable', 'token', 'tokens', 12, 25, 3, 100, 900, { form: 'disc' }],
  ['animal', 'durable', 'pond animal', 'pond animals', 15, 40, 6, 72, 2300, { form: 'rod' }],
  [
    'paper-clip',
    'durable',
    'paper clip',
    'paper clips',
    1,
    33,
    1,
    100,
    150,
    { middleMm: 8, flags: ['sharp'] },
  ],
  ['cover', 'durable', 'cloth to cover', 'cloths to cover', 1, 300, 25, 10, 1200, { middleMm: 300 }],
  ['wipe-marker', 'durable', 'wipe-off marker', 'wipe-off markers', 12, 120, 10, 24, 2000, { form: 'rod' }],
  [
    'floor-stone',
    'durable',
    'felt stone',
    'felt stones',
    3,
    300,
    40,
    10,
    1800,
    { middleMm: 300, washable: false, cautions: [FLOOR] },
  ],
  [
    'pencil',
    'durable',
    'pencil',
    'pencils',
    7,
    120,
    5,
    72,
    1080,
    { form: 'rod', washable: false, flags: ['sharp'] },
  ],
  [
    'dough',
    'consumable',
    'gram of modelling dough',
    'grams of modelling dough',
    60,
    70,
    1,
    1000,
    900,
    { allergens: ['wheat'], washable: false, cautions: [WHEAT] },
  ],
  [
    'chalk',
    'consumable',
    'stick of chalk',
    'sticks of chalk',
    25,
    100,
    40,
    20,
    800,
    { form: 'rod', washable: false, cautions: [CHALK] },
  ],
  printed('record-sheet', 'record sheet'),
  printed('peg-card', 'peg card', 5),
  printed('sum-card', 'sum card', 1),
  printed('nest', 'nest', 5),
  printed('cut-shape', 'cut shape', 6, [LAMINATE]),
  printed('shape-board', 'shape board', 12, [LAMINATE]),
  printed('triangle-card', 'triangle card', 2),
  printed('colour-card', 'color-and-number card', 2),
  printed('board', 'board', 6),
  printed('slip', 'calling slip', 1),
  printed('mat', 'mat', 6),
  printed('spinner', 'spinner', 5),
  printed('number-card', 'number card', 1),
  printed('frame-card', 'frame card', 2),
  printed('dot-card', 'dot card', 2),
  printed('score-strip', 'score strip', 2),
  printed('picture-card', 'picture card', 2),
  printed('sentence-card', 'sentence card', 1),
  printed('puzzle-piece', 'puzzle piece', 2),
  printed('path', 'table path', 8),
  printed('sign-card', 'comparison sign', 1),
  printed('number-line', 'number line', 2),
  printed('measuring-strip', 'measuring strip', 2),
  printed('operation-card', 'operation card', 1),
  printed('plan', 'plan', 4),
  ['shield', 'home', 'shield', 'shields', 1, 250, 20, 1, 0, { middleMm: 200, washable: false }],
  [
    'bag',
    'durable',
    'drawstring bag',
    'drawstring bags',
    5,
    400,
    60,
    10,
    2200,
    { middleMm: 350, flags: ['cord'] },
  ],
  printed('instruction-sheet', 'instruction sheet', 6),
] as const satisfies readonly Row[];

/** A disc is as wide as long, a rod as thick as high, a ball the same all round; a box is taken to be as thick as high. */
export const bodyOf = (smallest: number, largest: number, form: Body['form'], middle?: number): Body => ({
  form,
  sizesMm: [smallest, middle ?? (form === 'disc' ? largest : smallest), largest],
});

const CATALOGUE: readonly Material<MaterialId>[] = (ROWS as readonly Row<MaterialId>[]).map(
  ([id, kind, name, plural, smallestMm, largestMm, massG, size, priceCents, more]) => ({
    id,
    kind,
    name,
    plural,
    smallestMm,
    largestMm,
    massG,
    pack: { size, priceCents },
    allergens: more?.allergens ?? [],
    washable: more?.washable ?? true,
    flags: more?.flags ?? [],
    cautions: more?.cautions ?? [],
    body: bodyOf(smallestMm, largestMm, more?.form ?? 'box', more?.middleMm),
  }),
);
const BY_ID = new Map<string, Material<MaterialId>>(CATALOGUE.map((material) => [material.id, material]));

/** All materials, in the order in which a bag is filled. */
export const materials = (): readonly Material<MaterialId>[] => CATALOGUE;

/** Whether a store keeps it: it is neither printed nor found at home. */
export const isStored = ({ kind }: Material): boolean => kind === 'durable' || kind === 'consumable';

/** The material of the shipped catalogue with this id. Throws RangeError when there is none. */
export function materialOf(id: string): Material<MaterialId> {
  const found = BY_ID.get(id);
  if (!found) throw new RangeError(`id: there is no material "${id}"`);
  return found;
}

/** Whether one piece fits the small-parts tube. Printed sheets are left out: paper is judged by hand. */
export const fitsChokeTube = (material: Material): boolean =>
  material.kind !== 'printed' && fitsTube(material.body);
