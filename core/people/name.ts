/**
 * The name of a person as names are compared: wide and ligature letters as plain ones, any case, blanks taken
 * together. Two people who may sign in have different keys.
 */
export const nameKey = (name: string): string =>
  name.normalize('NFKC').toLowerCase().normalize('NFKC').replace(/\s+/g, ' ').trim();
