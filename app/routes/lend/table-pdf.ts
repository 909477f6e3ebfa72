import { showDay } from '~/core/lending/due';
import { aboutLanguage } from '~/core/words/languages';
import { findGathering, guestsOf } from '~/data/queries/gatherings';
import { isId } from '~/server/ids';
import { paperResponse } from '~/server/lending/papers';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/table-pdf';

/** The list on which families are ticked in on paper, class by class. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'helper');
  const table = isId(params.tableId) ? await findGathering(at, params.tableId) : undefined;
  if (!table) throw notFound('This table');
  const guests = (await guestsOf(at, table.id)).map(({ name, language, group }) => ({
    group,
    family: name,
    language: aboutLanguage(language).name,
  }));
  const title = `${table.name}, ${showDay(table.onDay)}`;
  return paperResponse(school, { title: table.name, file: 'sign-in' }, 'signIn', guests, title);
}
