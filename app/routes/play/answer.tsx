import { data, redirect } from 'react-router';
import styled from 'styled-components';
import { AGAIN, gameField, HOW, type Again, type How } from '~/core/listening/answer';
import { NUMBERED_PARTS } from '~/core/games/kit/types';
import { forPlayers } from '~/core/kits/recipe';
import { open } from '~/core/own/open';
import { gameNames } from '~/core/pack/names';
import { onPhone } from '~/core/pack/phone';
import { LEVELS, type Level } from '~/core/pack/questions';
import type { FamilyMessage } from '~/core/words/family';
import { findFamily } from '~/data/queries/families';
import { findLoan } from '~/data/queries/lending';
import { answerSentAs } from '~/data/queries/listening';
import { mayAnswerFrom } from '~/data/queries/browsers';
import { addPicture } from '~/data/queries/pictures';
import { mayAnswerInAll, mayAnswerNow } from '~/server/limits';
import { noteSecurity } from '~/server/people/security';
import { isId } from '~/server/ids';
import { keepAnswer } from '~/server/listening/keep';
import { MOST_PICTURE_BYTES, pictureGoesOn, pictureIn } from '~/server/listening/pictures';
import { familyPage, mayStillAnswer, openFor, shownOf, type FamilyPage } from '~/server/play';
import type { PageHandle } from '~/app/root';
import { FamilyForm, FamilyFrame, FamilyMore, FamilyNote, FamilySend, familyWords } from './FamilyPage';
import type { Route } from './+types/answer';

export const handle: PageHandle = { withoutScripts: true };
export const meta: Route.MetaFunction = () => [
  { title: 'Fern Basket' },
  { name: 'robots', content: 'noindex' },
];

const NUMBERS = [
  { name: 'children', from: 0, to: 12 },
  { name: 'grownUps', from: 0, to: 12 },
  { name: 'minutes', from: 1, to: 180 },
] as const;
const TEXTS = [
  { name: 'missing', limit: 500 },
  { name: 'anythingElse', limit: 1500 },
] as const;
const GAME_TEXTS = [
  { name: 'childSaid', limit: 600 },
  { name: 'changed', limit: 600 },
] as const;
const NICKNAME = 16;
const TIMES = { from: 0, to: 60 };
/** Pictures a phone can send, whatever it makes. */
const PICTURES = 'image/*';

type Open = Extract<FamilyPage, { refused?: undefined }>;
/** Whether the family that has this loan allows pictures; nothing else about it is asked. */
async function allowsPictures({ at }: Open, loanId: string): Promise<boolean> {
  const loan = await findLoan(at, loanId);
  return loan !== undefined && ((await findFamily(at, loan.familyId))?.pictures ?? false);
}

/** The games of the bag as they are asked about. */
const gamesOf = ({ copy, reading }: Open) => {
  const { players, variants } = copy.plan;
  const names = gameNames(variants, reading);
  return variants.map((one, i) => ({
    name: names[i]!,
    steps: onPhone(open(forPlayers(one, players)), reading)
      .steps.filter(({ part }) => NUMBERED_PARTS.has(part))
      .map(({ id, text }) => ({ id, text })),
  }));
};

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
        games: gamesOf(page),
      },
      { status: 403, headers },
    );
  // Who answers is known before: what is sent twice for want of a network comes from one browser.
  const browser = await openFor(request, params.linkKey, () => Promise.resolve(true));
  headers.append('Set-Cookie', browser!);
  return data(
    {
      state: 'open' as const,
      ...shown,
      loanId: page.loanId,
      games: gamesOf(page),
      pictures: await allowsPictures(page, page.loanId),
    },
    { headers },
  );
}

interface Mistake {
  id: FamilyMessage;
  args: Record<string, number>;
}
/** Which message tells what is wrong with a field, in the family's own language. */
function mistakeIn(field: string): Mistake {
  const [, of = field] = /^g\d+\.(.+)$/.exec(field) ?? [];
  const number = of === 'times' ? TIMES : NUMBERS.find(({ name }) => name === of);
  if (number) return { id: 'error.number', args: { from: number.from, to: number.to } };
  if (of === 'child') return { id: 'error.nickname', args: { limit: NICKNAME } };
  const text = [...TEXTS, ...GAME_TEXTS].find(({ name }) => name === of);
  return text ? { id: 'error.long', args: { limit: text.limit } } : { id: 'error.choice', args: {} };
}

