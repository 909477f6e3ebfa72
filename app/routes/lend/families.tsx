import { useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { findByText } from '~/core/lending/families';
import { showTag } from '~/core/kits/tag';
import { LANGUAGES } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { listFamilies } from '~/data/queries/families';
import { requireRole } from '~/server/people/session';
import { ButtonLink } from '~/app/ui/Button';
import { TextBox } from '~/app/ui/fields';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Row, Stack, State, TableFrame, Tag, Wide } from '~/app/ui/Page';
import type { Route } from './+types/families';

export const meta: Route.MetaFunction = () => [{ title: 'Families · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return {
    families: (await listFamilies()).map(({ id, name, language, reach, underThree, allergens, out }) => ({
      id,
      name,
      language,
      reach,
      underThree,
      allergens,
      out,
    })),
  };
}

export default function Families({ loaderData }: Route.ComponentProps) {
  const { families } = loaderData;
  const [search] = useSearchParams();
  const [query, setQuery] = useState('');
  const shown = query.trim() ? findByText(families, query) : families;
  const added = families.find((family) => family.id === search.get('added'));
  const imported = Number(search.get('imported'));
  return (
    <Wide>
      <Stack>
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
            </Row>
          }
        >
          {count(families.length, 'family', 'families')}. Who is it, and what do they have now?
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
        {families.length === 0 ? (
          <Empty
            title="No family yet"
            action={<ButtonLink href="/lend/families/import">Import a list</ButtonLink>}
          >
            Add families one by one, or import a list saved as CSV.
          </Empty>
        ) : (
          <>
            <TextBox name="find" label="Find a family" inputType="search" value={query} onChange={setQuery} />
            {shown.length === 0 && <Faint>No family’s name has “{query}” in it.</Faint>}
            {shown.length > 0 && (
              <TableFrame>
                <table>
                  <thead>
                    <tr>
                      <th>Family</th>
                      <th>Home language</th>
                      <th>Reach</th>
                      <th>To mind</th>
                      <th>Has now</th>
                    </tr>
                  </thead>
                  <tbody>
                    {shown.map((family) => (
                      <tr key={family.id}>
                        <td>
                          <Link to={`/lend/families/${family.id}`}>{family.name}</Link>
                        </td>
                        <td>{LANGUAGES[family.language].name}</td>
                        <td>{family.reach}</td>
                        <td>
                          {family.underThree && <State tone="wait">child under three</State>}{' '}
                          {family.allergens && <State tone="wait">{family.allergens}</State>}
                        </td>
                        <td>
                          {family.out.map((tag) => (
                            <Tag key={tag}>{showTag(tag)} </Tag>
                          ))}
                        </td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </TableFrame>
            )}
          </>
        )}
      </Stack>
    </Wide>
  );
}
