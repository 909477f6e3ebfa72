/** A text as it is searched: without accents and case. */
export const searchable = (text: string): string =>
  text.normalize('NFD').replace(/\p{M}/gu, '').toLocaleLowerCase('en').trim();
