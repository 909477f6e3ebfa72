/** What counts how much in a hand-out, as an address turns it. */
import { checkJson } from '~/core/check/check';
import { weightsSchema, type Weights } from '~/core/lending/round';

const KNOBS = ['wait', 'wish', 'fit'] as const;

/** Weights as an address turns them; those that are kept where it does not, or turns them too far. */
export function weightsIn(search: URLSearchParams, kept: Weights): Weights {
  const checked = checkJson(weightsSchema, {
    ...Object.fromEntries(KNOBS.map((knob) => [knob, Number(search.get(knob) ?? kept[knob])])),
    languages: search.has('languages') ? search.get('languages') === '1' : kept.languages,
  });
  return checked.ok ? checked.value : kept;
}
