/** Which kits there are bags of, with what stands between each of them and a family: safety, and wording that was checked. */
import { open } from '~/core/own/open';
import { LEVEL_OF } from '~/core/lending/children';
import { against, hazardsOf, type FamilyFlags, type Hazard } from '~/core/kits/safety';
import { sheetLines } from '~/core/pack/instructions';
import type { Language } from '~/core/words/languages';
import type { SchoolHandle } from '~/data/db';
import { plansOf } from '~/data/queries/copies';
import { builtKits } from '~/data/queries/kits';
import { catalogueNow } from '~/data/queries/materials';
import { checkedLanguages } from '~/data/queries/words';

/** A kit as a hand-out or a wish sees it. */
export interface KitWall {
  id: string;
  name: string;
  /** On the scale of school years. */
  level: number;
  hazards: Hazard[];
  /** In which every line of its sheets is checked; English among them. */
  languages: Language[];
}

/** Every kit of which there are bags, by name. What any of its bags holds counts for all of them. */
export async function kitWalls(at: SchoolHandle): Promise<KitWall[]> {
  const rows = await builtKits(at);
  const [plans, catalogue] = await Promise.all([
    plansOf(
      at,
      rows.map(({ runId }) => runId),
    ),
    catalogueNow(at),
  ]);
  const kits = [...new Set(rows.map(({ id }) => id))].map((id) => {
    const runs = rows.filter((row) => row.id === id);
    const held = runs.flatMap(({ runId }) => plans.get(runId)!);
    const variants = held.flatMap(({ plan }) => plan.variants.map((ref) => open(ref)));
    return {
      id,
      name: runs[0]!.name,
      level: LEVEL_OF[runs[0]!.band],
      hazards: hazardsOf(
        held.flatMap(({ parts }) => parts),
        catalogue,
      ),
      variants,
    };
  });
  const checked = await checkedLanguages(
    at,
    kits.flatMap(({ variants }) =>
      variants.map((variant) => ({ ...variant.game, lines: sheetLines(variant) })),
    ),
  );
  return kits.map(({ variants, ...one }) => {
    const each = variants.map(({ game }) => checked[game.id] ?? []);
    const all = each.reduce(
      (both, list) => both.filter((language) => list.includes(language)),
      each[0] ?? [],
    );
    return { ...one, languages: [...new Set<Language>(['en', ...all])] };
  });
}

/** Whether a kit may go to a family without a person deciding it. */
export const isSafeFor = ({ hazards }: Pick<KitWall, 'hazards'>, family: FamilyFlags): boolean =>
  against(hazards, family).length === 0;
