/** What is chosen for a hand-out, and what it changes against handing out in the order of the list. */
import { Type, type Static } from '@sinclair/typebox';
import { AGE_BANDS, type AgeBand } from '~/core/games/kit/types';
import { OneOf } from '~/core/check/schema';
import { listed } from '~/core/words/numbers';
import {
  fairnessOf,
  scoreOf,
  USUAL_WEIGHTS,
  wallBetween,
  weightsSchema,
  type Round,
  type RoundAsked,
} from './round';

const id = Type.String({ format: 'uuid' });

export const choicesSchema = Type.Object(
  {
    /** All that can go out, where none is named. */
    copies: Type.Array(id, { maxItems: 1000, title: 'Copies' }),
    /** All, where none is named. */
    groups: Type.Array(Type.String({ maxLength: 40 }), { maxItems: 100, title: 'Classes' }),
    /** Only families that came to this gathering. */
    gathering: Type.Optional(id),
    bands: Type.Array(OneOf<AgeBand>(AGE_BANDS, { title: 'Grade' }), { maxItems: 5, title: 'Grades' }),
    weights: weightsSchema,
    pins: Type.Array(Type.Object({ family: id, copy: id }, { additionalProperties: false }), {
      maxItems: 500,
    }),
    vetoes: Type.Array(Type.Object({ family: id, kit: id }, { additionalProperties: false }), {
      maxItems: 2000,
    }),
  },
  { additionalProperties: false },
);
export type RoundChoices = Static<typeof choicesSchema>;

export const ALL: RoundChoices = {
  copies: [],
  groups: [],
  bands: [],
  weights: USUAL_WEIGHTS,
  pins: [],
  vetoes: [],
};

/** Which families a hand-out is for, as far as it is not for all: "who came to Game night, in Room 3, with a child in kindergarten". */
export const meantBy = (
  { groups, bands }: Pick<RoundChoices, 'groups' | 'bands'>,
  gathering?: string,
): string =>
  [
    gathering && `who came to ${gathering}`,
    groups.length && `in ${listed(groups)}`,
    bands.length && `with a child in ${bands.map((band) => AGE_BANDS[band]).join(' or ')}`,
  ]
    .filter(Boolean)
    .join(', ');

/** A family keeps this copy, and nobody else gets it: pins that stand against it give way, and a veto of it. */
export const withPin = (choices: RoundChoices, family: string, copy: string, kit: string): RoundChoices => ({
  ...choices,
  pins: [...choices.pins.filter((one) => one.family !== family && one.copy !== copy), { family, copy }],
  vetoes: choices.vetoes.filter((one) => one.family !== family || one.kit !== kit),
});
export const withoutPin = (choices: RoundChoices, family: string): RoundChoices => ({
  ...choices,
  pins: choices.pins.filter((one) => one.family !== family),
});
/** A family gets no copy of this kit; a pin to one gives way. */
export const withVeto = (
  choices: RoundChoices,
  family: string,
  kit: string,
  kitOf: (copy: string) => string | undefined,
): RoundChoices => ({
  ...choices,
  pins: choices.pins.filter((one) => one.family !== family || kitOf(one.copy) !== kit),
  vetoes: [...choices.vetoes.filter((one) => one.family !== family || one.kit !== kit), { family, kit }],
});
export const withoutVeto = (choices: RoundChoices, family: string, kit: string): RoundChoices => ({
  ...choices,
  vetoes: choices.vetoes.filter((one) => one.family !== family || one.kit !== kit),
});

/** The same hand-out as it is made at the table: in the order of the list, each takes the first copy that it may have. */
export function firstCome(asked: RoundAsked): Pick<Round, 'served' | 'fairness' | 'score'> & {
  matches: { family: string; copy: string; score: number }[];
} {
  const { weights = USUAL_WEIGHTS, pins = [], vetoes = [] } = asked;
  const kitOf = new Map(asked.kits.map((kit) => [kit.id, kit]));
  const vetoed = new Set(vetoes.map(({ family, kit }) => JSON.stringify([family, kit])));
  const left = new Map(asked.copies.map((copy) => [copy.id, kitOf.get(copy.kit)!]));
  const pinned = new Map(pins.map(({ family, copy }) => [family, copy]));
  const matches: { family: string; copy: string; score: number }[] = [];
  const give = (family: RoundAsked['families'][number], copy: string): void => {
    const kit = left.get(copy)!;
    left.delete(copy);
    matches.push({ family: family.id, copy, score: scoreOf(kit, family, weights) });
  };
  for (const family of asked.families) {
    const copy = pinned.get(family.id);
    if (copy !== undefined && left.has(copy)) give(family, copy);
  }
  for (const family of asked.families) {
    if (pinned.has(family.id)) continue;
    for (const [copy, kit] of left)
      if (!wallBetween(kit, family, vetoed.has(JSON.stringify([family.id, kit.id])))) {
        give(family, copy);
        break;
      }
  }
  return {
    matches,
    served: matches.length,
    fairness: fairnessOf(
      asked,
      matches.map(({ family }) => family),
    ),
    score: matches.reduce((sum, { score }) => sum + score, 0),
  };
}

/** Who has a bag in one hand-out and not in the other. */
export function gainsOf(
  first: readonly { family: string }[],
  second: readonly { family: string }[],
): { gains: string[]; loses: string[] } {
  const [before, after] = [first, second].map((list) => new Set(list.map(({ family }) => family))) as [
    Set<string>,
    Set<string>,
  ];
  return {
    gains: [...after].filter((one) => !before.has(one)),
    loses: [...before].filter((one) => !after.has(one)),
  };
}
