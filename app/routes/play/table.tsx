import { data } from 'react-router';
import { readCard } from '~/core/lending/card';
import { dayFor } from '~/core/lending/reminders';
import { readTag } from '~/core/kits/tag';
import { REMINDER_WORDS, type ReminderMessage } from '~/core/words/reminders';
import type { Args } from '~/core/words/message';
import { say } from '~/core/words/reading';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { findAtTable, takeAtTable, tablePage, tickAtTable } from '~/server/table';
import type { PageHandle } from '~/app/root';
import { FamilyForm, FamilyFrame, FamilyNote, FamilySend, familyWords } from './FamilyPage';
import type { Route } from './+types/table';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [
  { title: 'Fern Basket' },
  { name: 'robots', content: 'noindex' },
];

export async function loader({ request, params, context }: Route.LoaderArgs) {
  const page = await tablePage(request, params.key, context.clientAddress);
  const { language, reading, languages } = page;
  return data(
    { language, reading, languages, path: `/in/${params.key}`, refused: page.refused },
    { status: page.refused ? page.status : 200 },
  );
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const page = await tablePage(request, params.key, context.clientAddress);
  if (page.refused) return data({ kind: 'refused' as const }, { status: page.status });
  const form = await request.formData();
  const family = form.get('family');
  return byIntent(form, {
    find: async () => {
      const text = String(form.get('name') ?? '')
        .slice(0, 80)
        .trim();
      return { kind: 'found' as const, families: await findAtTable(page, text, readCard(text)) };
    },
    tick: async () =>
      isId(family) && (await tickAtTable(page, family))
        ? { kind: 'in' as const, family, not: false }
        : { kind: 'found' as const, families: [] },
    take: async () => {
      if (!isId(family)) return { kind: 'found' as const, families: [] };
      const tag = readTag(String(form.get('tag') ?? ''));
      const taken = tag.kind === 'tag' ? await takeAtTable(page, family, tag.tag) : undefined;
      return taken ? { kind: 'took' as const, family, ...taken } : { kind: 'in' as const, family, not: true };
    },
  });
}

export default function Table({ loaderData, actionData }: Route.ComponentProps) {
  const { language, reading, languages, path, refused } = loaderData;
  const words = familyWords(reading);
  const ask = (id: ReminderMessage, args?: Args): string => say(reading, REMINDER_WORDS, id, args);
  const here = `${path}?lang=${language}`;
  const frame = { reading, path, languages };
  if (refused)
    return (
      <FamilyFrame {...frame}>
        <h1>{ask('table.title')}</h1>
        <FamilyNote>{refused === 'busy' ? words('refuse.busy') : ask('table.over')}</FamilyNote>
      </FamilyFrame>
    );
  if (actionData?.kind === 'in' || actionData?.kind === 'took')
    return (
      <FamilyFrame {...frame}>
        <h1>{ask('table.title')}</h1>
        <FamilyNote>
          {actionData.kind === 'took'
            ? ask('table.taken', { kit: actionData.kitName, day: dayFor(language, actionData.dueOn) })
            : actionData.not
              ? ask('table.not')
              : ask('table.in')}
        </FamilyNote>
        <FamilyForm method="post" action={here}>
          <input type="hidden" name="intent" value="take" />
          <input type="hidden" name="family" value={actionData.family} />
          <p>{ask('table.bag')}</p>
          <div>
            <label htmlFor="tag">{ask('table.tag')}</label>
            <input id="tag" name="tag" autoComplete="off" maxLength={20} />
          </div>
          <FamilySend type="submit">{ask('table.take')}</FamilySend>
        </FamilyForm>
        <p style={{ marginTop: '1.5rem' }}>
          <a href={here}>{ask('table.done')}</a>
        </p>
      </FamilyFrame>
    );
  return (
    <FamilyFrame {...frame}>
      <h1>{ask('table.title')}</h1>
      <p>{ask('table.why')}</p>
      {actionData?.kind === 'found' &&
        (actionData.families.length === 0 ? (
          <FamilyNote>{ask('table.nobody')}</FamilyNote>
        ) : (
          <FamilyForm method="post" action={here}>
            <input type="hidden" name="intent" value="tick" />
            <h2>{ask('table.choose')}</h2>
            {actionData.families.map(({ id, name }) => (
              <FamilySend key={id} type="submit" name="family" value={id}>
                {name}
              </FamilySend>
            ))}
          </FamilyForm>
        ))}
      <FamilyForm method="post" action={here}>
        <input type="hidden" name="intent" value="find" />
        <div>
          <label htmlFor="name">{ask('table.name')}</label>
          <input id="name" name="name" autoComplete="off" maxLength={80} />
        </div>
        <FamilySend type="submit">{ask('table.find')}</FamilySend>
      </FamilyForm>
    </FamilyFrame>
  );
}
