import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import styled from 'styled-components';
import { AGAIN, gameField, HOW, type Again, type How } from '~/core/listening/answer';
import { showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { gameNames } from '~/core/pack/names';
import { LEVELS, type Level } from '~/core/pack/questions';
import { FAMILY_WORDS, type FamilyMessage } from '~/core/words/family';
import { aboutLanguage } from '~/core/words/languages';
import { ENGLISH, excerpt, say } from '~/core/words/reading';
import { findCopy } from '~/data/queries/copies';
import { findFamily } from '~/data/queries/families';
import { findLoan } from '~/data/queries/lending';
import { answerSentAs } from '~/data/queries/listening';
import { noteLook } from '~/data/queries/privacy';
import { findText, settleText } from '~/data/queries/texts';
import { readingAt } from '~/data/queries/wording';
import type { SchoolHandle } from '~/data/db';
import { isId } from '~/server/ids';
import { keepAnswer } from '~/server/listening/keep';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { ListenWays } from '~/app/desk/ListenWays';
import { Button, useSending } from '~/app/ui/Button';
import { Choice } from '~/app/ui/fields/Choice';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, Workplace, Margin, Entries, Entered } from '~/app/ui/Page';
import type { Route } from './+types/call';

export const meta: Route.MetaFunction = () => [{ title: 'How did it go? · Fern Basket' }];

/** The loan that is asked about, with its bag and family. Throws a 404 page where there is none. */
async function aboutOf(at: SchoolHandle, loanId: string) {
  const loan = isId(loanId) ? await findLoan(at, loanId) : undefined;
  const [copy, family] = loan
    ? await Promise.all([findCopy(at, { id: loan.copyId }), findFamily(at, loan.familyId)])
    : [];
  if (!loan || !copy || !family || loan.closedAs === 'undone') throw notFound('This loan');
  return { loan, copy, family };
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, id: personId, role } = await requireRole(request, 'coordinator', 'helper');
  const { loan, copy, family } = await aboutOf(at, params.loanId);
  const textId = new URL(request.url).searchParams.get('text');
  const [reading, text] = await Promise.all([
    readingAt(at, family.language),
    isId(textId) && role === 'coordinator' ? findText(at, textId) : undefined,
    noteLook(at, family.id, personId, 'call'),
  ]);
  return {
    coordinates: role === 'coordinator',
    family: { name: family.name, reach: family.reach, speaks: family.speaks, language: family.language },
    reading: excerpt(reading, FAMILY_WORDS),
    tag: copy.tag,
    kitName: copy.kitName,
    lentOn: loan.lentOn,
    games: gameNames(copy.plan.variants, ENGLISH),
    named: gameNames(copy.plan.variants, reading),
    text: text?.state === 'waiting' ? { id: text.id, text: text.text } : undefined,
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const { at, id: personId, role } = await requireRole(request, 'coordinator', 'helper');
  const { loan, copy, family } = await aboutOf(at, params.loanId);
  const form = await request.formData();
  const textId = form.get('text');
  const text = isId(textId) && role === 'coordinator' ? await findText(at, textId) : undefined;
  const kept = await keepAnswer(at, form, {
    plan: copy.plan,
    loanId: loan.id,
    language: family.language,
    via: text ? 'text' : 'phone',
    personId,
  });
  if (!kept.ok)
    return data(
      {
        errors: kept.empty
          ? { '': 'Nothing is answered yet: one game and how it was is enough. Nothing was kept.' }
          : kept.errors,
      },
      { status: 400 },
    );
  const id = kept.id ?? (await answerSentAs(at, kept.sendKey));
  if (!id)
    return data({ errors: { '': 'This family is not known any more. Nothing was kept.' } }, { status: 409 });
  if (text?.state === 'waiting')
    await settleText(at, text.id, { state: 'read', answerId: id, personId, familyId: family.id });
  throw redirect(text ? '/listen/texts' : '/listen/calls?kept=1');
}

const Both = styled.span`
  display: block;
  font-weight: 400;
  color: #4c5a51;
`;

