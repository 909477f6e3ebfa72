import { useEffect, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { showTag } from '~/core/kits/tag';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { FAMILY_SORTS, findFamily, pageOfFamilies, type FamilySort } from '~/data/queries/families';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { LendWays } from '~/app/desk/LendWays';
import { ButtonLink } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Row, Stack, State, Tag, Wide } from '~/app/ui/Page';
import { firstOf, Pager, Table, type Column } from '~/app/ui/Table';
import type { Route } from './+types/families';

export const meta: Route.MetaFunction = () => [{ title: 'Families · Fern Basket' }];

const SIZE = 50;
const MOST_TEXT = 80;
/** A word that is still being typed is not looked for. */
const PAUSE_MS = 200;

export async function loader({ request }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const search = new URL(request.url).searchParams;
  const text = (search.get('find') ?? '').slice(0, MOST_TEXT);
  const asked = search.get('sort') ?? '';
  const sort: FamilySort = Object.hasOwn(FAMILY_SORTS, asked) ? (asked as FamilySort) : 'name';
  const first = firstOf(search, SIZE);
  const addedId = search.get('added');
  const [page, added] = await Promise.all([
    pageOfFamilies(at, { text, sort, first, most: SIZE }),
    isId(addedId) ? findFamily(at, addedId) : undefined,
  ]);
  return {
    ...page,
    families: page.families.map(
      ({ id, name, language, children, group, reach, underThree, allergens, out }) => ({
        id,
        name,
        language,
        children,
        group,
        reach,
        underThree,
        allergens,
        out,
      }),
    ),
    text,
    sort,
    first,
    added: added && { id: added.id, name: added.name },
  };
}

type Family = Route.ComponentProps['loaderData']['families'][number];
const COLUMNS: readonly Column<Family, FamilySort>[] = [
  {
    head: 'Family',
    sort: 'name',
    cell: ({ id, name }) => <Link to={`/lend/families/${id}`}>{name}</Link>,
  },
  { head: 'Home language', sort: 'language', cell: ({ language }) => aboutLanguage(language).name },
  { head: 'Children', cell: ({ children }) => children.replaceAll('\n', '; ') },
  { head: 'Class', cell: ({ group }) => group },
  { head: 'Reach', cell: ({ reach }) => reach },
  {
    head: 'To mind',
    cell: ({ underThree, allergens }) => (
      <>
        {underThree && <State tone="wait">child under three</State>}{' '}
        {allergens && <State tone="wait">{allergens}</State>}
      </>
    ),
  },
  {
    head: 'Has now',
    sort: 'out',
    cell: ({ out }) => out.map((tag) => <Tag key={tag}>{showTag(tag)} </Tag>),
  },
];

export default function Families({ loaderData }: Route.ComponentProps) {
  const { families, all, found, text, sort, first, added } = loaderData;
  const [search] = useSearchParams();
  const navigate = useNavigate();
  const [query, setQuery] = useState(text);
  const imported = Number(search.get('imported'));
  useEffect(() => {
    if (query === text) return;
    const timer = setTimeout(() => {
      const to = new URLSearchParams(query.trim() ? { find: query, sort } : { sort });
      void navigate(`?${to}`, { replace: true, preventScrollReset: true });
    }, PAUSE_MS);
    return () => clearTimeout(timer);
  }, [query, text, sort, navigate]);
  return (
    <Wide>
      <Stack>
        <LendWays coordinates />
        <Heading
          title="Families"
          action={
            <Row $gap="0.6rem">
              <ButtonLink href="/lend/families/new">Add a family</ButtonLink>
              <ButtonLink quiet href="/lend/families/import">
                Import a list
              </ButtonLink>
              <ButtonLink quiet href="/lend/families.csv" download="families.csv">
                Export as CSV
              </ButtonLink>
              <ButtonLink quiet href="/lend/families/cards.pdf">
                Print cards
              </ButtonLink>
              <ButtonLink quiet href="/lend/families/keeping">
                How long they are kept
              </ButtonLink>
            </Row>
          }
        >
          {count(all, 'family', 'families')}. Who is it, and what do they have now?
        </Heading>
        {added && (
          <Said
            kind="done"
            word="Added"
            live
            action={<ButtonLink href={`/lend?family=${added.id}`}>Lend something to them</ButtonLink>}
          >
            {added.name} is on the list.
          </Said>
        )}
        {imported > 0 && (
          <Said kind="done" word="Imported" live>
            {count(imported, 'family was', 'families were')} added.
          </Said>
        )}
        {search.has('forgotten') && (
          <Said kind="done" word="Forgotten" live>
            Nothing about this family is kept any more.
          </Said>
        )}
        {all === 0 ? (
          <Empty
            title="No family yet"
            action={<ButtonLink href="/lend/families/import">Import a list</ButtonLink>}
          >
            Add families one by one, or import a list saved as CSV.
          </Empty>
        ) : (
          <>
            <TextBox
              name="find"
              label="Find a family"
              inputType="search"
              value={query}
              onChange={setQuery}
              maxLength={MOST_TEXT}
            />
            {found === 0 && <Faint>No family’s name has “{text}” in it.</Faint>}
            {found > 0 && families.length === 0 && (
              <Faint>
                The list is not that long. <Link to="/lend/families">Go to its beginning</Link>
              </Faint>
            )}
            {families.length > 0 && (
              <Table columns={COLUMNS} rows={families} rowKey={({ id }) => id} sorted={sort} />
            )}
            <Pager first={first} shown={families.length} found={found} size={SIZE} />
          </>
        )}
      </Stack>
    </Wide>
  );
}
