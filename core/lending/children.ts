/** Children as a school may know them: a nickname or an initial, and a grade band. Nothing more is kept. */
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';

export interface Child {
  name: string;
  band: AgeBand;
}

export const MOST_CHILDREN = 8;
const MOST_NAME = 16;

/** What people write for a grade. */
const WRITTEN: readonly (readonly [RegExp, AgeBand])[] = [
  [/^(pre-?k|preschool|pre-?kindergarten)$/, 'preK'],
  [/^(k|kinder|kindergarten|grade k)$/, 'K'],
  [/^(g|gr\.?|grade)? ?1(st)?( grade)?$/, 'g1'],
  [/^(g|gr\.?|grade)? ?2(nd)?( grade)?$/, 'g2'],
  [/^(g|gr\.?|grade)? ?([3-9](rd|th)?)( grade)?( and up)?\+?$/, 'g3'],
];
/** The grade band that a few words name. */
export const bandIn = (text: string): AgeBand | undefined =>
  WRITTEN.find(([pattern]) => pattern.test(text.trim().toLowerCase().replace(/\s+/g, ' ')))?.[1];

/** Children as they are written down: a line each. */
export const childrenText = (children: readonly Child[]): string =>
  children.map(({ name, band }) => `${name}, ${AGE_BANDS[band]}`).join('\n');

/** Reads a line, or a part between semicolons, for each child; or says what is wrong with the first that is not right. */
export function readChildren(text: string): { ok: true; children: Child[] } | { ok: false; problem: string } {
  const refuse = (problem: string) => ({ ok: false, problem }) as const;
  const children: Child[] = [];
  for (const line of text.split(/[\n;]/).map((one) => one.trim())) {
    if (line === '') continue;
    const at = Math.max(line.lastIndexOf(','), line.lastIndexOf('，'), line.lastIndexOf('،'));
    const [name, grade] = at < 0 ? [line, ''] : [line.slice(0, at).trim(), line.slice(at + 1).trim()];
    const band = bandIn(grade);
    if (!band)
      return refuse(
        `“${line.slice(0, 40)}”: write a nickname or an initial, a comma, and the grade, such as “A., grade 1”.`,
      );
    if (name === '' || name.length > MOST_NAME || /\s/.test(name))
      return refuse(
        `“${name.slice(0, 40)}”: a nickname or an initial is enough, in one word of up to ${MOST_NAME} signs.`,
      );
    children.push({ name, band });
  }
  return children.length > MOST_CHILDREN
    ? refuse(`There is room for ${MOST_CHILDREN} children.`)
    : { ok: true, children };
}

/** Grade bands on the scale of school years: 0 for pre-K, 1 for kindergarten. */
export const LEVEL_OF: Readonly<Record<AgeBand, number>> = { preK: 0, K: 1, g1: 2, g2: 3, g3: 4 };
/** Where a family stands on it: in the middle of its children. Undefined where none is known. */
export const levelOf = (children: readonly Child[]): number | undefined =>
  children.length ? children.reduce((sum, { band }) => sum + LEVEL_OF[band], 0) / children.length : undefined;
