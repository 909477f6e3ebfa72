import { useEffect, useRef, useState } from 'react';
import { Form, useNavigate, useSearchParams, useSubmit } from 'react-router';
import type { RoundStep } from '~/core/lending/round';
import { showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { LendWays } from '~/app/desk/LendWays';
import { Button } from '~/app/ui/Button';
import { NumberBox, Pick, TickBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import {
  Empty,
  Entered,
  Entries,
  Faint,
  Heading,
  Margin,
  Panel,
  Row,
  Stack,
  State,
  Tag,
  Workplace,
} from '~/app/ui/Page';
import { Swapped } from '~/app/ui/Swapped';
import type { Told } from './round-solve';
import type { Route } from './+types/round';

type Data = Route.ComponentProps['loaderData'];
type Plan = NonNullable<Data['plan']>;
type Solved = NonNullable<Plan['solved']>;

const STEPS: Record<RoundStep, string> = {
  families: 'Step 1 of 3: as many families as possible',
  languages: 'Step 2 of 3: the share of each language',
  score: 'Step 3 of 3: waiting, wishes and fit',
};

/** A large hand-out, solved while the page is open: the step it has come to, and what came of it. */
function useSolving(url: string, wanted: boolean) {
  const [told, setTold] = useState<{ step?: RoundStep; solved?: Solved; problem?: string; url: string }>();
  const [stopped, setStopped] = useState(false);
  const [stop, setStop] = useState<AbortController>();
  useEffect(() => {
    if (!wanted) return;
    const control = new AbortController();
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setStop(control);
    setStopped(false);
    const read = async (): Promise<void> => {
      const answer = await fetch(url, { signal: control.signal });
      if (!answer.ok || !answer.body)
        return setTold({ url, problem: 'This could not be solved just now. Load the page again.' });
      const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
      let rest = '';
      for (let part = await reader.read(); !part.done; part = await reader.read()) {
        const lines = (rest + part.value).split('\n');
        rest = lines.pop()!;
        for (const line of lines) if (line) setTold({ url, ...(JSON.parse(line) as Told) });
      }
    };
    read().catch(() => {
      if (!control.signal.aborted) setTold({ url, problem: 'The connection was lost. Load the page again.' });
    });
    return () => control.abort();
  }, [url, wanted]);
  return {
    ...(told?.url === url ? told : {}),
    stopped,
    cancel: () => {
      stop?.abort();
      setStopped(true);
    },
  };
}

/** A hand-out that is being planned: who gets which bag and why, what counts how much, and what is held fast. */
export function Planning({
  round,
  plan,
  problem,
  today,
}: {
  round: Data['round'];
  plan: Plan;
  problem?: string;
  today: string;
}) {
  const [search] = useSearchParams();
  const turned = search.toString();
  const large = plan.solved === undefined && plan.problem === undefined;
  const solving = useSolving(`/lend/rounds/${round.id}/solve?${turned}`, large);
  const solved = plan.solved ?? solving.solved;
  const wrong = problem || plan.problem || solving.problem;
  const told = useRef<HTMLDivElement>(null);
  // What was done further down is answered up here.
  useEffect(() => {
    if (problem) told.current?.scrollIntoView({ block: 'center' });
  }, [problem, round.version]);
  const submit = useSubmit();
  const fixed = { version: String(round.version), weights: turned };
  const send = (fields: Record<string, string>): void =>
    void submit({ ...fixed, ...fields }, { method: 'post' });
  const family = (id: string) => plan.families.find((one) => one.id === id)!;
  const copy = (id: string) => plan.copies.find((one) => one.id === id)!;
  const changed = (['wait', 'wish', 'fit', 'languages'] as const).some(
    (knob) => plan.weights[knob] !== plan.kept[knob],
  );
  return (
    <Workplace>
      <Stack>
        <LendWays coordinates />
        <Heading
          title={round.name}
          action={
            solved && (
              <Button onPress={() => send({ intent: 'promise' })} isDisabled={solved.round.served === 0}>
                Promise {count(solved.round.served, 'bag')}
              </Button>
            )
          }
        >
          {showDay(round.onDay)}: {count(plan.families.length, 'family', 'families')},{' '}
          {count(plan.copies.length, 'bag')}. Nothing is promised yet.
        </Heading>
        {wrong && (
          <div ref={told}>
            <Said kind="stop" live>
              {wrong}
            </Said>
          </div>
        )}
        {plan.dropped > 0 && (
          <Said kind="mind">
            {count(plan.dropped, 'pin')} of bags or families that are not free any more{' '}
            {plan.dropped === 1 ? 'does' : 'do'} not count.
          </Said>
        )}
        <Weights plan={plan} changed={changed} onKeep={() => send({ intent: 'weights' })} />
        {!solved && !wrong && (
          <Panel aria-label="Matching">
            <Row style={{ alignItems: 'center' }}>
              <p role="status">
                {solving.stopped
                  ? 'Given up. Load the page again to match them.'
                  : solving.step
                    ? STEPS[solving.step]
                    : 'Matching families and bags …'}
              </p>
              {!solving.stopped && (
                <Button quiet onPress={solving.cancel}>
                  Give it up
                </Button>
              )}
            </Row>
          </Panel>
        )}
        {solved && (
          <>
            <Against solved={solved} plan={plan} name={(id) => family(id).name} />
            <Panel aria-labelledby="matches">
              <Stack $gap="0.6rem">
                <h2 id="matches">Who gets what</h2>
                <Faint>
                  Drop a family on another one and they change bags; the rest is matched anew around them.
                </Faint>
                {solved.round.matches.length === 0 ? (
                  <Empty title="No bag can go to any of these families">The reasons stand below.</Empty>
                ) : (
                  <Swapped
                    label="Who gets what"
                    onSwap={(moved, other) => {
                      const bag = (id: string): string =>
                        solved.round.matches.find((one) => one.family === id)!.copy;
                      send({
                        intent: 'swap',
                        family: moved,
                        copy: bag(moved),
                        other,
                        otherCopy: bag(other),
                      });
                    }}
                    items={solved.round.matches.map((match) => {
                      const whom = family(match.family);
                      const bag = copy(match.copy);
                      const pinned = plan.pins.some((pin) => pin.family === match.family);
                      return {
                        id: match.family,
                        name: whom.name,
                        shown: (
                          <>
                            <span style={{ flex: '1 1 12rem' }}>
                              <strong>{whom.name}</strong>
                              <br />
                              <span style={{ fontSize: '0.95rem' }}>
                                {[whom.group, aboutLanguage(whom.language).name].filter(Boolean).join(', ')}
                              </span>
                            </span>
                            <span style={{ flex: '1 1 10rem' }}>
                              <Tag>{showTag(bag.tag)}</Tag> {bag.kitName}
                              {pinned && (
                                <>
                                  {' '}
                                  <State tone="note">pinned</State>
                                </>
                              )}
                              <br />
                              <span style={{ fontSize: '0.95rem' }}>{match.why}</span>
                            </span>
                            <Button
                              quiet
                              aria-label={
                                pinned ? `Let the bag of ${whom.name} go` : `Pin this bag to ${whom.name}`
                              }
                              onPress={() =>
                                send(
                                  pinned
                                    ? { intent: 'unpin', family: match.family }
                                    : { intent: 'pin', family: match.family, copy: match.copy },
                                )
                              }
                            >
                              {pinned ? 'Let go' : 'Pin'}
                            </Button>
                            <Button
                              quiet
                              aria-label={`No ${bag.kitName} for ${whom.name}`}
                              onPress={() => send({ intent: 'veto', family: match.family, kit: bag.kitId })}
                            >
                              Not this
                            </Button>
                          </>
                        ),
                      };
                    })}
                  />
                )}
              </Stack>
            </Panel>
            <Without solved={solved} plan={plan} fixed={fixed} today={today} />
          </>
        )}
        <Vetoes plan={plan} send={send} />
        <Row>
          <Form method="post">
            <input type="hidden" name="intent" value="end" />
            <Button type="submit" quiet clay>
              Give this hand-out up
            </Button>
          </Form>
        </Row>
      </Stack>
      <Margin label="Reckonings">
        {solved && (
          <Entries>
            <Entered
              label="Served"
              number={String(solved.round.served)}
              unit={`of ${count(plan.families.length, 'family', 'families')}`}
              reason="No other way of handing out serves more of them: it is proved."
            />
            <Entered
              label="In their language’s share"
              number={String(solved.round.fairness)}
              unit="families"
              reason={
                plan.weights.languages
                  ? 'Each home language gets its share of the bags first, as far as bags suit.'
                  : 'Shares of languages do not count now.'
              }
            />
            <Entered
              label="Score"
              number={String(solved.round.score)}
              reason="Waiting, wishes and fit, added up over all bags."
            />
            <Entered
              label="In the order of the list"
              number={String(solved.first.served)}
              unit="families"
              reason={`${solved.first.fairness} in their language’s share, score ${solved.first.score}.`}
            />
          </Entries>
        )}
      </Margin>
    </Workplace>
  );
}

/** What counts how much; turning one shows at once what would change. */
function Weights({ plan, changed, onKeep }: { plan: Plan; changed: boolean; onKeep: () => void }) {
  const navigate = useNavigate();
  const [mine, setMine] = useState(plan.weights);
  const turn = (change: Partial<typeof mine>): void => {
    const next = { ...mine, ...change };
    setMine(next);
    const { wait, wish, fit, languages } = next;
    void navigate(`?wait=${wait}&wish=${wish}&fit=${fit}&languages=${languages ? 1 : 0}`, {
      replace: true,
      preventScrollReset: true,
    });
  };
  return (
    <Panel aria-labelledby="weights">
      <Stack $gap="0.6rem">
        <h2 id="weights">What counts how much</h2>
        <Row>
          <NumberBox
            name="wait"
            label="A week of waiting"
            min={0}
            max={20}
            value={mine.wait}
            onChange={(wait) => turn({ wait })}
          />
          <NumberBox
            name="wish"
            label="A wish"
            min={0}
            max={100}
            value={mine.wish}
            onChange={(wish) => turn({ wish })}
          />
          <NumberBox
            name="fit"
            label="A level that fits"
            min={0}
            max={100}
            value={mine.fit}
            onChange={(fit) => turn({ fit })}
          />
          <TickBox isSelected={mine.languages} onChange={(languages) => turn({ languages })}>
            Each language gets its share first
          </TickBox>
          {changed && (
            <Button quiet onPress={onKeep}>
              Keep it so
            </Button>
          )}
        </Row>
      </Stack>
    </Panel>
  );
}

/** What this changes against handing out in the order of the list. */
function Against({
  solved: { round, first, gains, loses },
  name,
}: {
  solved: Solved;
  plan: Plan;
  name: (id: string) => string;
}) {
  const more = round.served - first.served;
  const fairer = round.fairness - first.fairness;
  return (
    <Said kind="know" word="Against handing out in the order of the list">
      {more === 0
        ? 'As many families are served'
        : `${count(more, 'more family is', 'more families are')} served`}
      , {fairer === 0 ? 'as many' : `${Math.abs(fairer)} ${fairer > 0 ? 'more' : 'fewer'}`} in the share of
      their language; the score goes from {first.score} to {round.score}.
      {gains.length > 0 && <> A bag comes to {gains.map(name).join(', ')}.</>}
      {loses.length > 0 && <> Without one now: {loses.map(name).join(', ')}.</>}
      {gains.length + loses.length === 0 && ' The same families are served, some with other bags.'}
    </Said>
  );
}

/** Families without a bag: why, when one may come, and the way to give them one all the same. */
function Without({
  solved,
  plan,
  fixed,
  today,
}: {
  solved: Solved;
  plan: Plan;
  fixed: Record<string, string>;
  today: string;
}) {
  const rows = [
    ...solved.round.without.map(({ family: id, why }) => ({
      id,
      name: plan.families.find((one) => one.id === id)!.name,
      why,
      expects: solved.expects[id],
      free: true,
    })),
    ...plan.aside.map(({ family: id, name, why }) => ({ id, name, why, expects: undefined, free: false })),
  ];
  if (rows.length === 0) return null;
  const reasons = [...new Set(rows.map(({ why, expects }) => `${why} ${expects}`))].map((key) =>
    rows.filter(({ why, expects }) => `${why} ${expects}` === key),
  );
  const free = rows.filter((row) => row.free);
  return (
    <Panel aria-labelledby="without">
      <Stack $gap="0.6rem">
        <h2 id="without">Without a bag this time: {count(rows.length, 'family', 'families')}</h2>
        <ul style={{ display: 'grid', gap: '0.7rem' }}>
          {reasons.map((alike) => {
            const { why, expects, free: may } = alike[0]!;
            return (
              <li key={alike[0]!.id}>
                <strong>{alike.map(({ name }) => name).join(', ')}.</strong> {why}
                {may &&
                  (expects === undefined
                    ? ' No bag that suits is out either.'
                    : expects < today
                      ? ' One that suits is late, and may come home any day.'
                      : ` One that suits is due back on ${showDay(expects)}.`)}
              </li>
            );
          })}
        </ul>
        {free.length > 0 && plan.copies.length > 0 && (
          <Form method="post">
            <input type="hidden" name="intent" value="pin" />
            {Object.entries(fixed).map(([field, value]) => (
              <input key={field} type="hidden" name={field} value={value} />
            ))}
            <Row>
              <Pick
                name="family"
                label="All the same, give to"
                options={free.map(({ id, name }) => ({ value: id, label: name }))}
              />
              <Pick
                name="copy"
                label="this bag"
                options={plan.copies.map((copy) => ({
                  value: copy.id,
                  label: `${showTag(copy.tag)} ${copy.kitName}`,
                }))}
              />
              <Button type="submit" quiet>
                Pin it
              </Button>
            </Row>
          </Form>
        )}
      </Stack>
    </Panel>
  );
}

function Vetoes({ plan, send }: { plan: Plan; send: (fields: Record<string, string>) => void }) {
  const known = plan.vetoes.flatMap(({ family, kit }) => {
    const whom = plan.families.find(({ id }) => id === family);
    const what = plan.kits.find(({ id }) => id === kit);
    return whom && what ? [{ family, kit, words: `No ${what.name} for ${whom.name}` }] : [];
  });
  if (known.length === 0) return null;
  return (
    <Panel aria-labelledby="vetoes">
      <Stack $gap="0.5rem">
        <h2 id="vetoes">Ruled out</h2>
        {known.map(({ family, kit, words }) => (
          <Row key={words} style={{ alignItems: 'center' }}>
            <span>{words}</span>
            <Button
              quiet
              aria-label={`Allow again: ${words}`}
              onPress={() => send({ intent: 'allow', family, kit })}
            >
              Allow again
            </Button>
          </Row>
        ))}
      </Stack>
    </Panel>
  );
}
