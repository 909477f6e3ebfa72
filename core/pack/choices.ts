/** What can be chosen about a pack. */

export const PACK_ITEMS = {
  instructions: 'Instruction sheets',
  large: 'Instructions in large print',
  parts: 'Cards, boards and mats',
  records: 'Record sheets',
  standIns: 'Paper counters, dice, tens and ones, tiles, number cards',
  slip: 'Feedback slips',
  labels: 'Bag, contents and tag labels',
  calibration: 'Calibration page, once for each printer',
} as const;
export type PackItem = keyof typeof PACK_ITEMS;
/** What a bag needs; the rest is printed when it is asked for. */
export const USUAL_ITEMS: readonly PackItem[] = ['instructions', 'parts', 'records', 'slip', 'labels'];

export const PACK_SCOPES = {
  each: 'For every copy',
  once: 'Once, shared by all copies',
  lost: 'Spares of one lost piece',
} as const;
export type PackScope = keyof typeof PACK_SCOPES;
