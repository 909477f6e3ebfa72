/** The children of the demo's families, and their classes. */
import { childrenText } from '~/core/lending/children';

/** Six classes, and in each family one child or two. */
export function childrenOf(i: number): { children: string; group: string } {
  const bands = ['K', 'K', 'g1', 'g1', 'g2', 'preK'] as const;
  const room = i % bands.length;
  const names = ['Pip', 'Juno', 'Tavi', 'Noor', 'Lark', 'Wren', 'Ode', 'Cleo'];
  const first = { name: names[i % names.length]!, band: bands[room]! };
  const second = { name: names[(i + 3) % names.length]!, band: bands[(room + 3) % bands.length]! };
  return { children: childrenText(i % 3 === 0 ? [first, second] : [first]), group: `Room ${room + 1}` };
}
