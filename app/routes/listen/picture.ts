import { findPicture } from '~/data/queries/pictures';
import { noteLook } from '~/data/queries/privacy';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { today } from '~/server/today';
import type { Route } from './+types/picture';

/** A picture of a child's work, for staff alone. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const found = isId(params.pictureId) ? await findPicture(at, params.pictureId, today(at)) : undefined;
  if (!found) throw notFound('This picture');
  await noteLook(at, found.familyId, personId, 'picture');
  return new Response(new Uint8Array(found.image), {
    headers: {
      'Content-Type': 'image/jpeg',
      'X-Content-Type-Options': 'nosniff',
    },
  });
}
