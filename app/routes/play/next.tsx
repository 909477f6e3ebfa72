import { data, redirect } from 'react-router';
import { dayFor } from '~/core/lending/reminders';
import { REMINDER_WORDS, type ReminderMessage } from '~/core/words/reminders';
import type { Args } from '~/core/words/message';
import { say } from '~/core/words/reading';
import { findFamily } from '~/data/queries/families';
import { withdrawHold } from '~/data/queries/holds';
import { findLoan } from '~/data/queries/lending';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { openWithCode } from '~/data/queries/browsers';
import { mayAnswerNow, mayTryCode } from '~/server/limits';
import { wish, wishesOf } from '~/server/lending/wishes';
import { familyPage, mayAsk, openFor, type FamilyPage as Page } from '~/server/play';
import { wordsFor } from '~/server/reply';
import { today } from '~/server/today';
import type { PageHandle } from '~/app/root';
import { FamilyForm, FamilyFrame, FamilyNote, FamilySend, familyWords } from './FamilyPage';
import type { Route } from './+types/next';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [
  { title: 'Fern Basket' },
  { name: 'robots', content: 'noindex' },
];

/** The family whose loan this page was opened for, while the page is theirs. */
async function familyOf(page: Page) {
  if (page.refused || !page.loanId) return undefined;
  const loan = await findLoan(page.at, page.loanId);
  return loan && (await findFamily(page.at, loan.familyId));
}

export async function loader({ request, params, context }: Route.LoaderArgs) {
  const page = await familyPage(request, params.linkKey, context.clientAddress);
  const { language, languages } = page;
  const frame = { language, languages, reading: wordsFor(page.reading), path: `/p/${params.linkKey}` };
  if (page.refused) return data({ ...frame, why: page.refused, wishes: undefined }, { status: page.status });
  const family = await familyOf(page);
  if (!family)
    return data(
      { ...frame, why: page.others ? ('others' as const) : ('notOut' as const), wishes: undefined },
      { status: 403, headers: page.headers },
    );
  // What the family wishes, and what it may have, is shown to nobody who only holds the bag.
  if (!(await mayAsk(request, page.at, params.linkKey, page.loanId!)))
    return data({ ...frame, why: 'code' as const, wishes: undefined }, { headers: page.headers });
  const { holds, open } = await wishesOf(page.at, family);
  return data(
    {
      ...frame,
      why: undefined,
      // Of others only how many there are.
      wishes: {
        open,
        waits: holds.map(({ id, kitName, place, keptUntil, expectedOn }) => ({
          id,
          kitName,
          before: place - 1,
          keptUntil,
          expectedOn,
        })),
      },
    },
    { headers: page.headers },
  );
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const page = await familyPage(request, params.linkKey, context.clientAddress);
  const form = await request.formData();
  const family = await familyOf(page);
  const refuse = (problem: 'busy' | 'anew' | 'code', status: number) => data({ problem }, { status });
  if (page.refused || !family) return refuse('anew', 403);
  if (!(await mayAnswerNow(family.id))) return refuse('busy', 429);
  const back = `/p/${params.linkKey}/next?lang=${page.language}`;
  const loanId = page.loanId!;
  if (form.get('intent') === 'code') {
    if (!(await mayTryCode(loanId))) return refuse('busy', 429);
    const typed = textIn(form, 'code').replace(/[^0-9]/g, '');
    const cookie = await openFor(request, params.linkKey, (hash) =>
      openWithCode(page.at, loanId, typed, hash),
    );
    if (!cookie) return refuse('code', 401);
    throw redirect(back, { headers: { 'Set-Cookie': cookie } });
  }
  if (!(await mayAsk(request, page.at, params.linkKey, loanId))) return refuse('code', 401);
  return byIntent(form, {
    wish: async () => {
      const kit = form.get('kit');
      if (!isId(kit) || !(await wish(page.at, family, kit, null))) return refuse('anew', 409);
      throw redirect(back);
    },
    withdraw: async () => {
      const hold = form.get('hold');
      if (!isId(hold) || !(await withdrawHold(page.at, hold, today(page.at), family.id)))
        return refuse('anew', 409);
      throw redirect(back);
    },
  });
}

export default function Next({ loaderData, actionData }: Route.ComponentProps) {
  const { language, reading, languages, path, wishes, why } = loaderData;
  const words = familyWords(reading);
  const ask = (id: ReminderMessage, args?: Args): string => say(reading, REMINDER_WORDS, id, args);
  const here = `${path}/next`;
  return (
    <FamilyFrame reading={reading} path={here} languages={languages}>
      <h1>{ask('wish.title')}</h1>
      {actionData?.problem && (
        <FamilyNote>
          {actionData.problem === 'code'
            ? ask('wish.code.not')
            : words(actionData.problem === 'busy' ? 'refuse.busy' : 'error.anew')}
        </FamilyNote>
      )}
      {why && why !== 'code' && <FamilyNote>{words(`refuse.${why}`)}</FamilyNote>}
      {why === 'code' && (
        <FamilyForm method="post" action={`${here}?lang=${language}`}>
          <input type="hidden" name="intent" value="code" />
          <p>{ask('wish.code')}</p>
          <div>
            <label htmlFor="code">{ask('wish.code.label')}</label>
            <input id="code" name="code" inputMode="numeric" autoComplete="off" maxLength={12} required />
          </div>
          <FamilySend type="submit">{ask('wish.code.send')}</FamilySend>
        </FamilyForm>
      )}
      {wishes && (
        <>
          {wishes.waits.map(({ id, kitName, before, keptUntil, expectedOn }) => (
            <FamilyForm key={id} method="post" action={`${here}?lang=${language}`}>
              <input type="hidden" name="intent" value="withdraw" />
              <input type="hidden" name="hold" value={id} />
              <FamilyNote>
                {keptUntil
                  ? ask('wish.ready', { kit: kitName, day: dayFor(language, keptUntil) })
                  : before === 0
                    ? ask('wish.first', { kit: kitName })
                    : ask('wish.place', { kit: kitName, before })}{' '}
                {!keptUntil && expectedOn && ask('wish.expected', { day: dayFor(language, expectedOn) })}
              </FamilyNote>
              <FamilySend type="submit" $quiet>
                {ask('wish.withdraw')}
              </FamilySend>
            </FamilyForm>
          ))}
          {wishes.open.length === 0 ? (
            <p>{ask('wish.none')}</p>
          ) : (
            <>
              <p>{ask('wish.why')}</p>
              <FamilyForm method="post" action={`${here}?lang=${language}`}>
                <input type="hidden" name="intent" value="wish" />
                <div className="choices">
                  {wishes.open.map(({ id, name }, i) => (
                    <label key={id}>
                      <input type="radio" name="kit" value={id} defaultChecked={i === 0} />
                      {name}
                    </label>
                  ))}
                </div>
                <FamilySend type="submit">{ask('wish.ask')}</FamilySend>
              </FamilyForm>
            </>
          )}
        </>
      )}
      <p style={{ marginTop: '1.5rem' }}>
        <a href={`${path}?lang=${language}`}>{words('backToGame')}</a>
      </p>
    </FamilyFrame>
  );
}
