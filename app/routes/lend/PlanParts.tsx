import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Form } from '~/app/ui/sending';
import { showDay } from '~/core/lending/due';
import { showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import { Button } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { Panel, Row, Stack } from '~/app/ui/Page';
import type { Plan, Solved } from './useSolving';

/** What counts how much; turning one shows at once what would change. */
export function Weights({ plan, changed, onKeep }: { plan: Plan; changed: boolean; onKeep: () => void }) {
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
export function Against({
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
export function Without({
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

export function Vetoes({ plan, send }: { plan: Plan; send: (fields: Record<string, string>) => void }) {
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
