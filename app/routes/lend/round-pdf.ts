import { showDay } from '~/core/lending/due';
import { aboutLanguage } from '~/core/words/languages';
import { findRound, promisesOf } from '~/data/queries/rounds';
import { isId } from '~/server/ids';
import { listResponse } from '~/server/lending/papers';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import type { Route } from './+types/round-pdf';

const PAPERS = {
  'list.pdf': { title: 'To hand out', file: 'hand-out', name: 'handOut' },
  'stickers.pdf': { title: 'Stickers', file: 'stickers', name: 'stickers' },
} as const;

/** The list of a hand-out, class by class, or a sticker for each of its bags. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const paper = Object.hasOwn(PAPERS, params.paper) ? PAPERS[params.paper as keyof typeof PAPERS] : undefined;
  const round = paper && isId(params.roundId) ? await findRound(at, params.roundId) : undefined;
  if (!paper || !round) throw notFound('This paper');
  const promises = (await promisesOf(at, round.id)).map(({ familyName, language, kitName, ...one }) => ({
    ...one,
    family: familyName,
    language: aboutLanguage(language).name,
    kit: kitName,
  }));
  const about = { ...paper, lines: promises.length, address: request.url };
  return listResponse(at, person, about, paper.name, promises, showDay(round.onDay));
}
