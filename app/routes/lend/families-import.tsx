import { data, redirect } from 'react-router';
import { count } from '~/core/words/numbers';
import { aboutLanguage } from '~/core/words/languages';
import { familyNames, importFamilies } from '~/data/queries/families';
import { listIn } from '~/server/csv';
import type { ReadRow } from '~/server/families/csv';
import { readFile } from '~/server/outside';
import { requireRole } from '~/server/people/session';
import { ListImport, shownOf, unread } from '~/app/ui/ListImport';
import { Faint, State } from '~/app/ui/Page';
import type { Route } from './+types/families-import';

export const meta: Route.MetaFunction = () => [{ title: 'Import families · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { school } = await requireRole(request, 'coordinator');
  return { languages: school.languages };
}

const changes = (row: ReadRow): boolean => Boolean(row.family);

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  const refuse = (problem: string) => data(unread(problem), { status: 400 });
  const list = await listIn(form, 'families');
  if (!list.ok) return refuse(list.problem);
  const existing = await familyNames(at);
  const read = await readFile('families', list.text, existing, person.school.languages);
  if (!read.ok) return refuse(read.problem);
  if (form.get('intent') !== 'import') return data(shownOf(list.text, read.rows, changes));
  const added = await importFamilies(
    at,
    read.rows.flatMap((row) => row.family ?? []),
    person.id,
  );
  throw redirect(`/lend/families?imported=${added}`);
}

export default function ImportFamilies({ loaderData, actionData }: Route.ComponentProps) {
  const languages = loaderData.languages.map((one) => aboutLanguage(one).name);
  return (
    <ListImport
      title="Import families"
      hint={`First line: name,language,reach,underThree,allergens. The last three may be missing. Languages: ${languages.join(', ')}.`}
      back={{ href: '/lend/families', label: 'Back to the families' }}
      read={actionData}
      word={(adding) => `${count(adding, 'family', 'families')} can be added`}
      send={(adding) => `Add ${count(adding, 'family', 'families')}`}
      changes={changes}
      named={{ head: 'Family', cell: ({ name }) => name || <Faint as="span">no name</Faint> }}
      willDo={({ family }) => (
        <>
          <State tone="calm">will be added</State> {family && aboutLanguage(family.language).name}
        </>
      )}
    >
      Choose a list saved as CSV. You see first what is in it, what is wrong before all; nothing is added
      until you say so.
    </ListImport>
  );
}
