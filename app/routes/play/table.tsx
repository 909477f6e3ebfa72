import { data } from 'react-router';
import { visible } from '~/core/check/keepable';
import { readCard } from '~/core/lending/card';
import { dayFor } from '~/core/lending/reminders';
import { readTag } from '~/core/kits/tag';
import { REMINDER_WORDS, type ReminderMessage } from '~/core/words/reminders';
import type { Args } from '~/core/words/message';
import { say } from '~/core/words/reading';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import {
  enterAtTable,
  findAtTable,
  tablePage,
  tablesSaid,
  takeAtTable,
  tapAtTable,
  tickAtTable,
} from '~/server/table';
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
    {
      language,
      reading,
      languages,
      path: `/in/${params.key}`,
      refused: page.refused,
      number: page.refused === 'waits' ? page.number : 0,
      leaving: new URL(request.url).searchParams.has('leave'),
      tables: page.refused ? [] : await tablesSaid(page),
    },
    {
      status: page.refused ? page.status : 200,
      ...('headers' in page ? { headers: page.headers } : {}),
    },
  );
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const page = await tablePage(request, params.key, context.clientAddress);
  if (page.refused) return data({ kind: 'refused' as const }, { status: page.status });
  const form = await request.formData();
  const family = form.get('family');
  return byIntent(form, {
    find: async () => {
      const text = textIn(form, 'name').slice(0, 80).trim();
      return { kind: 'found' as const, families: await findAtTable(page, text, readCard(text)) };
    },
    tick: async () =>
      isId(family) && (await tickAtTable(page, family))
        ? { kind: 'in' as const, family, not: false }
        : { kind: 'found' as const, families: [] },
    enter: async () => {
      const name = visible(textIn(form, 'newName')).trim();
      const own = form.get('language');
      const tongue = page.languages.find(({ tag }) => tag === own)?.tag;
      if (!name || name.length > 80 || !tongue) return { kind: 'again' as const };
      const entered = await enterAtTable(page, name, tongue);
      return 'id' in entered
        ? { kind: 'in' as const, family: entered.id, not: false }
        : { kind: 'found' as const, families: entered.taken };
    },
    leaving: async () => (isId(family) ? { kind: 'leaving' as const, family } : { kind: 'again' as const }),
    tap: async () =>
      isId(family) && (await tapAtTable(page, family, form))
        ? { kind: 'left' as const }
        : { kind: 'again' as const },
    take: async () => {
      if (!isId(family)) return { kind: 'found' as const, families: [] };
      const tag = readTag(textIn(form, 'tag'));
      const taken = tag.kind === 'tag' ? await takeAtTable(page, family, tag.tag) : undefined;
      return taken ? { kind: 'took' as const, family, ...taken } : { kind: 'in' as const, family, not: true };
    },
  });
}

export default function Table({ loaderData, actionData }: Route.ComponentProps) {
  const { language, reading, languages, path, refused, number, leaving, tables } = loaderData;
  const words = familyWords(reading);
  const ask = (id: ReminderMessage, args?: Args): string => say(reading, REMINDER_WORDS, id, args);
  const door = `${path}?lang=${language}`;
  const here = leaving ? `${door}&leave=1` : door;
  const frame = { reading, path, languages };
  if (refused)
    return (
      <FamilyFrame {...frame}>
        <h1>{ask('table.title')}</h1>
        <FamilyNote>
          {refused === 'busy'
            ? words('refuse.busy')
            : refused === 'waits'
              ? ask('table.waits', { number })
              : ask('table.over')}
        </FamilyNote>
        {refused === 'waits' && <a href={path}>{ask('table.look')}</a>}
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
          <a href={door}>{ask('table.done')}</a>
        </p>
      </FamilyFrame>
    );
  if (actionData?.kind === 'left')
    return (
      <FamilyFrame {...frame}>
        <h1>{ask('table.leave')}</h1>
        <FamilyNote>{ask('table.leave.thanks')}</FamilyNote>
        <p style={{ marginTop: '1.5rem' }}>
          <a href={door}>{ask('table.done')}</a>
        </p>
      </FamilyFrame>
    );
  if (actionData?.kind === 'leaving')
    return (
      <FamilyFrame {...frame}>
        <h1>{ask('table.leave')}</h1>
        <p>{ask('table.leave.how')}</p>
        <FamilyForm method="post" action={here}>
          <input type="hidden" name="intent" value="tap" />
          <input type="hidden" name="family" value={actionData.family} />
          {tables.map(({ id, table, game }) => (
            <fieldset key={id}>
              <legend>
                {table}: {game}
              </legend>
              <div className="choices">
                {(['tooEasy', 'justRight', 'tooHard'] as const).map((said) => (
                  <label key={said}>
                    <input type="radio" name={`said ${id}`} value={said} />
                    {words(`level.${said}`)}
                  </label>
                ))}
              </div>
              <div className="choices" role="group" aria-label={`${ask('table.again')} ${table}`}>
                <span>{ask('table.again')}</span>
                {(['yes', 'no'] as const).map((again) => (
                  <label key={again}>
                    <input type="radio" name={`again ${id}`} value={again} />
                    {ask(`table.again.${again}`)}
                  </label>
                ))}
              </div>
            </fieldset>
          ))}
          <FamilySend type="submit">{ask('answer.send')}</FamilySend>
        </FamilyForm>
      </FamilyFrame>
    );
  return (
    <FamilyFrame {...frame}>
      <h1>{ask(leaving ? 'table.leave' : 'table.title')}</h1>
      {!leaving && <p>{ask('table.why')}</p>}
      {actionData?.kind === 'again' && <FamilyNote>{ask('table.nobody')}</FamilyNote>}
      {actionData?.kind === 'found' &&
        (actionData.families.length === 0 ? (
          <FamilyNote>{ask('table.nobody')}</FamilyNote>
        ) : (
          <FamilyForm method="post" action={here}>
            <input type="hidden" name="intent" value={leaving ? 'leaving' : 'tick'} />
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
      {!leaving && (
        <details style={{ marginTop: '1.5rem' }} open={actionData?.kind === 'again'}>
          <summary>{ask('table.new')}</summary>
          <FamilyForm method="post" action={here}>
            <input type="hidden" name="intent" value="enter" />
            <div>
              <label htmlFor="newName">{ask('table.new.name')}</label>
              <input id="newName" name="newName" autoComplete="off" maxLength={80} required />
            </div>
            <fieldset>
              <legend>{ask('table.new.language')}</legend>
              <div className="choices">
                {languages.map(({ tag, own, direction }) => (
                  <label key={tag} lang={tag} dir={direction}>
                    <input type="radio" name="language" value={tag} defaultChecked={tag === language} />
                    {own}
                  </label>
                ))}
              </div>
            </fieldset>
            <FamilySend type="submit">{ask('table.new.send')}</FamilySend>
          </FamilyForm>
        </details>
      )}
      {tables.length > 0 && (
        <p style={{ marginTop: '1.5rem' }}>
          <a href={leaving ? door : `${door}&leave=1`}>{ask(leaving ? 'table.title' : 'table.leave')}</a>
        </p>
      )}
    </FamilyFrame>
  );
}
