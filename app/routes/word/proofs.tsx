import { data, Link, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import { homeOf } from '~/core/lending/school';
import { aboutLanguage } from '~/core/words/languages';
import { findKit, listKits } from '~/data/queries/kits';
import { keepProof, listProofs } from '~/data/queries/proofs';
import { textIn } from '~/server/forms';
import { showTime } from '~/server/changes';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { proofLines } from '~/server/words/proof';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/proofs';

export const meta: Route.MetaFunction = () => [{ title: 'Proofs on paper · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator', 'reader');
  const [proofs, kits] = await Promise.all([listProofs(at), listKits(at)]);
  return {
    languages: school.languages.filter((one) => one !== 'en'),
    proofs: proofs.map(({ language, ...one }) => ({ ...one, target: language, at: showTime(at, one.at) })),
    kits: kits.map(({ id, name }) => ({ id, name })),
  };
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'reader');
  const { at, school } = person;
  const form = await request.formData();
  const [kitId, language] = [form.get('kit'), textIn(form, 'language')];
  const kit = isId(kitId) ? await findKit(at, kitId) : undefined;
  if (!kit || language === 'en' || !school.languages.includes(language))
    return data({ problem: 'Choose a kit and one of the languages of your school.' }, { status: 400 });
  const lines = await proofLines(at, kit, language);
  if (lines.length === 0) return data({ problem: 'This kit has no game yet.' }, { status: 400 });
  const id = await keepProof(at, { kitId: kit.id, kit: kit.name, language, lines, personId: person.id });
  throw redirect(`/word/proofs/${id}`);
}

export default function Proofs({ loaderData, actionData }: Route.ComponentProps) {
  const { kits, languages, proofs } = loaderData;
  const busy = useSending();
  return (
    <Wide>
      <Stack>
        <Heading
          title="Proofs on paper"
          action={
            <ButtonLink quiet href="/word">
              All words
            </ButtonLink>
          }
        >
          Does your reader like paper better? Print the lines of a kit with their numbers, and type in what
          comes back by number.
        </Heading>
        {actionData?.problem && <Said kind="stop">{actionData.problem}</Said>}
        {kits.length > 0 && languages.length > 0 && (
          <Panel>
            <Form method="post">
              <Row>
                <Pick
                  name="kit"
                  label="Kit"
                  options={kits.map(({ id, name }) => ({ value: id, label: name }))}
                />
                <Pick
                  name="language"
                  label="Language"
                  defaultValue={homeOf(languages)}
                  options={languages.map((one) => ({ value: one, label: aboutLanguage(one).name }))}
                />
                <Button type="submit" isPending={busy}>
                  Make a proof
                </Button>
              </Row>
            </Form>
          </Panel>
        )}
        {proofs.length === 0 ? (
          <Faint>There is no proof yet.</Faint>
        ) : (
          <Table
            rows={proofs}
            rowKey={(one) => one.id}
            columns={[
              { head: 'Kit', cell: (one) => <Link to={`/word/proofs/${one.id}`}>{one.kit}</Link> },
              { head: 'Language', cell: (one) => aboutLanguage(one.target).name },
              { head: 'Made', cell: (one) => one.at },
              { head: 'By', cell: (one) => one.by ?? '' },
            ]}
          />
        )}
      </Stack>
    </Wide>
  );
}
