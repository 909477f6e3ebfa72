/** What brings a copy that was built by an earlier version of its kit up to date. */
import { same } from '~/core/check/merge';
import { isPrinted, SHIPPED, type Catalogue } from '~/core/materials/school';
import { count, listed } from '~/core/words/numbers';
import type { KitPart, KitPlan, KitVariant } from './recipe';

export interface KitVersion {
  plan: KitPlan;
  parts: readonly Pick<KitPart, 'material' | 'quantity'>[];
}

export interface VersionChange {
  /** Pieces more, or less, of each material; not those that stay as they are. */
  parts: { material: string; more: number }[];
  added: string[];
  gone: string[];
  /** Games of the same name with other settings. */
  changed: string[];
  /** Its instructions or printed parts are others, so its pack is printed anew. */
  paper: boolean;
}

const sameGame = (a: KitVariant, b: KitVariant): boolean =>
  a.gameId === b.gameId && same([a.params, a.own ?? null], [b.params, b.own ?? null]);

/** The change from one version of a kit to another; undefined where a copy of the first is one of the second. */
export function changeBetween(before: KitVersion, now: KitVersion): VersionChange | undefined {
  const materials = [...new Set([...before.parts, ...now.parts].map(({ material }) => material))];
  const of = ({ parts }: KitVersion, material: string): number =>
    parts.find((part) => part.material === material)?.quantity ?? 0;
  const parts = materials
    .map((material) => ({ material, more: of(now, material) - of(before, material) }))
    .filter(({ more }) => more !== 0);
  const fresh = now.plan.variants.filter((one) => !before.plan.variants.some((old) => sameGame(old, one)));
  const old = before.plan.variants.filter((one) => !now.plan.variants.some((other) => sameGame(other, one)));
  const changed = fresh.filter((one) => old.some(({ name }) => name === one.name)).map(({ name }) => name);
  const change: VersionChange = {
    parts,
    added: fresh.map(({ name }) => name).filter((name) => !changed.includes(name)),
    gone: old.map(({ name }) => name).filter((name) => !changed.includes(name)),
    changed,
    paper:
      fresh.length + old.length > 0 ||
      before.plan.players !== now.plan.players ||
      !same(before.plan.swaps ?? {}, now.plan.swaps ?? {}) ||
      parts.some(({ material }) => isPrinted(material)),
  };
  return parts.length || change.paper ? change : undefined;
}

/** What is done to each copy, a sentence each. */
export function changeSays(
  { parts, added, gone, changed, paper }: VersionChange,
  catalogue: Catalogue = SHIPPED,
): string[] {
  const pieces = (of: typeof parts): string =>
    listed(
      of.map(({ material, more }) => {
        const { name, plural } = catalogue.of(material);
        return count(Math.abs(more), name, plural);
      }),
    );
  const stored = parts.filter(({ material }) => !isPrinted(material));
  const more = stored.filter((one) => one.more > 0);
  const less = stored.filter((one) => one.more < 0);
  return [
    ...(added.length ? [`New in it: ${listed(added)}.`] : []),
    ...(changed.length ? [`With other settings: ${listed(changed)}.`] : []),
    ...(gone.length ? [`Not in it any more: ${listed(gone)}.`] : []),
    ...(more.length ? [`Put in ${pieces(more)}.`] : []),
    ...(less.length ? [`Take out ${pieces(less)}.`] : []),
    ...(paper ? ['Print its pack anew.'] : []),
  ];
}
