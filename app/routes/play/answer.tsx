import { createHash } from 'node:crypto';
import { data, redirect } from 'react-router';
import styled from 'styled-components';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { answerSchema, isEmpty } from '~/core/listening/answer';
import { LEVELS, type Level } from '~/core/pack/questions';
import type { FamilyMessage } from '~/core/words/family';
import { addAnswer } from '~/data/queries/listening';
import { today } from '~/server/today';
import { mayAnswerNow } from '~/server/limits';
import { isId } from '~/server/ids';
import { familyPage, mayStillAnswer, shownOf } from '~/server/play';
import type { PageHandle } from '~/app/root';
import { FamilyForm, FamilyFrame, FamilyNote, FamilySend, familyWords } from './FamilyPage';
import type { Route } from './+types/answer';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [
  { title: 'Fern Basket' },
  { name: 'robots', content: 'noindex' },
];

const NUMBERS = [
  { name: 'children', from: 0, to: 12 },
  { name: 'grownUps', from: 0, to: 12 },
  { name: 'times', from: 0, to: 60 },
  { name: 'minutes', from: 1, to: 180 },
] as const;
const TEXTS = [
  { name: 'childDid', limit: 1500 },
  { name: 'missing', limit: 500 },
  { name: 'anythingElse', limit: 1500 },
] as const;

export async function loader({ request, params, context }: Route.LoaderArgs) {
  const page = await familyPage(request, params.linkKey, context.clientAddress);
  const path = `/p/${params.linkKey}`;
  const shown = shownOf(page, path);
  if (page.refused)
    return data({ state: 'refused' as const, ...shown, why: page.refused }, { status: page.status });
  const { headers } = page;
  if (new URL(request.url).searchParams.has('sent')) return data({ state: 'sent' as const, ...shown });
  if (!page.loanId)
    return data(
      {
        state: 'refused' as const,
        ...shown,
        why: page.others ? ('others' as const) : ('notOut' as const),
      },
      { status: 403, headers },
    );
  return data({ state: 'open' as const, ...shown, loanId: page.loanId }, { headers });
}

/** Which message tells what is wrong with a field, in the family's own language. */
function mistakes(errors: FieldErrors): Record<string, { id: FamilyMessage; args: Record<string, number> }> {
  const found: Record<string, { id: FamilyMessage; args: Record<string, number> }> = {};
  for (const { name, from, to } of NUMBERS)
    if (errors[name]) found[name] = { id: 'error.number', args: { from, to } };
  for (const { name, limit } of TEXTS) if (errors[name]) found[name] = { id: 'error.long', args: { limit } };
  if (errors.level) found.level = { id: 'error.choice', args: {} };
  return found;
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const page = await familyPage(request, params.linkKey, context.clientAddress);
  const form = await request.formData();
  const kept = Object.fromEntries(
    [...NUMBERS, ...TEXTS, { name: 'level' }, { name: 'loan' }].map(({ name }) => [
      name,
      String(form.get(name) ?? ''),
    ]),
  );
  const refuse = (top: FamilyMessage, status: number, fields = {}) =>
    data({ top, kept, fields: fields as ReturnType<typeof mistakes> }, { status });
  if (page.refused) return refuse(`refuse.${page.refused}`, page.status);
  // The answer belongs to the loan that its form was opened for, whoever has the basket by now.
  const loanId = form.get('loan');
  if (!isId(loanId)) return refuse('error.anew', 400);
  if (!(await mayStillAnswer(page.at, page.copy.id, loanId))) return refuse('refuse.notOut', 403);
  if (!(await mayAnswerNow(loanId))) return refuse('refuse.busy', 429);
  const checked = checkForm(answerSchema, form);
  if (!checked.ok) return refuse('error.top', 400, mistakes(checked.errors));
  if (isEmpty(checked.value)) return refuse('error.empty', 400);
  // Pressed twice, or sent again after going back: the same words of the same day are one answer.
  const said = JSON.stringify([loanId, today(page.at), Object.entries(checked.value).sort()]);
  const sendKey = createHash('sha256').update(said).digest('base64url');
  await addAnswer(page.at, { ...checked.value, sendKey, loanId, language: page.language });
  throw redirect(`/p/${params.linkKey}/answer?lang=${page.language}&sent=1`);
}

const Back = styled.p`
  margin-top: 1.5rem;
  a {
    display: inline-block;
    min-height: 44px;
  }
`;

export default function Answer({ loaderData, actionData }: Route.ComponentProps) {
  const { language, reading, path, languages } = loaderData;
  const words = familyWords(reading);
  const back = (
    <Back>
      <a href={`${path}?lang=${language}`}>{words('backToGame')}</a>
    </Back>
  );
  if (loaderData.state === 'sent') {
    return (
      <FamilyFrame reading={reading} path={path} languages={languages}>
        <h1>{words('thanks')}</h1>
        <p role="status">{words('thanksWhy')}</p>
        {back}
      </FamilyFrame>
    );
  }
  // What was written stays in sight, also when it cannot be sent any more.
  if (loaderData.state === 'refused' && !actionData) {
    return (
      <FamilyFrame reading={reading} path={path} languages={languages}>
        <h1>{words('tell')}</h1>
        <FamilyNote>{words(`refuse.${loaderData.why}`)}</FamilyNote>
        {back}
      </FamilyFrame>
    );
  }
  const kept: Record<string, string> = actionData?.kept ?? {};
  const mistake = (name: string) => {
    const found = actionData?.fields[name];
    return found && words(found.id, found.args);
  };
  return (
    <FamilyFrame reading={reading} path={`${path}/answer`} languages={languages}>
      <h1>{words('tell')}</h1>
      <p>{words('tellWhy')}</p>
      <FamilyForm method="post" action={`${path}/answer?lang=${language}`}>
        <input
          type="hidden"
          name="loan"
          value={kept.loan || ('loanId' in loaderData ? loaderData.loanId : '')}
        />
        {actionData && <FamilyNote>{words(actionData.top)}</FamilyNote>}
        {NUMBERS.map(({ name, from, to }) => (
          <div key={name}>
            <label htmlFor={name}>{words(name === 'minutes' ? 'minutesEach' : name)}</label>
            <input
              id={name}
              name={name}
              type="number"
              inputMode="numeric"
              min={from}
              max={to}
              defaultValue={kept[name]}
              aria-invalid={mistake(name) ? true : undefined}
              aria-describedby={mistake(name) ? `${name}-mistake` : undefined}
            />
            {mistake(name) && (
              <p className="mistake" id={`${name}-mistake`}>
                {mistake(name)}
              </p>
            )}
          </div>
        ))}
        <fieldset>
          <legend>{words('level')}</legend>
          <div className="choices">
            {(Object.keys(LEVELS) as Level[]).map((level) => (
              <label key={level}>
                <input type="radio" name="level" value={level} defaultChecked={kept.level === level} />
                {words(`level.${level}`)}
              </label>
            ))}
          </div>
          {mistake('level') && <p className="mistake">{mistake('level')}</p>}
        </fieldset>
        {TEXTS.map(({ name, limit }) => (
          <div key={name}>
            <label htmlFor={name}>{words(name)}</label>
            <textarea
              id={name}
              name={name}
              rows={name === 'missing' ? 2 : 3}
              maxLength={limit}
              defaultValue={kept[name]}
              aria-invalid={mistake(name) ? true : undefined}
            />
            {mistake(name) && <p className="mistake">{mistake(name)}</p>}
          </div>
        ))}
        <FamilySend type="submit">{words('send')}</FamilySend>
      </FamilyForm>
      {back}
    </FamilyFrame>
  );
}
