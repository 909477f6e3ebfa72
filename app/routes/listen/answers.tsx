import { data, Form } from 'react-router';
import styled from 'styled-components';
import { open } from '~/core/own/open';
import type { KitPlan } from '~/core/kits/recipe';
import { visible } from '~/core/check/keepable';
import { LEVELS } from '~/core/pack/questions';
import { readSlip, slipSentence } from '~/core/listening/slip';
import { nextStep, sentenceFor, type Heard } from '~/core/listening/sentence';
import { showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import type { SchoolHandle } from '~/data/db';
import { addAnswer, listAnswers, markRead, type AnswerRow } from '~/data/queries/listening';
import { findCopy } from '~/data/queries/kits';
import { lastLoanOf } from '~/data/queries/lending';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { dayAt } from '~/server/today';
import { recipeOf } from '~/server/threads';
import { requireRole } from '~/server/people/session';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Row, Panel, Stack, State, Tag, Wide } from '~/app/ui/Page';
import { color } from '~/app/ui/theme';
import { SlipForm, type SlipAnswered } from './SlipForm';
import type { Route } from './+types/answers';

export const meta: Route.MetaFunction = () => [{ title: 'Listen · Fern Basket' }];

/** What a family heard about: "6 counters" for one game, the kit's name for several. */
function subjectOf(plan: KitPlan, kitName: string): string {
  const only = plan.variants.length === 1 ? plan.variants[0] : undefined;
  return only ? open(only).subject() : `“${kitName}”`;
}

async function group(rows: AnswerRow[]) {
  const subjects = new Map<
    string,
    { key: string; kitName: string; subject: string; expected: number; plan: KitPlan; rows: AnswerRow[] }
  >();
  for (const row of rows) {
    const subject = subjectOf(row.plan, row.kitName);
    const key = `${row.kitId} ${JSON.stringify(row.plan)}`;
    const found = subjects.get(key) ?? {
      key,
      kitName: row.kitName,
      subject,
      expected: (await recipeOf(row.plan)).minutes,
      plan: row.plan,
      rows: [],
    };
    found.rows.push(row);
    subjects.set(key, found);
  }
  return [...subjects.values()];
}

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const heardOf = await group(await listAnswers(at));
  const oneOf = async ({ kitName, subject, expected, plan, rows }: (typeof heardOf)[number]) => {
    const heard: Heard[] = rows.map((row) => ({
      familyId: row.familyId,
      level: row.answer.level,
      minutes: row.answer.minutes,
    }));
    const next = nextStep(heard);
    const only = plan.variants.length === 1 ? (await recipeOf(plan)).variants[0] : undefined;
    const rung = next && only?.reckoning.ladder[next.direction];
    return {
      kitName,
      sentence: sentenceFor(heard, subject, expected),
      next: next && { ...next, gameId: only?.variant.gameId, rung: rung?.label },
      older: Math.max(0, rows.length - MOST_SHOWN),
      rows: rows
        .reverse()
        .slice(0, MOST_SHOWN)
        .map(({ answer, familyName, tag }) => ({
          ...answer,
          sentAt: dayAt(at, answer.sentAt),
          isNew: answer.readAt === null,
          familyName,
          tag,
        })),
    };
  };
  return {
    groups: await Promise.all(heardOf.map(oneOf)),
    slip: new URL(request.url).searchParams.get('slip') ?? '',
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const mark = async (read: boolean): Promise<null> => {
    await markRead(at, form.getAll('answer').filter(isId), read);
    return null;
  };
  return byIntent(form, {
    slip: () =>
      keepSlip(at, visible(String(form.get('slip') ?? '')), visible(String(form.get('words') ?? ''), true)),
    unread: () => mark(false),
    '': () => mark(true),
  });
}

/** Stores what a paper slip says, as an answer of the family that had the bag last. */
async function keepSlip(at: SchoolHandle, slip: string, words: string) {
  const refuse = (problem: string, status = 400) => data<SlipAnswered>({ problem, slip, words }, { status });
  const reading = readSlip(slip);
  if (!reading.ok) return refuse(reading.problem);
  if (words.length > MOST_WORDS) return refuse(`There is room for ${MOST_WORDS} characters.`);
  const copy = await findCopy(at, { tag: reading.tag });
  const last = copy && (await lastLoanOf(at, copy.id));
  if (!last)
    return refuse(
      `${showTag(reading.tag)} was never lent, so nobody can have filled in its slip. Look at the number again.`,
      409,
    );
  const { id: loanId, familyName, language } = last;
  const kept = await addAnswer(at, {
    ...reading.answer,
    childDid: words,
    anythingElse: '',
    // One bag brings one slip home from a loan: typed twice, it counts once.
    sendKey: `slip ${loanId}`,
    loanId,
    language,
  });
  return kept
    ? data<SlipAnswered>({
        kept: `${showTag(reading.tag)}, ${familyName}: ${slipSentence(reading.answer)}`,
      })
    : refuse(
        `The slip of ${familyName} for ${showTag(reading.tag)} was typed in before; it was not kept twice.`,
        409,
      );
}
const MOST_WORDS = 1500;
/** So many answers of one basket are shown, the newest; all of them count in its sentence. */
const MOST_SHOWN = 40;

