import { asksOf } from '~/core/lending/papers';
import { pageOfMessages } from '~/data/queries/outbox';
import { readingsAt } from '~/data/queries/wording';
import { paperResponse } from '~/server/lending/papers';
import { messageLink } from '~/server/links';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/strips-pdf';

const MOST = 500;

/** What is to be said on paper, class by class, several to a sheet. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'helper');
  const { messages } = await pageOfMessages(at, { states: ['paper'], first: 0, most: MOST });
  const readings = await readingsAt(at, [...new Set(messages.map(({ language }) => language))]);
  const strips = messages
    .map(({ group, familyName, language, text, linkKey, kind }) => ({
      group,
      family: familyName,
      language,
      text,
      address: messageLink(linkKey),
      asks: asksOf(kind),
      reading: readings.find((one) => one.language === language)!,
    }))
    .sort(
      (a, b) =>
        a.group.localeCompare(b.group, 'en', { numeric: true }) || a.family.localeCompare(b.family, 'en'),
    );
  return paperResponse(school, { title: 'Reminders', file: 'reminders' }, 'strips', strips);
}
