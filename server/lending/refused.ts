/** Why a bag was not lent, in one sentence for every desk. */
import type { LendResult } from '~/data/queries/lending';

export const whyNotLent = (refused: Extract<LendResult, { ok: false }>): string =>
  'why' in refused
    ? refused.why
    : {
        unmade: 'This copy is still being made: it can be lent when its check is done.',
        out: 'This copy went out a moment ago, at another desk.',
        gone: 'This copy or this family is not there any more.',
      }[refused.reason];
