/** What would help most where not everybody hears their language: one more helper, and of which. */
import { evening, type EveningAsked, type Rotation } from './rotation';

export interface Help {
  language: string;
  /** Pairs of a group and a round that would hear their language then. */
  heard: number;
}

/** How often groups of each language hear nobody who speaks it. */
export function unheard({ groups, helpers }: EveningAsked, { plan, hosts }: Rotation): Map<string, number> {
  const missing = new Map<string, number>();
  for (const { table, groups: here } of plan) {
    const host = hosts.find((one) => one.table === table)?.helper;
    const spoken = helpers.find(({ id }) => id === host)?.languages ?? [];
    for (const id of here) {
      const { languages } = groups.find((one) => one.id === id)!;
      const first = languages[0];
      if (first === undefined || languages.some((one) => spoken.includes(one))) continue;
      missing.set(first, (missing.get(first) ?? 0) + 1);
    }
  }
  return missing;
}

/** One more helper of the language that is heard least: how many pairs more. Undefined where it would help nobody. */
export async function oneMoreHelper(
  asked: EveningAsked,
  rotation: Rotation,
  seconds: number,
): Promise<Help | undefined> {
  const [most] = [...unheard(asked, rotation)].sort((a, b) => b[1] - a[1]);
  if (!most) return undefined;
  const [language] = most;
  const names = new Set(asked.helpers.map(({ id }) => id));
  let id = 'one more';
  while (names.has(id)) id += ' more';
  try {
    const { heard } = await evening(
      { ...asked, helpers: [...asked.helpers, { id, languages: [language] }] },
      seconds,
    );
    return heard > rotation.heard ? { language, heard } : undefined;
  } catch {
    // What could be seated once can be seated again; only the time can be over.
    return undefined;
  }
}
