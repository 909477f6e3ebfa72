/** The school: the place that lends. */
import { Type } from '@sinclair/typebox';
import { Line, LongText, OneOf } from '~/core/check/schema';
import { PAPERS, type Paper } from '~/core/paper/sheet';
import { newPassword } from '~/core/people/forms';
import { isLanguage, type Language } from '~/core/words/languages';

const PAPER_LABELS: Record<Paper, string> = { letter: PAPERS.letter.name, a4: PAPERS.a4.name };

/** Every place whose clock is known, as the IANA names them. */
export const timeZones = (): string[] => [...new Set(['UTC', ...Intl.supportedValuesOf('timeZone')])];

/** Whether there is such a time zone: "America/Halifax". */
export function isTimeZone(name: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return /^(UTC$|[A-Z][\w+-]*\/)/.test(name);
  } catch {
    return false;
  }
}

export const NO_TIME_ZONE = 'Choose a place from the list, such as America/Halifax.';

export interface SchoolFields {
  name: string;
  paper: Paper;
  languages: Language[];
  /** How families reach the school, in its own words: it stands on labels and on the family page. */
  contact: string;
  /** There it is decided what day it is. */
  timeZone: string;
}

const about = {
  schoolName: Line(120, { title: 'Name of the school' }),
  paper: OneOf<Paper>(PAPER_LABELS, { title: 'Paper' }),
  contact: LongText(120, { title: 'How families reach you', lines: false }),
  timeZone: Line(60, { title: 'Time zone' }),
};
export const schoolSchema = Type.Object(about);
export const districtSchema = Type.Object({ districtName: Line(120, { title: 'Name of the district' }) });

/** The languages of families that a form names; English is the source of all wording. */
export const languagesIn = (named: readonly unknown[]): Language[] => [
  ...new Set(['en', ...named.filter(isLanguage)]),
];

/** The language beside English that stands first where nothing else is asked for; English where there is no other. */
export const homeOf = (languages: readonly Language[]): Language =>
  languages.find((one) => one !== 'en') ?? 'en';

export const setUpSchema = Type.Object({
  ...about,
  personName: Line(80, { title: 'Your name' }),
  password: newPassword,
});
