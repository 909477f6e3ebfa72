/** What can hurt in a kit, with thresholds and sources, whom it must not go to, and its nearest safe version. */
import { Form } from '~/app/ui/sending';
import { against, HAZARDS, hazardWords, type Hazard, type SaferKit } from '~/core/kits/safety';
import { listed } from '~/core/words/numbers';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Faint, Panel, Row, Stack, State } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';

const AGAINST = {
  underThree: 'families with a child under three',
  allergy: 'families who name it as an allergy',
} as const;

export function KitSafety({
  kitId,
  hazards,
  asked,
  mayKeep,
}: {
  kitId: string;
  hazards: readonly Hazard[];
  /** The nearest version without what stands against families with a child under three, once it was asked for. */
  asked?: { safer?: SaferKit } | undefined;
  mayKeep: boolean;
}) {
  const busy = useSending();
  const catalogue = useCatalogue();
  const stops = against(hazards, { underThree: true, allergens: '' });
  const safer = asked?.safer;
  return (
    <Panel aria-labelledby="safety">
      <Stack $gap="0.7rem">
        <h2 id="safety">What can hurt</h2>
        {hazards.length === 0 ? (
          <p>No part of this kit is known to be small, sharp or an allergen.</p>
        ) : (
          <Table
            rows={hazards}
            rowKey={({ id }) => id}
            columns={[
              { head: 'What', cell: ({ id }) => <strong>{HAZARDS[id].title}</strong> },
              {
                head: 'Parts',
                cell: ({ materials }) => materials.map((one) => catalogue.of(one).plural).join(', '),
              },
              {
                head: 'Threshold and source',
                cell: ({ id }) => `${HAZARDS[id].threshold} ${HAZARDS[id].source}.`,
              },
              {
                head: 'Not for',
                cell: ({ id }) => {
                  const whom = HAZARDS[id].against;
                  return whom ? (
                    <State tone="hand">{AGAINST[whom]}</State>
                  ) : (
                    <State tone="note">say it to every family</State>
                  );
                },
              },
            ]}
          />
        )}
        {stops.length > 0 && (
          <>
            <h3>For families with a child under three</h3>
            {!asked ? (
              <Row>
                <ButtonLink quiet href={`/fill/${kitId}?safer=1#safety`}>
                  Find the nearest version without these parts
                </ButtonLink>
              </Row>
            ) : safer ? (
              <>
                <p>
                  Without {hazardWords(stops, catalogue)},{' '}
                  {safer.variants.length === 1 ? 'one game' : `${safer.variants.length} games`} can be played:{' '}
                  {listed(safer.variants.map(({ name }) => name))}.
                  {safer.dropped.length > 0 && ` Left out: ${listed(safer.dropped)}.`}
                </p>
                {safer.changed.length > 0 && (
                  <ul>
                    {safer.changed.map((one) => (
                      <li key={one}>{one}</li>
                    ))}
                  </ul>
                )}
                {mayKeep && (
                  <Form method="post">
                    <input type="hidden" name="intent" value="safer" />
                    <Row>
                      <Button type="submit" quiet isPending={busy}>
                        Keep this version as a kit
                      </Button>
                    </Row>
                  </Form>
                )}
              </>
            ) : (
              <p>None of its games can be played without {hazardWords(stops, catalogue)}.</p>
            )}
          </>
        )}
        <Faint>Cautions, never a guarantee: your district’s rules and licensed staff decide.</Faint>
      </Stack>
    </Panel>
  );
}
