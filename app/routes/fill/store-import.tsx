import { data, redirect } from 'react-router';
import { count } from '~/core/words/numbers';
import { listMaterials } from '~/data/queries/materials';
import { bringIn, listStock, type StockItem } from '~/data/queries/store';
import { listIn } from '~/server/csv';
import type { StoreRow } from '~/server/kits/store-csv';
import { readFile } from '~/server/outside';
import { requireRole } from '~/server/people/session';
import { useCatalogue } from '~/app/ui/catalogue';
import { ListImport, shownOf, unread } from '~/app/ui/ListImport';
import { State } from '~/app/ui/Page';
import type { Route } from './+types/store-import';

export const meta: Route.MetaFunction = () => [{ title: 'Bring a store list in · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return null;
}

type PreviewRow = StoreRow & { now?: StockItem | undefined };

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const refuse = (problem: string) => data(unread(problem), { status: 400 });
  const list = await listIn(form, 'parts');
  if (!list.ok) return refuse(list.problem);
  const read = await readFile('store', list.text, await listMaterials(at));
  if (!read.ok) return refuse(read.problem);
  const now = new Map((await listStock(at)).map((item) => [item.material, item]));
  if (form.get('intent') !== 'import')
    return data(
      shownOf(
        list.text,
        read.rows.map((row): PreviewRow => ({ ...row, now: row.item && now.get(row.item.material) })),
        changes,
      ),
    );
  await bringIn(
    at,
    read.rows.flatMap(({ item }) => item ?? []),
    person.id,
  );
  throw redirect('/fill/store?brought=1');
}

/** What a row will do to the store, in words. */
function willDo({ item, now }: PreviewRow): string {
  if (!item) return '';
  const { onHand, place = now?.place ?? '', reorderAt = now?.reorderAt ?? 0 } = item;
  const counted = now?.onHand ?? null;
  return [
    onHand !== null && onHand !== counted
      ? `${onHand} on hand${counted === null ? '' : ` instead of ${counted}`}`
      : '',
    place === (now?.place ?? '') ? '' : place ? `in ${place}` : 'no place',
    reorderAt === (now?.reorderAt ?? 0) ? '' : `buy more below ${reorderAt}`,
  ]
    .filter(Boolean)
    .join(', ');
}

const changes = (row: PreviewRow): boolean => willDo(row) !== '';

export default function ImportStore({ actionData }: Route.ComponentProps) {
  const catalogue = useCatalogue();
  return (
    <ListImport
      title="Bring a store list in"
      hint="First line: material,onHand,place,reorderAt. The last two may be missing; what is noted there then stays."
      back={{ href: '/fill/store', label: 'Back to the store' }}
      read={actionData}
      word={(changing) => `${count(changing, 'part')} will change`}
      send={(changing) => `Change ${count(changing, 'part')}`}
      changes={changes}
      named={{
        head: 'Part',
        cell: ({ item, material }) => (item ? catalogue.of(item.material).plural : material),
      }}
      willDo={(row) => (
        <>
          <State tone="calm">will change</State> {willDo(row)}
        </>
      )}
    >
      Choose a list saved as CSV. You see first what is in it, what is wrong before all; differences become
      counts in the ledger when you say so.
    </ListImport>
  );
}