export default function Call({ loaderData, actionData }: Route.ComponentProps) {
  const { family, reading, games, named, text, coordinates } = loaderData;
  const busy = useSending();
  const errors: Record<string, string> = actionData?.errors ?? {};
  const { name: language, direction } = aboutLanguage(reading.language);
  const theirs = (id: FamilyMessage) =>
    reading.language === 'en' ? undefined : (
      <Both lang={reading.language} dir={direction}>
        {say(reading, FAMILY_WORDS, id)}
      </Both>
    );
  const asked = (id: FamilyMessage): string => say(ENGLISH, FAMILY_WORDS, id);
  return (
    <Workplace>
      <Stack>
        <ListenWays coordinates={coordinates} />
        <Heading title={`How did it go, ${family.name}?`}>
          {showTag(loaderData.tag)}, {loaderData.kitName}, lent on {showDay(loaderData.lentOn)}.
        </Heading>
        {text && (
          <Said kind="know" word="Their text">
            <span dir="auto" style={{ whiteSpace: 'pre-line' }}>
              {text.text}
            </span>
          </Said>
        )}
        <Form method="post">
          {text && <input type="hidden" name="text" value={text.id} />}
          <Stack>
            <NotSaved errors={errors} />
            {games.map((name, i) => {
              const of = (field: string): string => gameField(i, field);
              return (
                <Panel key={of('')} aria-label={name}>
                  <Stack $gap="0.8rem">
                    <h2>
                      {i + 1}. {name}
                      {named[i] !== name && (
                        <Both lang={reading.language} dir={direction}>
                          {named[i]}
                        </Both>
                      )}
                    </h2>
                    <Choice
                      name={of('said')}
                      label={asked('level')}
                      hint={theirs('level')}
                      error={errors[of('said')]}
                      options={(Object.keys(LEVELS) as Level[]).map((level) => ({
                        value: level,
                        label: [
                          LEVELS[level],
                          reading.language !== 'en' && say(reading, FAMILY_WORDS, `level.${level}`),
                        ]
                          .filter(Boolean)
                          .join(' · '),
                      }))}
                    />
                    <Row>
                      <NumberBox
                        name={of('times')}
                        label={asked('times')}
                        min={0}
                        max={60}
                        error={errors[of('times')]}
                      />
                      <TextBox
                        name={of('child')}
                        label={asked('answer.who')}
                        maxLength={16}
                        autoComplete="off"
                        error={errors[of('child')]}
                      />
                    </Row>
                    <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
                      <legend style={{ fontWeight: 700 }}>{asked('answer.how')}</legend>
                      {theirs('answer.how')}
                      <Row>
                        {(Object.keys(HOW) as How[]).map((how) => (
                          <TickBox key={how} name={of('how')} value={how}>
                            {HOW[how]}
                          </TickBox>
                        ))}
                      </Row>
                    </fieldset>
                    <TextBox
                      name={of('childSaid')}
                      label={asked('answer.childSaid')}
                      hint={theirs('answer.childSaid')}
                      lines={2}
                      maxLength={600}
                      error={errors[of('childSaid')]}
                    />
                    <TextBox
                      name={of('changed')}
                      label={asked('answer.changed')}
                      hint={theirs('answer.changed')}
                      maxLength={600}
                      error={errors[of('changed')]}
                    />
                  </Stack>
                </Panel>
              );
            })}
            <Panel aria-labelledby="whole">
              <Stack $gap="0.8rem">
                <h2 id="whole">{asked('answer.whole')}</h2>
                <TextBox
                  name="missing"
                  label={asked('missing')}
                  hint={theirs('missing')}
                  maxLength={500}
                  error={errors.missing}
                />
                <Choice
                  name="again"
                  label={asked('answer.again')}
                  hint={theirs('answer.again')}
                  error={errors.again}
                  options={(Object.keys(AGAIN) as Again[]).map((again) => ({
                    value: again,
                    label: AGAIN[again],
                  }))}
                />
                <Row>
                  <NumberBox
                    name="minutes"
                    label={asked('minutesEach')}
                    min={1}
                    max={180}
                    error={errors.minutes}
                  />
                  <NumberBox
                    name="children"
                    label={asked('children')}
                    min={0}
                    max={12}
                    error={errors.children}
                  />
                  <NumberBox
                    name="grownUps"
                    label={asked('grownUps')}
                    min={0}
                    max={12}
                    error={errors.grownUps}
                  />
                </Row>
                <TextBox
                  name="anythingElse"
                  label={asked('anythingElse')}
                  hint={theirs('anythingElse')}
                  lines={2}
                  maxLength={1500}
                  error={errors.anythingElse}
                />
                <div>
                  <Button type="submit" isPending={busy}>
                    Keep what they said
                  </Button>
                </div>
              </Stack>
            </Panel>
          </Stack>
        </Form>
      </Stack>
      <Margin label="The call">
        <Entries>
          <Entered
            label="How to reach them"
            number={family.reach || 'not known'}
            reason={`${language}${family.speaks ? `; also ${family.speaks}` : ''}.`}
          />
        </Entries>
        <p>
          Say who you are and that it takes a minute. What they do not want to answer is left empty. Nothing
          here is a test of the child.
        </p>
        <Faint>What they say stays at school; they can have it deleted whenever they ask.</Faint>
      </Margin>
    </Workplace>
  );
}
