import { randomCard } from '~/core/lending/card';
import { giveCards, listFamilies } from '~/data/queries/families';
import { isId } from '~/server/ids';
import { listResponse } from '~/server/lending/papers';
import { requireRole } from '~/server/people/session';
import { secureRandom } from '~/server/random';
import type { Route } from './+types/cards-pdf';

/** The cards of all families, of a class, or of one; families without a card get one. */
export async function loader({ request }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const search = new URL(request.url).searchParams;
  await giveCards(at, () => randomCard(secureRandom));
  const [id, group] = [search.get('family'), search.get('class')];
  const families = (await listFamilies(at)).filter(
    (family) => (!isId(id) || family.id === id) && (group === null || family.group === group),
  );
  const cards = families
    .map(({ card, name, group }) => ({ card: card!, family: name, group }))
    .sort((a, b) => a.group.localeCompare(b.group, 'en', { numeric: true }));
  const about = {
    title: 'Family cards',
    file: 'family-cards',
    lines: cards.length,
    address: request.url,
  };
  return listResponse(at, person, about, 'cards', cards);
}
