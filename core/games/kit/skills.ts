import type { Operation } from '~/core/cards/facts';
import type { Practised } from './types';

/** Every skill there is, in the order in which children meet them. Lists and filters follow it. */
export const SKILLS = [
  'listening and self-control',
  'counting to 5',
  'counting to 10',
  'counting to 20',
  'numeral to quantity',
  'seeing without counting',
  'capital and small letters',
  'comparing',
  'splitting 5',
  'splitting 10',
  'splitting other wholes',
  'missing part',
  'adding within 5',
  'adding within 10',
  'adding within 20',
  'adding beyond 20',
  'taking away within 5',
  'taking away within 10',
  'taking away within 20',
  'taking away beyond 20',
  'tens and ones',
  'equal groups',
  'multiplying',
  'dividing',
  'below zero',
] as const;
export type Skill = (typeof SKILLS)[number];

/** A skill is practised when it makes up at least this share of the meetings. */
const NOTABLE = 0.1;

/**
 * Which skills a play practises, read from the facts it meets and not from a label: adding is "within 10" when at
 * least three in four of the sums met are at most 10.
 */
export function skillsOf(practice: readonly Practised[]): Skill[] {
  const all = total(practice);
  const found = new Set<Skill>();
  const of = (...ops: Operation[]) => practice.filter(({ fact }) => ops.includes(fact.op));
  const notable = (list: readonly Practised[]) => list.length > 0 && total(list) >= NOTABLE * all;

  if (notable(of('listen'))) found.add('listening and self-control');
  const counted = of('count');
  if (notable(counted)) found.add(`counting to ${bound(counted, [5, 10, 20]) ?? 20}`);
  if (notable(of('quantity'))) found.add('numeral to quantity');
  if (notable(of('glance'))) found.add('seeing without counting');
  if (notable(of('letter'))) found.add('capital and small letters');
  if (notable(of('compare'))) found.add('comparing');
  const splits = of('split');
  if (notable(splits)) {
    for (const whole of [5, 10] as const)
      if (notable(splits.filter(({ fact }) => fact.answer === whole))) found.add(`splitting ${whole}`);
    if (notable(splits.filter(({ fact }) => fact.answer !== 5 && fact.answer !== 10)))
      found.add('splitting other wholes');
  }
  if (notable(of('missing'))) found.add('missing part');
  const sums = of('add');
  if (notable(sums)) {
    const limit = bound(sums, [5, 10, 20]);
    found.add(limit ? `adding within ${limit}` : 'adding beyond 20');
  }
  const differences = of('subtract');
  if (notable(differences)) {
    // Taking away stays within its first number.
    const limit = bound(differences, [5, 10, 20], ({ fact }) => fact.a);
    found.add(limit ? `taking away within ${limit}` : 'taking away beyond 20');
  }
  if (notable(of('tens'))) found.add('tens and ones');
  if (notable(of('groups'))) found.add('equal groups');
  if (notable(of('multiply'))) found.add('multiplying');
  if (notable(of('divide'))) found.add('dividing');
  if (notable(practice.filter(({ fact }) => fact.a < 0 || fact.b < 0 || fact.answer < 0)))
    found.add('below zero');
  return SKILLS.filter((skill) => found.has(skill));
}

const total = (list: readonly Practised[]): number => list.reduce((sum, one) => sum + one.meetings, 0);

/** The smallest of a few bounds that holds at least three in four of the meetings. */
function bound<const B extends number>(
  practice: readonly Practised[],
  bounds: readonly B[],
  of: (one: Practised) => number = ({ fact }) => fact.answer,
): B | undefined {
  const all = total(practice);
  return bounds.find((limit) => total(practice.filter((one) => of(one) <= limit)) >= 0.75 * all - 1e-9);
}
