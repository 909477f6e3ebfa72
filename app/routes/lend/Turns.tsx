import { Link } from 'react-router';
import { Form, useSubmit } from '~/app/ui/sending';
import { rehearsedBy, type EveningPlan, type Rehearsed } from '~/core/evening/plan';
import type { Rotation } from '~/core/evening/rotation';
import { count } from '~/core/words/numbers';
import { Ribbons } from '~/app/desk/Ribbons';
import { Seats } from '~/app/desk/Seats';
import { Button } from '~/app/ui/Button';
import { Row, Stack, State } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';

/** The picture of the rotation, and the table in which each seat and host can be held as it is. */
export function Turns({
  plan,
  rotation,
  rehearsed,
  eveningId,
  version,
  hidden,
}: {
  plan: EveningPlan;
  rotation: Rotation;
  rehearsed: readonly Rehearsed[];
  eveningId: string;
  version: number;
  hidden: React.ReactNode;
}) {
  const at = (group: string, round: number): string =>
    rotation.plan.find((one) => one.round === round && one.groups.includes(group))?.table ?? '';
  const rounds = Array.from({ length: plan.rounds }, (_, i) => i + 1);
  const names = plan.tables.map(({ id }) => id);
  const pinned = plan.pins.length + plan.hosts.length;
  const submit = useSubmit();
  const send = (fields: Record<string, string>): void =>
    void submit({ version: String(version), ...fields }, { method: 'post', preventScrollReset: true });
  const seatsAt = (table: string, round: number) =>
    plan.groups
      .filter(({ id }) => at(id, round) === table)
      .map(({ id, size }) => ({
        group: id,
        size,
        held: plan.pins.some((one) => one.group === id && one.round === round),
      }));
  return (
    <Stack $gap="0.7rem">
      <Ribbons
        tables={names}
        ribbons={plan.groups.map(({ id }) => ({
          group: id,
          tables: rounds.map((round) => names.indexOf(at(id, round))),
        }))}
      />
      <p>
        Drag a group to another table, or onto another group to change places with it; the rest is planned
        around it.
      </p>
      <Seats
        tables={names}
        rounds={rounds}
        seatsAt={seatsAt}
        onMove={(group, round, table) => send({ intent: 'pin', group, round: String(round), table })}
        onSwap={(group, round, other) => send({ intent: 'swap', group, round: String(round), other })}
      />
      <Form method="post" preventScrollReset>
        {hidden}
        <Button type="submit" quiet name="intent" value="turn">
          Turn the rounds by one
        </Button>
      </Form>
      <details>
        <summary>Choose tables from a list</summary>
        <Table
          key={`seats ${version}`}
          label="Who sits where"
          rows={plan.groups}
          rowKey={({ id }) => id}
          columns={[
            { head: 'Group', cell: ({ id }) => id },
            ...rounds.map((round) => ({
              head: `Round ${round}`,
              cell: ({ id }: { id: string }) => {
                const held = plan.pins.some((one) => one.group === id && one.round === round);
                return (
                  <Form method="post">
                    {hidden}
                    <input type="hidden" name="intent" value="pin" />
                    <input type="hidden" name="group" value={id} />
                    <input type="hidden" name="round" value={round} />
                    <Row $gap="0.3rem" style={{ flexWrap: 'nowrap', alignItems: 'center' }}>
                      <select
                        name="table"
                        aria-label={`Table of ${id} in round ${round}`}
                        defaultValue={at(id, round)}
                        onChange={(event) => event.currentTarget.form?.requestSubmit()}
                        style={{ minHeight: 40 }}
                      >
                        {names.map((table) => (
                          <option key={table}>{table}</option>
                        ))}
                      </select>
                      {held && <State tone="note">held</State>}
                    </Row>
                  </Form>
                );
              },
            })),
          ]}
        />
      </details>
      <Table
        key={`hosts ${version}`}
        label="Who hosts"
        rows={plan.tables}
        rowKey={({ id }) => id}
        columns={[
          { head: 'Table', cell: ({ id }) => id },
          { head: 'Game', cell: ({ game }) => game?.name ?? '–' },
          {
            head: 'Host',
            cell: ({ id }) => (
              <Form method="post">
                {hidden}
                <input type="hidden" name="intent" value="host" />
                <input type="hidden" name="table" value={id} />
                <select
                  name="helper"
                  aria-label={`Host of ${id}`}
                  defaultValue={rotation.hosts.find(({ table }) => table === id)?.helper ?? ''}
                  onChange={(event) => event.currentTarget.form?.requestSubmit()}
                  style={{ minHeight: 40 }}
                >
                  <option value="">whoever is best</option>
                  {plan.helpers.map((helper) => (
                    <option key={helper.id}>{helper.id}</option>
                  ))}
                </select>{' '}
                {plan.hosts.some(({ table }) => table === id) && <State tone="note">held</State>}
              </Form>
            ),
          },
          {
            head: 'Rehearsed',
            cell: ({ id, game }) => {
              const helper = rotation.hosts.find(({ table }) => table === id)?.helper;
              if (!helper || !game) return '–';
              return rehearsedBy(rehearsed, helper).includes(game.gameId) ? (
                <State tone="calm">rehearsed</State>
              ) : (
                <Link
                  to={`/lend/rehearse/${game.gameId}?${new URLSearchParams({
                    helper,
                    evening: eveningId,
                    table: id,
                    lang:
                      plan.helpers.find((one) => one.id === helper)?.languages.find((tag) => tag !== 'en') ??
                      'en',
                  })}`}
                >
                  not yet: rehearse it
                </Link>
              );
            },
          },
        ]}
      />
      {pinned > 0 && (
        <Form method="post">
          {hidden}
          <Button type="submit" quiet name="intent" value="anew">
            Let go of {count(pinned, 'thing')} that {pinned === 1 ? 'is' : 'are'} held, and plan anew
          </Button>
        </Form>
      )}
    </Stack>
  );
}
