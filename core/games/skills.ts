import type { Practised } from './types';

/** The smallest of a few bounds that holds at least three in four of the meetings. */
function bound(practice: Practised[], bounds: number[]): number | undefined {
  const all = practice.reduce((total, one) => total + one.meetings, 0);
  return bounds.find(
    (limit) =>
      practice.filter((one) => one.fact.answer <= limit).reduce((total, one) => total + one.meetings, 0) >=
      0.75 * all,
  );
}

/** Which skills a play practises, read from the facts it meets and not from a label. */
export function skillsOf(practice: Practised[]): string[] {
  const skills: string[] = [];
  const of = (op: string) => practice.filter((one) => one.fact.op === op);
  const wholes = new Set(of('split').map((one) => one.fact.answer));
  for (const whole of wholes)
    skills.push(whole === 5 || whole === 10 ? `splitting ${whole}` : `splitting other wholes (${whole})`);
  const adding = of('add').length ? bound(of('add'), [5, 10, 20]) : undefined;
  if (adding) skills.push(`adding within ${adding}`);
  const taking = of('subtract').length ? bound(of('subtract'), [5, 10, 20]) : undefined;
  if (taking) skills.push(`taking away within ${taking}`);
  return skills;
}
