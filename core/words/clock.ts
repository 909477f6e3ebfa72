/** Days and hours in the words of a language. To make a format takes as long as to write a hundred dates: each is made once. */
const made = new Map<string, Intl.DateTimeFormat>();

/** The format of these parts in a language; the same one each time. Throws RangeError for a time zone there is not. */
export function clock(language: string, parts: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = `${language} ${JSON.stringify(parts)}`;
  const known = made.get(key);
  if (known) return known;
  const format = new Intl.DateTimeFormat(language, parts);
  made.set(key, format);
  return format;
}
