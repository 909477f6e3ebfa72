/** How sure a kit is to have enough of each part. */
export const ASSURANCES = {
  usual: 'Usual: enough in 95 of 100 plays',
  worst: 'The most the rules can ever need',
} as const;
export type Assurance = keyof typeof ASSURANCES;
