/** Building copies of a kit that are made elsewhere: how many, and what the store lacks for them. */
import { useState } from 'react';
import { Form } from '~/app/ui/sending';
import { buy, packsIn } from '~/core/kits/buy';
import type { NamedOffer } from '~/core/kits/can';
import { MOST_COPIES } from '~/core/kits/forms';
import type { KitPart } from '~/core/kits/recipe';
import { shortFor, type OnHand } from '~/core/kits/store';
import { money } from '~/core/words/numbers';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Row, Stack } from '~/app/ui/Page';

export function BuildForm({
  formKey,
  error,
  parts,
  onHand,
  offers,
  kitId,
}: {
  kitId: string;
  formKey: string;
  error?: string | undefined;
  parts: readonly KitPart[];
} & { onHand: OnHand; offers: readonly NamedOffer[] }) {
  const catalogue = useCatalogue();
  const [copies, setCopies] = useState(4);
  const short = Object.keys(onHand).length ? shortFor(parts, copies, onHand, catalogue) : [];
  const busy = useSending();
  return (
    <Form method="post">
      <input type="hidden" name="intent" value="build" />
      <input type="hidden" name="formKey" value={formKey} />
      <Stack $gap="0.7rem">
        <h2 id="build">Build copies</h2>
        <Row>
          <NumberBox
            name="copies"
            label="How many"
            min={1}
            max={MOST_COPIES}
            value={copies}
            onChange={setCopies}
            error={error}
          />
          <Button type="submit" isPending={busy}>
            Build and tag these copies
          </Button>
          <ButtonLink quiet href={`/fill/runs/new?kit+${kitId}=${copies}`}>
            Make them in a build run
          </ButtonLink>
          <ButtonLink quiet href={`/fill/${kitId}/afternoon?copies=${copies}`}>
            Plan the afternoon
          </ButtonLink>
        </Row>
        {short.length > 0 && (
          <Said kind="mind" word="The store has too little">
            <ul>
              {short.map((one) => (
                <li key={one.material}>
                  {one.short}{' '}
                  {one.short === 1 ? catalogue.of(one.material).name : catalogue.of(one.material).plural}:{' '}
                  {one.onHand} of {one.need} are there{buying(one, offers)}.
                </li>
              ))}
            </ul>
            <TickBox name="anyway" value="yes">
              Build all the same: what is short comes from elsewhere
            </TickBox>
          </Said>
        )}
        <Faint>
          Each copy gets its own tag. Built so, it can be lent at once; a build run leads helpers through
          every step, and a copy can be lent when it is checked.
        </Faint>
      </Stack>
    </Form>
  );
}

/** The cheapest way to buy what is short, in words. */
function buying(
  { material, need, onHand }: { material: string; need: number; onHand: number },
  offers: readonly NamedOffer[],
): string {
  const mine = offers.filter((one) => one.material === material);
  const bought = buy({ need, onHand, offers: mine });
  if (!('packs' in bought)) return '';
  return `; buy ${packsIn(bought, mine).join(', ')} for ${money(bought.costCents)}`;
}
