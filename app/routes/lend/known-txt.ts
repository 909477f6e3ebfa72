import { noteLook } from '~/data/queries/privacy';
import { knownText } from '~/server/families/known';
import { isId } from '~/server/ids';
import { noteSecurity } from '~/server/people/security';
import { requireProven } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/known-txt';

/** All that is known of a family, as one file in plain words. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school, id: personId } = await requireProven(request, 'coordinator');
  const { familyId } = params;
  const text = isId(familyId) ? await knownText(at, school.name, familyId) : undefined;
  if (text === undefined) throw notFound('This family');
  await noteLook(at, familyId, personId, 'file');
  await noteSecurity(at, 'exported', personId);
  // Spreadsheets and old editors tell the script by its mark.
  return new Response(`\uFEFF${text}`, {
    headers: {
      'Content-Type': 'text/plain; charset=utf-8',
      'Content-Disposition': 'attachment; filename="family.txt"',
    },
  });
}
