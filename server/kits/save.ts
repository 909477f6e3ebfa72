/** Saving a kit from its form. */
import { checkForm, type FieldErrors } from '~/core/check/check';
import { kitSchema, MOST_GAMES } from '~/core/kits/forms';
import type { SchoolHandle } from '~/data/db';
import type { Stale } from '~/data/queries/changes';
import { swapFault } from '~/core/kits/recipe';
import { catalogueNow } from '~/data/queries/materials';
import { changeKit, listVariants, saveKit, VariantGone, type KitFields } from '~/data/queries/kits';
import { UNKNOWN_VERSION, versionIn } from '../forms';
import { isId } from '../ids';

export type SavedKit =
  | { ok: true; id: string; taken: string[] }
  | { ok: false; status: number; errors: FieldErrors; stale?: Stale<KitFields> };

/** Saves a new kit, or the one with this id as it was opened. */
export async function saveKitForm(
  at: SchoolHandle,
  form: FormData,
  personId: string,
  id?: string,
): Promise<SavedKit> {
  const swaps = Object.fromEntries(
    [...form].flatMap(([name, by]) =>
      name.startsWith('swap ') && by ? [[name.slice('swap '.length), by]] : [],
    ),
  );
  const checked = checkForm(kitSchema, {
    ...Object.fromEntries(form),
    languages: form.getAll('languages'),
    swaps,
  });
  const variantIds = [...new Set(form.getAll('variantIds'))].filter(isId);
  const errors: FieldErrors = checked.ok ? {} : checked.errors;
  if (variantIds.length === 0) errors.variantIds = 'Tick at least one game.';
  else if (variantIds.length > MOST_GAMES)
    errors.variantIds = `A basket has room for ${MOST_GAMES} games; ${variantIds.length} are ticked.`;
  const openedOn = versionIn(form);
  if (id && openedOn === undefined) errors[''] = UNKNOWN_VERSION;
  if (!checked.ok || Object.keys(errors).length) return { ok: false, status: 400, errors };
  const input = { ...checked.value, variantIds };
  if (Object.keys(swaps).length) {
    const inside = (await listVariants(at)).filter((one) => variantIds.includes(one.id));
    // What stands in is checked against what the games need; the plan needs nothing else for it.
    const fault = swapFault(
      {
        ageBand: input.ageBand,
        players: input.players,
        assurance: input.assurance,
        swaps: input.swaps,
        variants: inside.map(({ gameId, name, params, own }) => ({
          gameId,
          name,
          params,
          ...(own ? { own } : {}),
        })),
      },
      await catalogueNow(at),
    );
    if (fault) return { ok: false, status: 400, errors: { swaps: fault } };
  }
  try {
    const saved = id
      ? await changeKit(at, id, input, openedOn!, personId)
      : await saveKit(at, input, personId);
    if (saved === undefined)
      return {
        ok: false,
        status: 409,
        errors: { name: `There is a kit called “${input.name}” already. Choose another name.` },
      };
    if (saved === 'gone' || saved === 'follows')
      return {
        ok: false,
        status: 409,
        errors: {
          '':
            saved === 'gone'
              ? 'This kit is not there any more. What you typed is still here.'
              : 'This kit follows another school and is changed there. Stop following it first; what you typed is still here.',
        },
      };
    if (typeof saved === 'string') return { ok: true, id: saved, taken: [] };
    return saved.ok
      ? { ok: true, id: id!, taken: saved.taken.map(({ field }) => field) }
      : { ok: false, status: 409, errors: {}, stale: saved.stale };
  } catch (error) {
    if (!(error instanceof VariantGone)) throw error;
    const gone = 'One of these games is not there any more. Load the page again and choose anew.';
    return { ok: false, status: 409, errors: { variantIds: gone } };
  }
}