export async function action({ request, params, context }: Route.ActionArgs) {
  const page = await familyPage(request, params.linkKey, context.clientAddress);
  const form = await request.formData();
  const kept: Record<string, string[]> = Object.fromEntries(
    [...new Set(form.keys())].map((name) => [
      name,
      form.getAll(name).filter((value): value is string => typeof value === 'string'),
    ]),
  );
  const refuse = (top: FamilyMessage, status: number, fields: Record<string, Mistake> = {}) =>
    data({ top, kept, fields }, { status });
  if (page.refused) return refuse(`refuse.${page.refused}`, page.status);
  // The answer belongs to the loan that its form was opened for, whoever has the basket by now.
  const loanId = form.get('loan');
  if (!isId(loanId)) return refuse('error.anew', 400);
  if (!(await mayStillAnswer(page.at, page.copy.id, loanId))) return refuse('refuse.notOut', 403);
  const browser = await openFor(request, params.linkKey, (hash) => mayAnswerFrom(page.at, loanId, hash));
  if (!browser) return refuse('refuse.number', 403);
  if (!(await mayAnswerNow(loanId))) return refuse('refuse.busy', 429);
  if (!(await mayAnswerInAll(loanId))) {
    await noteSecurity(page.at, 'totalReached', null);
    return refuse('refuse.busy', 429);
  }
  const picture = (await allowsPictures(page, loanId))
    ? await pictureIn(form.get('picture'))
    : ({ ok: true, picture: undefined } as const);
  if (!picture.ok)
    return refuse('error.top', 400, {
      picture: { id: picture.why, args: { limit: MOST_PICTURE_BYTES / 1_000_000 } },
    });
  const result = await keepAnswer(page.at, form, {
    plan: page.copy.plan,
    loanId,
    language: page.language,
    via: 'page',
    alone: picture.picture !== undefined,
  });
  if (!result.ok)
    return result.empty
      ? refuse('error.empty', 400)
      : refuse(
          'error.top',
          400,
          Object.fromEntries(Object.keys(result.errors).map((field) => [field, mistakeIn(field)])),
        );
  if (picture.picture) {
    // Sent twice, the answer is there already; its picture then is too.
    const answerId = result.id;
    if (answerId)
      await addPicture(page.at, {
        answerId,
        ...picture.picture,
        goesOn: await pictureGoesOn(page.at),
      });
    else if (!(await answerSentAs(page.at, result.sendKey))) return refuse('refuse.notOut', 403);
  }
  throw redirect(`/p/${params.linkKey}/answer?lang=${page.language}&sent=1`, {
    headers: { 'Set-Cookie': browser },
  });
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
        <span hidden data-sent={path} />
        {back}
        <script src="/keep-typed.js" defer />
      </FamilyFrame>
    );
  }
  const games = 'games' in loaderData ? loaderData.games : undefined;
  // What was written stays in sight, also when it cannot be sent any more.
  if (!games || (loaderData.state === 'refused' && !actionData)) {
    return (
      <FamilyFrame reading={reading} path={path} languages={languages}>
        <h1>{words('tell')}</h1>
        {loaderData.state === 'refused' && <FamilyNote>{words(`refuse.${loaderData.why}`)}</FamilyNote>}
        {back}
      </FamilyFrame>
    );
  }
  return (
    <FamilyFrame reading={reading} path={`${path}/answer`} languages={languages}>
      <span hidden data-say-listen={words('listen')} data-say-stop={words('stopListening')} />
      <h1>{words('tell')}</h1>
      <p data-say="">{words('answer.enough')}</p>
      <Questions
        words={words}
        action={`${path}/answer?lang=${language}`}
        path={path}
        language={language}
        loanId={'loanId' in loaderData ? loaderData.loanId : ''}
        games={games}
        pictures={'pictures' in loaderData && loaderData.pictures}
        top={actionData?.top}
        kept={actionData?.kept ?? {}}
        fields={actionData?.fields ?? {}}
      />
      {back}
      <script src="/say-aloud.js" defer />
      <script src="/keep-typed.js" defer />
    </FamilyFrame>
  );
}

interface QuestionsProps {
  words: ReturnType<typeof familyWords>;
  action: string;
  path: string;
  language: string;
  loanId: string;
  games: { name: string; steps: { id: string; text: string }[] }[];
  pictures: boolean;
  top?: FamilyMessage | undefined;
  kept: Record<string, string[]>;
  fields: Record<string, Mistake>;
}

