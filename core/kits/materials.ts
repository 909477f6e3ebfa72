/** The catalogue of materials: what a part is, how large it is, and the usual caution about it. */
import type { Wording } from '~/core/words/message';

export interface Material {
  id: string;
  kind: 'durable' | 'consumable' | 'printed';
  name: string;
  plural: string;
  /** Smallest and largest dimension of one, in mm. */
  smallestMm: number;
  largestMm: number;
  /** Mass of one, in grams. */
  massG: number;
  /** Pack as it is bought. */
  pack: { size: number; priceCents: number };
  allergens: readonly string[];
  washable: boolean;
}

/**
 * Inner width of the cylinder for small parts. What fits in it whole can choke a child under three.
 * Source: 16 CFR 1501.4 (31.7 mm wide, 25.4 to 57.1 mm deep).
 */
export const CHOKE_TUBE_MM = 31.7;
const CHOKE_TUBE_DEPTH_MM = 57.1;

const CATALOGUE: readonly Material[] = [
  {
    id: 'two-colour-counter',
    kind: 'durable',
    name: 'two-colour counter',
    plural: 'two-colour counters',
    smallestMm: 2,
    largestMm: 25,
    massG: 1.2,
    pack: { size: 200, priceCents: 1450 },
    allergens: [],
    washable: true,
  },
  {
    id: 'cup',
    kind: 'durable',
    name: 'shaking cup',
    plural: 'shaking cups',
    smallestMm: 70,
    largestMm: 95,
    massG: 18,
    pack: { size: 12, priceCents: 900 },
    allergens: [],
    washable: true,
  },
  {
    id: 'record-sheet',
    kind: 'printed',
    name: 'record sheet',
    plural: 'record sheets',
    smallestMm: 0.1,
    largestMm: 297,
    massG: 5,
    pack: { size: 1, priceCents: 4 },
    allergens: [],
    washable: false,
  },
  {
    id: 'pencil',
    kind: 'durable',
    name: 'pencil',
    plural: 'pencils',
    smallestMm: 7,
    largestMm: 120,
    massG: 5,
    pack: { size: 72, priceCents: 1080 },
    allergens: [],
    washable: false,
  },
  {
    id: 'bag',
    kind: 'durable',
    name: 'drawstring bag',
    plural: 'drawstring bags',
    smallestMm: 5,
    largestMm: 400,
    massG: 60,
    pack: { size: 10, priceCents: 2200 },
    allergens: [],
    washable: true,
  },
  {
    id: 'instruction-sheet',
    kind: 'printed',
    name: 'instruction sheet',
    plural: 'instruction sheets',
    smallestMm: 0.1,
    largestMm: 297,
    massG: 5,
    pack: { size: 1, priceCents: 6 },
    allergens: [],
    washable: false,
  },
];

/** All materials, in the order in which a bag is filled. */
export const materials = (): readonly Material[] => CATALOGUE;

/** The material with this id. Throws RangeError when there is none. */
export function materialOf(id: string): Material {
  const found = CATALOGUE.find((material) => material.id === id);
  if (!found) throw new RangeError(`id: there is no material "${id}"`);
  return found;
}

/** Whether one piece fits the small-parts tube. Printed sheets are left out: paper is judged by hand. */
export const fitsChokeTube = (material: Material): boolean =>
  material.kind !== 'printed' &&
  material.smallestMm <= CHOKE_TUBE_MM &&
  material.largestMm <= CHOKE_TUBE_DEPTH_MM;

/** Names of the materials for families, counted, and what can stand in for them at home. */
export const MATERIAL_WORDS: Wording = {
  en: {
    'two-colour-counter': '{quantity, plural, one {# two-colour counter} other {# two-colour counters}}',
    'two-colour-counter.standIn':
      'paper squares coloured on one side, bottle caps, or large buttons marked on one side',
    cup: '{quantity, plural, one {# shaking cup} other {# shaking cups}}',
    'cup.standIn': 'any cup or small bowl that does not break',
    'record-sheet': '{quantity, plural, one {# record sheet} other {# record sheets}}',
    'record-sheet.standIn': 'a blank sheet of paper folded in two columns',
    pencil: '{quantity, plural, one {# pencil} other {# pencils}}',
    'pencil.standIn': 'a crayon or a pen',
    bag: '{quantity, plural, one {# drawstring bag} other {# drawstring bags}}',
    'instruction-sheet': '{quantity, plural, one {# instruction sheet} other {# instruction sheets}}',
  },
  es: {
    'two-colour-counter': '{quantity, plural, one {# ficha de dos colores} other {# fichas de dos colores}}',
    'two-colour-counter.standIn':
      'cuadritos de papel coloreados por un lado, tapas de botella o botones grandes marcados por un lado',
    cup: '{quantity, plural, one {# vaso para agitar} other {# vasos para agitar}}',
    'cup.standIn': 'cualquier vaso o tazón pequeño que no se rompa',
    'record-sheet': '{quantity, plural, one {# hoja de registro} other {# hojas de registro}}',
    'record-sheet.standIn': 'una hoja en blanco doblada en dos columnas',
    pencil: '{quantity, plural, one {# lápiz} other {# lápices}}',
    'pencil.standIn': 'un crayón o un bolígrafo',
    bag: '{quantity, plural, one {# bolsa con cordón} other {# bolsas con cordón}}',
    'instruction-sheet': '{quantity, plural, one {# hoja de instrucciones} other {# hojas de instrucciones}}',
  },
};
