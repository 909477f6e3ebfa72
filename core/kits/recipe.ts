/** What goes into one copy of a kit: the parts of its variants, shared where games can share them. */
import { faultsOf } from '~/core/games/kit/game';
import { cautionsAbout } from '~/core/games/kit/reckoning';
import {
  assume,
  type AgeBand,
  type Notice,
  type Params,
  type PartNeed,
  type Reckoning,
} from '~/core/games/kit/types';
import { open, type GameRef } from '~/core/own/open';
import { fitsChokeTube, type AnyMaterialId, type MaterialId } from '~/core/materials/catalogue';
import { SHIPPED, type Catalogue } from '~/core/materials/school';
import type { Finish } from '~/core/paper/sheet';
import { capital } from '~/core/words/numbers';
import type { Assurance } from './assurance';
import { partsCents } from './cost';

export interface KitVariant extends GameRef {
  name: string;
  params: Params;
}

export interface KitPlan {
  ageBand: AgeBand;
  players: number;
  assurance: Assurance;
  /** A durable record is wiped off and used again. */
  finish?: Finish;
  /** Plays of each game expected in a loan: so many records are needed of a plain finish. One where nothing is said. */
  plays?: number | undefined;
  /** What stands in for a part, by the part it stands in for. */
  swaps?: Swaps | undefined;
  variants: readonly KitVariant[];
}
export type Swaps = Readonly<Partial<Record<MaterialId, AnyMaterialId>>>;

export interface KitPart {
  material: AnyMaterialId;
  quantity: number;
  /** One sentence for each game that needs it. */
  reasons: string[];
}

/** What a game uses of the basket; `instead` of what its steps name, where something stands in for it. */
export interface VariantPart {
  material: AnyMaterialId;
  quantity: number;
  instead?: MaterialId;
}

export interface RecipeVariant {
  variant: KitVariant;
  reckoning: Reckoning;
  /** How many play this game: those of the kit, as far as the game takes them. */
  players: number;
  /** What this game alone uses of the basket. */
  parts: VariantPart[];
}

export interface Recipe {
  variants: RecipeVariant[];
  parts: KitPart[];
  notices: Notice[];
  /** Minutes of one play of everything in the basket. */
  minutes: number;
  /** Parts that are bought, in cents, one copy. */
  costCents: number;
}

/** A variant as a kit plays it: for the kit's number of players, where the game can be played by so many. */
export function forPlayers(variant: KitVariant, players: number): KitVariant {
  const opened = open(variant);
  const knob = opened.game.knobs.find(({ name }) => name === 'players');
  if (knob?.kind !== 'whole') return variant;
  const params = { ...opened.params, players: Math.min(knob.max, Math.max(knob.min, players)) };
  // A setting that does not work for so many players stays as it was saved.
  return Object.keys(faultsOf(opened.game, params)).length ? variant : { ...variant, params };
}

/** How often a copy holds the records of a play: written on they are used up, unless they are laminated. */
export const recordTimes = ({ finish, plays = 1 }: Pick<KitPlan, 'finish' | 'plays'>): number =>
  finish === 'durable' ? 1 : plays;

/** What is in the bag for a part that a game asks for. */
export const inBagFor = (material: MaterialId, { swaps }: Pick<KitPlan, 'swaps'>): AnyMaterialId =>
  swaps?.[material] ?? material;

/**
 * Why a part cannot stand in for others in this kit: a game that needs both would take it for one of them. Undefined
 * where it can.
 */
export function swapFault(plan: KitPlan, catalogue: Catalogue = SHIPPED): string | undefined {
  for (const [material, by] of Object.entries(plan.swaps ?? {}) as [MaterialId, AnyMaterialId][]) {
    if (!catalogue.standIns.some((one) => one.for === material && one.by === by))
      return `${capital(catalogue.of(by).plural)} do not stand in for ${catalogue.of(material).plural} at this school.`;
    for (const variant of plan.variants) {
      const needs = open(variant)
        .needs(plan.ageBand)
        .parts.map((need) => need.material);
      const also = needs.find((one) => one !== material && inBagFor(one, plan) === by);
      if (needs.includes(material) && also)
        return `${variant.name} needs ${catalogue.of(also).plural} besides ${catalogue.of(material).plural}: ${catalogue.of(by).plural} cannot be both.`;
    }
  }
  return undefined;
}

/**
 * Reckons a kit. Games are played one after the other: they share what lasts (the largest need counts) and add
 * up what is used up or written on.
 */
