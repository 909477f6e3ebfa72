/** What a school shows the others of its district: whole, so that it stands there without anything else of hers. */
import type { AgeBand, Params } from '../games/kit/types';
import type { OwnGame } from '../own/definition';
import type { SchoolMaterial, SchoolMaterialFields } from '../materials/school';
import type { KitAbout } from './forms';

export interface SharedVariant {
  gameId: string;
  name: string;
  params: Params;
  own: OwnGame | null;
  ageBand: AgeBand;
}

/** What was shared by an earlier edition says nothing of these. */
type Later = 'finish' | 'daysOut' | 'playsAWeek' | 'languages' | 'swaps';
type SharedAbout = Omit<KitAbout, Later> & Partial<Pick<KitAbout, Later>>;
/** A kind of part of a school's own, as another school takes it over. */
export type OwnKind = Pick<SchoolMaterial, 'id' | 'names'> & { fields: SchoolMaterialFields };

export interface SharedKit extends SharedAbout {
  kind: 'kit';
  variants: SharedVariant[];
  /** Kinds of parts that the school added to its catalogue and that stand in for others in it. */
  materials?: OwnKind[];
}

export interface SharedGame {
  kind: 'own game';
  definition: OwnGame;
}

/** The word of fluent readers on the lines of one language. */
export interface SharedWording {
  kind: 'wording';
  lines: { gameId: string; messageId: string; message: string; right: boolean; note: string; by: string }[];
}

export type Shared = SharedKit | SharedGame | SharedWording;
export type SharedKind = Shared['kind'];

export const SHARED_NAMES: Record<SharedKind, string> = {
  kit: 'Kit',
  'own game': 'Game of our own',
  wording: 'Checked wording',
};
