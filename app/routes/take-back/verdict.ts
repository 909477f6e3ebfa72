/** The verdict on a copy while its count is typed: `?two-colour-counter=5&lacks=7H+QS`. */
import { readCards } from '~/core/cards/deck';
import type { CopyVerdict } from '~/core/kits/verdict';
import { findCopy } from '~/data/queries/copies';
import { listMaterials } from '~/data/queries/materials';
import { findLoan } from '~/data/queries/lending';
import { isId } from '~/server/ids';
import { countedParts, heldOf } from '~/server/kits/held';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { verdictOf } from '~/server/threads';
import type { Route } from './+types/verdict';

export async function loader({ request, params }: Route.LoaderArgs): Promise<{ verdict: CopyVerdict }> {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const loan = isId(params.loanId) ? await findLoan(at, params.loanId) : undefined;
  if (!loan) throw notFound('This loan');
  const copy = (await findCopy(at, { id: loan.copyId }))!;
  const search = new URL(request.url).searchParams;
  const counts = countedParts(copy).map(({ material, quantity }) => {
    const text = search.get(material) ?? '';
    return {
      material,
      expected: quantity,
      counted: /^\d{1,3}$/.test(text) ? Number(text) : quantity,
      lacks: material === 'card-deck' ? [...readCards(search.get('lacks') ?? '').cards] : [],
    };
  });
  return {
    verdict: await verdictOf({ plan: copy.plan, school: await listMaterials(at), ...heldOf(copy, counts) }),
  };
}
