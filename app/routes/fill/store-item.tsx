import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { moveSchema, placeSchema, storable, storeOfferSchema, WRITTEN } from '~/core/kits/store';
import type { Catalogue } from '~/core/materials/school';
import { fitsChokeTube, type AnyMaterialId } from '~/core/materials/catalogue';
import { CHOKE_TUBE_MM } from '~/core/materials/tube';
import { catalogueNow } from '~/data/queries/materials';
import { money } from '~/core/words/numbers';
import {
  addOffer,
  listMoves,
  listStock,
  moveStock,
  offersOf,
  placeStock,
  removeOffer,
  undoMove,
  reservedNow,
  weightOf,
} from '~/data/queries/store';
import { showTime } from '~/server/changes';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import { moveWords } from '~/app/desk/moves';
import type { Route } from './+types/store-item';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.plural ?? 'The store'} · Fern Basket` },
];

const materialIn = (catalogue: Catalogue, id: string): AnyMaterialId => {
  const found = storable(catalogue).find((one) => one.id === id);
  if (!found) throw notFound('This part');
  return found.id;
};

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, role } = await requireRole(request, 'coordinator', 'helper');
  const catalogue = await catalogueNow(at);
  const material = materialIn(catalogue, params.material);
  const [stock, moves, offers, reserved, unit] = await Promise.all([
    listStock(at),
    listMoves(at, material),
    offersOf(at, [material]),
    reservedNow(at),
    weightOf(at, material),
  ]);
  const item = stock.find((one) => one.material === material);
  return {
    material,
    plural: catalogue.of(material).plural,
    onHand: item?.onHand ?? null,
    reserved: reserved[material] ?? 0,
    unit,
    place: item?.place ?? '',
    reorderAt: item?.reorderAt ?? 0,
    moves: moves.map((move) => ({ ...move, at: showTime(at, move.at) })),
    offers,
    mayPrice: role === 'coordinator',
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const material = materialIn(await catalogueNow(at), params.material);
  const form = await request.formData();
  const here = `/fill/store/${material}`;
  const refuse = (status: number, errors: FieldErrors, problem?: string) =>
    data({ errors, problem }, { status });
  return byIntent(form, {
    undo: async () => {
      const id = form.get('move');
      const moved = isId(id) ? await undoMove(at, id, person.id) : undefined;
      if (!moved) return refuse(409, {}, 'This move was undone already. Nothing was changed.');
      if (!moved.ok)
        return refuse(
          409,
          {},
          `Undoing it would take ${moved.need} away, and only ${moved.onHand} are on hand. Count them first; nothing was changed.`,
        );
      throw redirect(`${here}?done=undone`);
    },
    place: async () => {
      const checked = checkForm(placeSchema, form);
      if (!checked.ok) return refuse(400, checked.errors);
      await placeStock(at, material, checked.value, person.id);
      throw redirect(`${here}?done=placed`);
    },
    offer: async () => {
      await requireRole(request, 'coordinator');
      const cents = /^\d{1,5}([.,]\d{1,2})?$/.exec(textIn(form, 'price').trim());
      form.set('priceCents', cents ? String(Math.round(Number(cents[0].replace(',', '.')) * 100)) : '');
      const checked = checkForm(storeOfferSchema, form);
      if (!checked.ok) {
        const { priceCents, ...others } = checked.errors;
        return refuse(400, priceCents ? { ...others, price: 'Write a price such as 12.50.' } : others);
      }
      const made = await addOffer(at, { material, ...checked.value });
      if (!made) return refuse(409, { name: 'There is an offer of this name already.' });
      throw redirect(`${here}?done=offered`);
    },
    removeOffer: async () => {
      await requireRole(request, 'coordinator');
      const id = form.get('offer');
      if (isId(id)) await removeOffer(at, id);
      throw redirect(`${here}?done=offerGone`);
    },
    '': async () => {
      const checked = checkForm(moveSchema, form);
      if (!checked.ok) return refuse(400, checked.errors);
      const { kind, quantity, note } = checked.value;
      const moved = await moveStock(
        at,
        { material, kind, quantity: WRITTEN[kind] * quantity, note: note.trim() },
        person.id,
      );
      if (!moved.ok)
        return refuse(409, {
          quantity: `Only ${moved.onHand} are on hand by the ledger. Count what is there first; nothing was changed.`,
        });
      throw redirect(`${here}?done=moved`);
    },
  });
}

const DONE: Record<string, string> = {
  moved: 'It is in the ledger; it can be undone below.',
  undone: 'The move was taken back by its opposite.',
  placed: 'Noted.',
  offered: 'The offer is used from now on.',
  offerGone: 'The offer is gone.',
  added: 'It is in the store now. Count what is there, and say how it is sold.',
};

export default function Item({ loaderData, actionData }: Route.ComponentProps) {
  const { material, onHand, reserved, unit, place, reorderAt, moves, offers, mayPrice } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  const catalogue = useCatalogue();
  const about = catalogue.of(material);
  const done = DONE[search.get('done') ?? ''];
  return (
    <Workplace>
      <Stack>
        <Heading
          title={about.plural}
          action={
            <ButtonLink quiet href="/fill/store">
              The store
            </ButtonLink>
          }
        >
          {onHand === null
            ? 'Nobody has counted them yet.'
            : `${onHand} on hand${place ? `, in ${place}` : ''}.`}
        </Heading>
        {done && !actionData && (
          <Said kind="done" word="Done" live>
            {done}
          </Said>
        )}
        {actionData?.problem && (
          <Said kind="stop" word="Not done" live>
            {actionData.problem}
          </Said>
        )}
        <Panel aria-labelledby="move">
          <Form method="post" key={moves.length}>
            <Stack $gap="0.7rem">
              <h2 id="move">Something came or went</h2>
              <NotSaved errors={errors} />
              <Row $gap="1.2rem">
                <Pick
                  name="kind"
                  label="What happened"
                  defaultValue="bought"
                  error={errors.kind}
                  options={[
                    { value: 'bought', label: 'bought' },
                    { value: 'putBack', label: 'put back' },
                    { value: 'lost', label: 'lost' },
                    { value: 'worn', label: 'worn out' },
                    { value: 'givenAway', label: 'given away' },
                  ]}
                />
                <NumberBox
                  name="quantity"
                  label="How many"
                  defaultValue={1}
                  min={1}
                  max={100_000}
                  error={errors.quantity}
                />
                <TextBox
                  name="note"
                  label="Note"
                  hint="You may leave it empty."
                  maxLength={120}
                  error={errors.note}
                />
              </Row>
              <Row>
                <Button type="submit" isPending={busy}>
                  Write it down
                </Button>
                <ButtonLink quiet href={`/fill/store/count?of=${material}`}>
                  Count them instead
                </ButtonLink>
              </Row>
            </Stack>
          </Form>
        </Panel>
        <Panel aria-labelledby="where">
          <Form method="post">
            <input type="hidden" name="intent" value="place" />
            <Stack $gap="0.7rem">
              <h2 id="where">Where it stands</h2>
              <Row $gap="1.2rem">
                <TextBox
                  name="place"
                  label="Room, shelf, box"
                  defaultValue={place}
                  maxLength={80}
                  error={errors.place}
                />
                <NumberBox
                  name="reorderAt"
                  label="Buy more when there are fewer than"
                  defaultValue={reorderAt}
                  min={0}
                  max={100_000}
                  error={errors.reorderAt}
                />
              </Row>
              <Row>
                <Button type="submit" quiet isPending={busy}>
                  Note the place
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
        <Panel aria-labelledby="offers">
          <Stack $gap="0.7rem">
            <h2 id="offers">How it is sold</h2>
            <Table
              rows={offers}
              rowKey={({ id }) => id}
              columns={[
                { head: 'Offer', cell: ({ name }) => name },
                { head: 'Pieces', cell: ({ size }) => size },
                { head: 'Price', cell: ({ priceCents }) => money(priceCents) },
                {
                  head: <span className="visually-hidden">Action</span>,
                  cell: ({ id, name }) =>
                    mayPrice &&
                    isOwn(id) && (
                      <Form method="post">
                        <input type="hidden" name="intent" value="removeOffer" />
                        <input type="hidden" name="offer" value={id} />
                        <Button type="submit" quiet aria-label={`Remove the offer ${name}`}>
                          Remove
                        </Button>
                      </Form>
                    ),
                },
              ]}
            />
            {mayPrice && (
              <Form method="post" key={offers.length}>
                <input type="hidden" name="intent" value="offer" />
                <Row $gap="1.2rem">
                  <TextBox name="name" label="Name of the offer" maxLength={80} error={errors.name} />
                  <NumberBox
                    name="size"
                    label="Pieces in a pack"
                    defaultValue={about.pack.size}
                    min={1}
                    max={100_000}
                    error={errors.size}
                  />
                  <TextBox
                    name="price"
                    label="Price of a pack"
                    hint="Such as 12.50"
                    maxLength={9}
                    error={errors.price}
                  />
                  <Button type="submit" quiet isPending={busy}>
                    Add this offer
                  </Button>
                </Row>
              </Form>
            )}
          </Stack>
        </Panel>
        <Panel aria-labelledby="ledger">
          <h2 id="ledger">Its ledger</h2>
          <Table
            rows={moves}
            rowKey={({ id }) => id}
            columns={[
              { head: 'When', cell: ({ at }) => at },
              { head: 'What', cell: (move) => moveWords(move) },
              { head: 'Leaves', cell: ({ leaves }) => leaves },
              { head: 'By', cell: ({ by }) => by ?? '' },
              {
                head: <span className="visually-hidden">Action</span>,
                cell: (move) =>
                  move.kind === 'undone' || move.forId ? (
                    ''
                  ) : move.undone ? (
                    'undone'
                  ) : (
                    <Form method="post">
                      <input type="hidden" name="intent" value="undo" />
                      <input type="hidden" name="move" value={move.id} />
                      <Button type="submit" quiet aria-label={`Undo: ${moveWords(move)}`}>
                        Undo
                      </Button>
                    </Form>
                  ),
              },
            ]}
          />
        </Panel>
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="On hand"
            number={onHand === null ? '–' : String(onHand)}
            unit={onHand === 1 ? about.name : about.plural}
            reason={`${onHand === null ? 'Not counted yet.' : 'The sum of all its moves.'}${reserved ? ` ${reserved} of them are spoken for: by copies that are being made, or by the tables of an evening.` : ''}`}
          />
          <Entered
            label="One weighs"
            number={unit ? unit.unitG.toFixed(2) : about.massG ? String(about.massG) : '–'}
            unit="g"
            reason={`${about.massG === 0 ? 'Not weighed yet. ' : unit ? `Learned from ${unit.sample} of them. ` : 'As packed, nearly. '}${about.smallestMm} to ${about.largestMm} mm.${fitsChokeTube(about) ? ` It fits the small-parts tube (${CHOKE_TUBE_MM} mm wide): not for children under three.` : ''}`}
          />
        </Entries>
        <Row>
          <ButtonLink quiet href={`/fill/store/${material}/weigh`}>
            Count them by weight
          </ButtonLink>
          {mayPrice && (
            <ButtonLink quiet href={`/fill/store/${material}/about`}>
              What they are
            </ButtonLink>
          )}
        </Row>
      </Margin>
    </Workplace>
  );
}

/** An offer of the school's own, not the pack of the catalogue. */
const isOwn = (id: string): boolean => !id.startsWith('catalogue ');