const Voice = styled.article<{ $new: boolean }>`
  padding: 0.7rem 0 0.7rem 1rem;
  border-inline-start: 5px solid ${({ $new }) => ($new ? color.straw : color.line)};
  display: grid;
  gap: 0.3rem;
  blockquote {
    margin: 0;
    font-size: 1.08rem;
  }
`;
const Sentence = styled.p`
  font-family: 'Young Serif', serif;
  font-size: 1.35rem;
  font-variant-numeric: lining-nums;
  line-height: 1.35;
  color: ${color.deepFern};
`;

export default function Answers({ loaderData, actionData }: Route.ComponentProps) {
  const { groups, slip } = loaderData;
  const fresh = groups.flatMap((one) => one.rows).filter((row) => row.isNew);
  return (
    <Wide>
      <Stack $gap="1.6rem">
        <Heading
          title="Listen"
          action={
            fresh.length > 0 && (
              <Form method="post">
                {fresh.map((row) => (
                  <input key={row.id} type="hidden" name="answer" value={row.id} />
                ))}
                <Button type="submit" quiet>
                  I have read {fresh.length === 1 ? 'the new answer' : `the ${fresh.length} new answers`}
                </Button>
              </Form>
            )
          }
        >
          What did families say, and what does it mean for the next basket?
        </Heading>
        <SlipForm key={actionData?.kept ?? slip} answered={actionData ?? undefined} start={slip} />
        {groups.length === 0 && (
          <Empty title="Nobody has answered yet" action={<ButtonLink href="/lend">Lend a copy</ButtonLink>}>
            Families answer on the page behind the QR code of the label, or on the paper slip in the bag.
          </Empty>
        )}
        {groups.map((one) => (
          <Panel key={one.kitName + one.rows[0]!.id} aria-label={one.kitName}>
            <Stack>
              <h2>{one.kitName}</h2>
              {one.sentence && <Sentence>{one.sentence}</Sentence>}
              {one.next && (
                <Said
                  kind="know"
                  word="For the next basket"
                  action={
                    one.next.gameId && (
                      <ButtonLink quiet href={`/choose/${one.next.gameId}`}>
                        Open the game bench
                      </ButtonLink>
                    )
                  }
                >
                  {one.next.reason} One step {one.next.direction}
                  {one.next.rung ? `: ${one.next.rung.toLowerCase()}` : ''}.
                </Said>
              )}
              {one.rows.map((row) => (
                <Voice key={row.id} $new={row.isNew}>
                  <Row $gap="0.7rem">
                    <strong>{row.familyName}</strong>
                    <Tag>{showTag(row.tag)}</Tag>
                    <Faint as="span">{showDay(row.sentAt)}</Faint>
                    {row.level && (
                      <State tone={row.level === 'justRight' ? 'calm' : 'wait'}>{LEVELS[row.level]}</State>
                    )}
                    {row.isNew && <State tone="note">new</State>}
                  </Row>
                  <p>
                    {[
                      row.times !== null && `played ${count(row.times, 'time')}`,
                      row.minutes !== null && `about ${count(row.minutes, 'minute')}`,
                      row.children !== null && count(row.children, 'child', 'children'),
                      row.grownUps !== null && count(row.grownUps, 'grown-up'),
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </p>
                  {row.childDid && <blockquote lang={row.language}>“{row.childDid}”</blockquote>}
                  {row.missing && (
                    <p lang={row.language}>
                      <State tone="hand">missing or broken</State> {row.missing}
                    </p>
                  )}
                  {row.anythingElse && <p lang={row.language}>{row.anythingElse}</p>}
                </Voice>
              ))}
              {one.older > 0 && (
                <Faint>{count(one.older, 'older answer')} counted above and not shown.</Faint>
              )}
            </Stack>
          </Panel>
        ))}
      </Stack>
    </Wide>
  );
}
