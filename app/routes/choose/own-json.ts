import { showable } from '~/core/own/check';
import { findOwnGame } from '~/data/queries/games';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/own-json';

/** A game of the school's own as a file. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const stored = isId(params.ownId) ? await findOwnGame(at, params.ownId) : undefined;
  if (!stored) throw notFound('This game');
  const name =
    showable(stored.definition)
      .definition.name.en.toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'game';
  return new Response(`${JSON.stringify(stored.definition, null, 2)}\n`, {
    headers: {
      'Content-Type': 'application/json; charset=utf-8',
      'Content-Disposition': `attachment; filename="${name}.json"`,
    },
  });
}
