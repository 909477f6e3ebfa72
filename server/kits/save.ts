/** Saving a kit from its form. */
import { checkForm, type FieldErrors } from '~/core/check/check';
import { kitSchema } from '~/core/kits/forms';
import { countVariants, saveKit } from '~/data/queries/kits';
import { isId } from '../ids';

export type SavedKit = { ok: true; id: string } | { ok: false; status: number; errors: FieldErrors };

export async function saveKitForm(form: FormData, id?: string): Promise<SavedKit> {
  const checked = checkForm(kitSchema, form);
  const variantIds = [...new Set(form.getAll('variantIds'))].filter(isId);
  const errors: FieldErrors = checked.ok ? {} : checked.errors;
  if (variantIds.length === 0) errors.variantIds = 'Tick at least one game.';
  else if ((await countVariants(variantIds)) !== variantIds.length)
    errors.variantIds = 'One of these games is not there any more. Load the page again and choose anew.';
  if (!checked.ok || Object.keys(errors).length) return { ok: false, status: 400, errors };
  const saved = await saveKit({ ...checked.value, variantIds }, id);
  if (!saved)
    return {
      ok: false,
      status: 409,
      errors: { name: `There is a kit called “${checked.value.name}” already. Choose another name.` },
    };
  return { ok: true, id: saved };
}
