import { data, Link, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { countSchema, storable } from '~/core/kits/store';
import { catalogueNow } from '~/data/queries/materials';
import { countStock, listStock, undoMove } from '~/data/queries/store';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { useCatalogue } from '~/app/ui/catalogue';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Faint, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import type { Route } from './+types/store-count';

export const meta: Route.MetaFunction = () => [{ title: 'Count the store · Fern Basket' }];

/** The walk goes place by place, and in a place by the names of the parts; what has no place comes last. */
export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const [items, catalogue] = await Promise.all([listStock(at), catalogueNow(at)]);
  const stock = new Map(items.map((item) => [item.material, item]));
  const walk = storable(catalogue)
    .filter(({ id }) => !catalogue.putAway.has(id) || stock.get(id)?.onHand)
    .map(({ id, plural }) => ({ material: id, plural, place: stock.get(id)?.place ?? '' }))
    .sort(
      (a, b) =>
        Number(a.place === '') - Number(b.place === '') ||
        a.place.localeCompare(b.place) ||
        a.plural.localeCompare(b.plural),
    );
  return { walk };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at } = person;
  const form = await request.formData();
  const answer = (
    errors: FieldErrors,
    told?: { material: string; expected: number | null; counted: number; moveId: string },
    undone = false,
  ) => data({ errors, told, undone }, { status: Object.keys(errors).length ? 400 : 200 });
  return byIntent(form, {
    undo: async () => {
      const id = form.get('move');
      const moved = isId(id) ? await undoMove(at, id, person.id) : undefined;
      return moved?.ok
        ? answer({}, undefined, true)
        : answer({ counted: 'This count could not be taken back: something was moved meanwhile.' });
    },
    '': async () => {
      const material = storable(await catalogueNow(at)).find(({ id }) => id === form.get('material'))?.id;
      if (!material) return answer({ counted: 'Load this page again; nothing was changed.' });
      const checked = checkForm(countSchema, form);
      if (!checked.ok) return answer(checked.errors);
      const [told] = await countStock(at, [{ material, counted: checked.value.counted }], person.id);
      return answer({}, told);
    },
  });
}

export default function Count({ loaderData, actionData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  const { walk } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const told = actionData?.told;
  const asked = search.get('of');
  // After a count the next part of the walk; the address names the one that is counted now.
  const now = Math.max(
    0,
    walk.findIndex(({ material }) => material === asked),
  );
  const next = told ? walk.findIndex(({ material }) => material === told.material) + 1 : now;
  const current = walk[next];
  const before = told && catalogue.of(told.material);
  return (
    <Workplace>
      <Stack>
        <Heading
          title={current ? `How many ${current.plural} are there?` : 'That was the last one'}
          action={
            <ButtonLink quiet href="/fill/store">
              Enough for today
            </ButtonLink>
          }
        >
          {current
            ? `${current.place ? `In ${current.place}. ` : ''}Count first: what the ledger expects is shown afterwards.`
            : 'Every kind of part has been asked for once.'}
        </Heading>
        {told && before && (
          <Said
            kind={told.expected === null || told.expected === told.counted ? 'done' : 'mind'}
            word={told.expected === told.counted ? 'As expected' : 'Noted'}
            live
            action={
              <Form method="post" action={`/fill/store/count?of=${told.material}`}>
                <input type="hidden" name="intent" value="undo" />
                <input type="hidden" name="move" value={told.moveId} />
                <Button type="submit" quiet>
                  Undo this count
                </Button>
              </Form>
            }
          >
            {told.counted} {told.counted === 1 ? before.name : before.plural}
            {told.expected === null
              ? ', counted for the first time.'
              : told.expected === told.counted
                ? '.'
                : `; the ledger expected ${told.expected}. The difference is a move now.`}
          </Said>
        )}
        {actionData?.undone && (
          <Said kind="done" word="Undone" live>
            The count was taken back. Count again, or go on.
          </Said>
        )}
        {current && (
          <Panel aria-label="Count">
            <Form
              method="post"
              key={`${current.material} ${told?.moveId ?? ''}`}
              action={`/fill/store/count?of=${current.material}`}
            >
              <input type="hidden" name="material" value={current.material} />
              <Row $gap="1.2rem">
                <NumberBox
                  name="counted"
                  label={`${current.plural}, as you counted them`}
                  min={0}
                  max={100_000}
                  error={actionData?.errors.counted}
                  autoFocus
                />
                <Button type="submit" isPending={busy}>
                  Note this count
                </Button>
                {walk[next + 1] && (
                  <ButtonLink quiet href={`/fill/store/count?of=${walk[next + 1]!.material}`}>
                    Skip it
                  </ButtonLink>
                )}
              </Row>
            </Form>
          </Panel>
        )}
        <Faint>
          {walk.slice(next + 1, next + 6).map(({ material, plural }, i) => (
            <span key={material}>
              {i === 0 ? 'Next: ' : ', '}
              <Link to={`/fill/store/count?of=${material}`}>{plural}</Link>
            </span>
          ))}
        </Faint>
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label="On this walk"
            number={String(Math.min(next + 1, walk.length))}
            unit={`of ${walk.length}`}
            reason="Place by place; leave it at any time, and go on another day."
          />
        </Entries>
      </Margin>
    </Workplace>
  );
}