function Questions(props: QuestionsProps) {
  const { words, action, path, language, loanId, games, pictures, top, kept, fields } = props;
  const mistake = (name: string): string | undefined => {
    const found = fields[name];
    return found && words(found.id, found.args);
  };
  const first = (name: string): string | undefined => kept[name]?.[0];
  const wrong = (name: string) => {
    const text = mistake(name);
    return text ? (
      <p className="mistake" id={`${name}-mistake`}>
        {text}
      </p>
    ) : null;
  };
  const marks = (name: string) =>
    mistake(name) ? { 'aria-invalid': true as const, 'aria-describedby': `${name}-mistake` } : {};
  const number = (name: string, label: FamilyMessage, from: number, to: number) => (
    <div key={name}>
      <label htmlFor={name}>{words(label)}</label>
      <input
        id={name}
        name={name}
        type="number"
        inputMode="numeric"
        min={from}
        max={to}
        defaultValue={first(name)}
        {...marks(name)}
      />
      {wrong(name)}
    </div>
  );
  const text = (name: string, label: FamilyMessage, limit: number, rows = 2) => (
    <div key={name}>
      <label htmlFor={name}>{words(label)}</label>
      <textarea
        id={name}
        name={name}
        rows={rows}
        maxLength={limit}
        defaultValue={first(name)}
        {...marks(name)}
      />
      {wrong(name)}
    </div>
  );
  /** A part that is folded away is open where something in it was filled in, or is wrong. */
  const begun = (names: readonly string[]): boolean =>
    names.some((name) => mistake(name) !== undefined || kept[name]?.some(Boolean));
  const whole = ['children', 'grownUps', 'minutes', 'again', 'missing', 'anythingElse', 'picture'];
  return (
    <FamilyForm
      method="post"
      action={action}
      encType={pictures ? 'multipart/form-data' : undefined}
      data-keeps={`${path} ${loanId}`}
      data-offline={words('answer.offline')}
      data-kept={words('answer.kept')}
    >
      <input type="hidden" name="loan" value={first('loan') || loanId} />
      {top && <FamilyNote>{words(top)}</FamilyNote>}
      {top === 'refuse.number' && (
        <p>
          <a href={`${path}/next?lang=${language}`}>{words('haveNumber')}</a>
        </p>
      )}
      {games.map(({ name, steps }, i) => {
        const of = (field: string): string => gameField(i, field);
        const extra = ['child', 'times', 'how', 'childSaid', 'changed', 'unclear'].map(of);
        return (
          <fieldset key={of('')}>
            <legend>
              {games.length > 1 && `${i + 1}. `}
              {name}
            </legend>
            <p data-say="">
              {words('level')}
              <span className="visually-hidden">
                {`: ${(Object.keys(LEVELS) as Level[]).map((level) => words(`level.${level}`)).join(', ')}`}
              </span>
            </p>
            <div className="choices">
              {(Object.keys(LEVELS) as Level[]).map((level) => (
                <label key={level}>
                  <input
                    type="radio"
                    name={of('said')}
                    value={level}
                    defaultChecked={first(of('said')) === level}
                  />
                  {words(`level.${level}`)}
                </label>
              ))}
            </div>
            {wrong(of('said'))}
            <FamilyMore open={begun(extra)}>
              <summary>{words('answer.more')}</summary>
              <div>
                <label htmlFor={of('child')}>{words('answer.who')}</label>
                <input
                  id={of('child')}
                  name={of('child')}
                  maxLength={NICKNAME}
                  autoComplete="off"
                  defaultValue={first(of('child'))}
                  {...marks(of('child'))}
                />
                {wrong(of('child'))}
              </div>
              {number(of('times'), 'times', TIMES.from, TIMES.to)}
              <fieldset>
                <legend data-say="">{words('answer.how')}</legend>
                <div className="choices">
                  {(Object.keys(HOW) as How[]).map((how) => (
                    <label key={how}>
                      <input
                        type="checkbox"
                        name={of('how')}
                        value={how}
                        defaultChecked={kept[of('how')]?.includes(how)}
                      />
                      {words(`how.${how}`)}
                    </label>
                  ))}
                </div>
                {wrong(of('how'))}
              </fieldset>
              {text(of('childSaid'), 'answer.childSaid', 600)}
              {text(of('changed'), 'answer.changed', 600)}
              <div>
                <label htmlFor={of('unclear')}>{words('answer.unclear')}</label>
                <select id={of('unclear')} name={of('unclear')} defaultValue={first(of('unclear')) ?? ''}>
                  <option value="">{words('answer.allClear')}</option>
                  {steps.map((step) => (
                    <option key={step.id} value={step.id}>
                      {step.text}
                    </option>
                  ))}
                </select>
              </div>
            </FamilyMore>
          </fieldset>
        );
      })}
      <FamilyMore open={begun(whole)}>
        <summary>{words('answer.whole')}</summary>
        {text('missing', 'missing', 500)}
        <fieldset>
          <legend data-say="">{words('answer.again')}</legend>
          <div className="choices">
            {(Object.keys(AGAIN) as Again[]).map((again) => (
              <label key={again}>
                <input type="radio" name="again" value={again} defaultChecked={first('again') === again} />
                {words(`again.${again}`)}
              </label>
            ))}
          </div>
          {wrong('again')}
        </fieldset>
        {NUMBERS.map(({ name, from, to }) =>
          number(name, name === 'minutes' ? 'minutesEach' : name, from, to),
        )}
        {text('anythingElse', 'anythingElse', 1500, 3)}
        {pictures && (
          <div>
            <label htmlFor="picture">{words('answer.picture')}</label>
            <input id="picture" name="picture" type="file" accept={PICTURES} {...marks('picture')} />
            {wrong('picture')}
            <p>{words('answer.pictureWhy')}</p>
          </div>
        )}
      </FamilyMore>
      <FamilySend type="submit">{words('send')}</FamilySend>
    </FamilyForm>
  );
}
