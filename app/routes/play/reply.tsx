import { data } from 'react-router';
import { visible } from '~/core/check/keepable';
import { dayFor, timeFor } from '~/core/lending/reminders';
import { REMINDER_WORDS, type ReminderMessage } from '~/core/words/reminders';
import type { Args } from '~/core/words/message';
import { say } from '~/core/words/reading';
import { byIntent, textIn } from '~/server/forms';
import { mayAnswerNow } from '~/server/limits';
import {
  answersInvitation,
  comesOn,
  invitedBy,
  keepsLonger,
  replyPage,
  tellsLost,
  type Came,
} from '~/server/reply';
import { openFor } from '~/server/play';
import { openBrowserFor } from '~/data/queries/browsers';
import type { PageHandle } from '~/app/root';
import { FamilyForm, FamilyFrame, FamilyNote, FamilySend, familyWords } from './FamilyPage';
import type { Route } from './+types/reply';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [
  { title: 'Fern Basket' },
  { name: 'robots', content: 'noindex' },
];

const MOST_WORDS = 500;

export async function loader({ request, params, context }: Route.LoaderArgs) {
  const page = await replyPage(request, params.key, context.clientAddress);
  const { language, reading, languages } = page;
  const frame = { language, reading, languages, path: `/a/${params.key}` };
  if (page.refused) return data({ ...frame, refused: page.refused }, { status: page.status });
  const { at, asked, days } = page;
  const evening = await invitedBy(at, asked);
  // Who holds the message is of the family: in this browser it may ask for more, while it has its bags.
  const headers = new Headers();
  for (const { linkKey, loanId } of asked.bags) {
    const cookie = await openFor(request, linkKey, (hash) => openBrowserFor(at, loanId, hash));
    if (cookie) headers.append('Set-Cookie', cookie);
  }
  return data(
    {
      ...frame,
      // An evening that is not planned any more is not asked about.
      refused: asked.kind === 'invitation' && !evening ? ('over' as const) : undefined,
      evening: evening && { name: evening.name, onDay: evening.onDay, startsAt: evening.startsAt },
      bags: asked.bags,
      days,
    },
    { headers },
  );
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const page = await replyPage(request, params.key, context.clientAddress);
  const form = await request.formData();
  const refuse = (problem: 'busy' | 'anew' | 'choice' | 'empty', status: number) =>
    data({ problem, came: undefined }, { status });
  if (page.refused) return refuse(page.refused === 'busy' ? 'busy' : 'anew', page.status);
  const { at, asked, days } = page;
  if (!(await mayAnswerNow(asked.id))) return refuse('busy', 429);
  const came = (what: Came) => data({ problem: undefined, came: what });
  // A message is answered as what it asks: an invitation is none of bags, and the other way round.
  const invited = asked.kind === 'invitation';
  if (['yes', 'no'].includes(textIn(form, 'intent')) !== invited) return refuse('anew', 409);
  if (invited && !(await invitedBy(at, asked))) return refuse('anew', 410);
  return byIntent(form, {
    coming: async () => {
      const day = days.find((one) => one === form.get('day'));
      return day ? came(await comesOn(at, asked, day)) : refuse('choice', 400);
    },
    yes: async () => came(await answersInvitation(at, asked, true)),
    no: async () => came(await answersInvitation(at, asked, false)),
    longer: async () => came(await keepsLonger(at, asked)),
    lost: async () => {
      const what = visible(textIn(form, 'what')).trim().slice(0, MOST_WORDS);
      if (!what) return refuse('empty', 400);
      const told = await tellsLost(at, asked, textIn(form, 'loan'), what);
      return told ? came(told) : refuse('anew', 409);
    },
  });
}