export function recipeOf(plan: KitPlan, catalogue: Catalogue = SHIPPED): Recipe {
  const times = recordTimes(plan);
  const quantity = (need: PartNeed): number =>
    (plan.assurance === 'worst' ? need.worst : need.enough) * (need.material === 'record-sheet' ? times : 1);
  const variants = plan.variants.map((one): RecipeVariant => {
    const variant = forPlayers(one, plan.players);
    const opened = open(variant);
    const reckoning = opened.reckon(assume(plan.ageBand));
    const { fewest, most } = reckoning.players;
    return {
      variant,
      reckoning,
      players: Number(opened.params.players ?? Math.min(most, Math.max(fewest, plan.players))),
      parts: reckoning.parts.map((need) => {
        const material = inBagFor(need.material, plan);
        const instead = material === need.material ? {} : { instead: need.material };
        return { material, quantity: quantity(need), ...instead };
      }),
    };
  });
  // What stands in and is not in this school's catalogue came with a copy of another school.
  const strange = Object.values(plan.swaps ?? {}).filter((id) => !catalogue.all.some((one) => one.id === id));
  const parts: KitPart[] = [...catalogue.all, ...strange.map(catalogue.of)].flatMap((material): KitPart[] => {
    if (material.kind === 'home') return [];
    const needs = variants.flatMap(({ variant, reckoning }) =>
      reckoning.parts
        .filter((need) => inBagFor(need.material, plan) === material.id)
        .map((need) => ({ variant, need })),
    );
    if (needs.length === 0) return [];
    const shared = material.kind === 'durable';
    const total = shared
      ? Math.max(...needs.map(({ need }) => quantity(need)))
      : needs.reduce((sum, { need }) => sum + quantity(need), 0);
    return [
      {
        material: material.id,
        quantity: total,
        reasons: [
          ...reasonsOf(needs, shared),
          ...insteadOf(needs, material.id, catalogue),
          ...(material.id === 'record-sheet' && times > 1
            ? [
                `So many for each of ${times} plays, as many as are expected in a loan; laminated they are wiped off and used again.`,
              ]
            : []),
        ],
      },
    ];
  });
  if (variants.length) {
    parts.push({
      material: 'instruction-sheet',
      quantity: variants.length,
      reasons: ['One for each game, in two languages.'],
    });
    parts.push({ material: 'bag', quantity: 1, reasons: ['To carry it home.'] });
  }
  const whole = cautionsAbout(parts.map(({ material }) => catalogue.of(material)));
  const said = new Set(whole.map((notice) => notice.code));
  const byHand = parts.filter(({ material }) =>
    variants.some(
      ({ variant, parts: own }) =>
        open(variant).game.byHand.some((one) => one === material) &&
        own.some((part) => part.material === material),
    ),
  );
  const notices: Notice[] = [
    ...(byHand.length ? [madeByHand(byHand, catalogue)] : []),
    ...whole,
    ...variants.flatMap(({ variant, reckoning }) =>
      reckoning.notices
        .filter((notice) => !said.has(notice.code))
        .map(({ mend: _, ...notice }) => ({
          ...notice,
          text: variants.length > 1 ? `${variant.name}: ${notice.text}` : notice.text,
        })),
    ),
  ];
  return {
    variants,
    parts,
    notices,
    minutes: variants.reduce((total, { reckoning }) => total + reckoning.length.minutes.mean, 0),
    costCents: partsCents(parts, [], catalogue),
  };
}

/** Paper parts that only their maker can draw. */
const madeByHand = (parts: readonly KitPart[], catalogue: Catalogue): Notice => ({
  code: 'by-hand',
  severity: 'mind',
  text: `The pack cannot draw these paper parts of games of your own. Make them by hand: ${parts
    .map(
      ({ material, quantity }) =>
        `${quantity} ${quantity === 1 ? catalogue.of(material).name : catalogue.of(material).plural}`,
    )
    .join(', ')}.`,
});

/** What a part stands in for, and what changes then. */
const insteadOf = (needs: readonly { need: PartNeed }[], by: AnyMaterialId, catalogue: Catalogue): string[] =>
  [...new Set(needs.map(({ need }) => need.material))]
    .filter((material) => material !== by)
    .map((material) => {
      const changes = catalogue.standIns.find((one) => one.for === material && one.by === by)?.changes ?? '';
      return `They stand in for ${catalogue.of(material).plural}.${changes ? ` ${changes}` : ''}`;
    });

/** One sentence for each game, or a single one where all games say the same. */
function reasonsOf(needs: readonly { variant: KitVariant; need: PartNeed }[], shared: boolean): string[] {
  if (new Set(needs.map(({ need }) => need.reason)).size === 1) return [needs[0]!.need.reason];
  const each = needs.map(({ variant, need }) => `${variant.name}: ${need.reason}`);
  return shared ? [...each, 'Played one after the other, they share the larger number.'] : each;
}

/** Whether a part can choke a child under three, for families with the flag. */
export const hasSmallParts = (
  parts: readonly { material: AnyMaterialId }[],
  catalogue: Catalogue = SHIPPED,
): boolean => parts.some((part) => fitsChokeTube(catalogue.of(part.material)));
