import { useEffect, useRef } from 'react';
import { useSearchParams } from 'react-router';
import { Form, useSubmit } from '~/app/ui/sending';
import { showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { LendWays } from '~/app/desk/LendWays';
import { Button } from '~/app/ui/Button';
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
import { Against, Vetoes, Weights, Without } from './PlanParts';
import { STEPS, useSolving, type Plan, type RoundData } from './useSolving';

/** A hand-out that is being planned: who gets which bag and why, what counts how much, and what is held fast. */
export function Planning({
  round,
  plan,
  problem,
  today,
}: {
  round: RoundData['round'];
  plan: Plan;
  problem?: string | undefined;
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
          {showDay(round.onDay)}: {count(plan.families.length, 'family', 'families')}
          {plan.meant && ` ${plan.meant}`}, {count(plan.copies.length, 'bag')}. Nothing is promised yet.
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
                                pinned ? `Let go of the bag of ${whom.name}` : `Pin this bag to ${whom.name}`
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
                              aria-label={`Not this: no ${bag.kitName} for ${whom.name}`}
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