export default function Reply({ loaderData, actionData }: Route.ComponentProps) {
  const { language, reading, languages, path } = loaderData;
  const words = familyWords(reading);
  const ask = (id: ReminderMessage, args?: Args): string => say(reading, REMINDER_WORDS, id, args);
  const day = (one: string): string => dayFor(language, one);
  const frame = { reading, path, languages };
  const here = `${path}?lang=${language}`;
  if (loaderData.refused !== undefined)
    return (
      <FamilyFrame {...frame}>
        <h1>{ask('answer.title')}</h1>
        <FamilyNote>{loaderData.refused === 'busy' ? words('refuse.busy') : ask('answer.over')}</FamilyNote>
      </FamilyFrame>
    );
  const { bags, days, evening } = loaderData;
  const came: Came | undefined = actionData?.came;
  const problem = actionData?.problem;
  if (evening)
    return (
      <FamilyFrame {...frame}>
        <h1>{ask('invite.title')}</h1>
        {came && (
          <FamilyNote>
            {came.kind === 'yes'
              ? ask('answer.thanks.coming', { day: day(evening.onDay) })
              : ask('invite.thanks.no')}
          </FamilyNote>
        )}
        {problem && <FamilyNote>{words('refuse.busy')}</FamilyNote>}
        <p>
          {ask('invite', {
            evening: evening.name,
            day: day(evening.onDay),
            time: timeFor(language, evening.startsAt),
          })}
        </p>
        <p>{ask('invite.home')}</p>
        <FamilyForm method="post" action={here}>
          <FamilySend type="submit" name="intent" value="yes">
            {ask('invite.yes')}
          </FamilySend>
          <FamilySend type="submit" name="intent" value="no">
            {ask('invite.no')}
          </FamilySend>
        </FamilyForm>
      </FamilyFrame>
    );
  return (
    <FamilyFrame {...frame}>
      <h1>{ask('answer.title')}</h1>
      {came?.kind === 'coming' && (
        <FamilyNote>{ask('answer.thanks.coming', { day: day(came.day) })}</FamilyNote>
      )}
      {came?.kind === 'lost' && <FamilyNote>{ask('answer.thanks.lost')}</FamilyNote>}
      {came?.kind === 'longer' && (
        <FamilyNote>
          {came.bags.map(({ kitName, dueOn, why }) => (
            <p key={kitName}>
              <strong>{kitName}. </strong>
              {dueOn ? ask('answer.thanks.longer', { day: day(dueOn) }) : ask(`answer.not.${why ?? 'often'}`)}
            </p>
          ))}
        </FamilyNote>
      )}
      {problem && <FamilyNote>{words(problem === 'busy' ? 'refuse.busy' : `error.${problem}`)}</FamilyNote>}
      {bags.length === 0 ? (
        <p>{ask('answer.home')}</p>
      ) : (
        <>
          <ul>
            {bags.map(({ loanId, kitName, dueOn }) => (
              <li key={loanId}>{ask('answer.due', { kit: kitName, day: day(dueOn) })}</li>
            ))}
          </ul>
          {days.length > 0 && (
            <FamilyForm method="post" action={here}>
              <input type="hidden" name="intent" value="coming" />
              {days.map((one) => (
                <FamilySend key={one} type="submit" name="day" value={one}>
                  {ask('answer.coming', { day: day(one) })}
                </FamilySend>
              ))}
            </FamilyForm>
          )}
          <FamilyForm method="post" action={here}>
            <input type="hidden" name="intent" value="longer" />
            <FamilySend type="submit">{ask('answer.longer')}</FamilySend>
          </FamilyForm>
          <p>
            <a href={`/p/${bags[0]!.linkKey}/next?lang=${language}`}>{ask('answer.next')}</a>
          </p>
          <FamilyForm method="post" action={here}>
            <input type="hidden" name="intent" value="lost" />
            <h2>{ask('answer.lost')}</h2>
            {bags.length === 1 ? (
              <input type="hidden" name="loan" value={bags[0]!.loanId} />
            ) : (
              <div className="choices">
                {bags.map(({ loanId, kitName }, i) => (
                  <label key={loanId}>
                    <input type="radio" name="loan" value={loanId} defaultChecked={i === 0} />
                    {kitName}
                  </label>
                ))}
              </div>
            )}
            <div>
              <label htmlFor="what">{ask('answer.what')}</label>
              <textarea id="what" name="what" rows={2} maxLength={MOST_WORDS} />
            </div>
            <FamilySend type="submit">{ask('answer.send')}</FamilySend>
          </FamilyForm>
        </>
      )}
    </FamilyFrame>
  );
}
