import { data, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { showTag } from '~/core/kits/tag';
import { count } from '~/core/words/numbers';
import { copiesAtSchool } from '~/data/queries/desk';
import { moveCopies } from '~/data/queries/moving';
import { schoolsOfDistrict } from '~/data/queries/schools';
import { isId } from '~/server/ids';
import { copiesOf } from '~/server/once';
import { requireDistrict } from '~/server/people/session';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Panel, Row, Stack, State, Tag, Wide } from '~/app/ui/Page';
import type { Route } from './+types/move';

export const meta: Route.MetaFunction = () => [{ title: 'Move copies · Fern Basket' }];

/** So many copies are chosen from at once. */
const IN_SIGHT = 60;

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireDistrict(request);
  const named = (new URL(request.url).searchParams.get('named') ?? '').trim().slice(0, 80);
  const [schools, copies, now] = await Promise.all([
    schoolsOfDistrict(school.districtId),
    copiesAtSchool(at, IN_SIGHT, named),
    copiesOf(at),
  ]);
  return {
    school: school.name,
    others: schools.filter((one) => one.id !== school.id).map(({ id, name }) => ({ id, name })),
    copies: copies.map(({ id, tag, kitName, short }) => ({ id, tag, kitName, short })),
    atSchool: now.home,
    named,
  };
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id: me, school } = await requireDistrict(request);
  const form = await request.formData();
  const ids = form.getAll('copy').filter(isId);
  const to = (await schoolsOfDistrict(school.districtId)).find((one) => one.id === form.get('school'));
  if (!to || to.id === school.id)
    return data({ problem: 'Choose another school of your district.' }, { status: 400 });
  if (ids.length === 0) return data({ problem: 'Tick the copies that go there.' }, { status: 400 });
  const { tags, staying } = await moveCopies(at, to, ids, me);
  if (tags.length === 0)
    return data(
      { problem: 'None of these copies is at this school any more. Nothing was moved.' },
      { status: 409 },
    );
  const told = new URLSearchParams({ to: to.name });
  for (const tag of tags) told.append('moved', tag);
  for (const tag of staying) told.append('stays', tag);
  throw redirect(`/district/move?${told}`);
}

export default function Move({ loaderData, actionData }: Route.ComponentProps) {
  const { school, others, copies, atSchool, named } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const moved = search.getAll('moved');
  const stays = search.getAll('stays');
  return (
    <Wide>
      <Stack>
        <Heading
          title="Move copies"
          action={
            <ButtonLink quiet href="/district">
              All schools
            </ButtonLink>
          }
        >
          Which baskets of {school} go to another school?
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Not moved" live>
            {actionData.problem}
          </Said>
        )}
        {moved.length > 0 && !actionData && (
          <Said kind="done" word="Moved" live>
            {moved.map(showTag).join(', ')} {moved.length === 1 ? 'belongs' : 'belong'} to {search.get('to')}{' '}
            now, with tag and label as they are. To bring {moved.length === 1 ? 'it' : 'them'} back, open{' '}
            {search.get('to')} and move {moved.length === 1 ? 'it' : 'them'} from there.
            {stays.length > 0 &&
              ` Out with a family or still being made, so still here: ${stays.map(showTag).join(', ')}.`}
          </Said>
        )}
        {others.length === 0 ? (
          <Empty
            title="There is one school only"
            action={<ButtonLink href="/district">Make a school</ButtonLink>}
          >
            Copies move between the schools of a district.
          </Empty>
        ) : atSchool === 0 ? (
          <Empty title="No copy is at school">A copy that is out moves when it is home again.</Empty>
        ) : (
          <>
            {(named || atSchool > copies.length) && (
              <Form>
                <Row style={{ alignItems: 'end' }}>
                  <TextBox
                    key={named}
                    name="named"
                    label="Tag or kit"
                    defaultValue={named}
                    inputType="search"
                  />
                  <Button type="submit" quiet>
                    Look for it
                  </Button>
                </Row>
              </Form>
            )}
            <Form method="post" key={moved.join()}>
              <Panel aria-labelledby="which">
                <Stack>
                  <h2 id="which">At {school} now</h2>
                  {copies.length === 0 && <Faint>No copy of this tag or kit is at school.</Faint>}
                  <Row $gap="0.2rem 1.6rem">
                    {copies.map((copy) => (
                      <TickBox key={copy.id} name="copy" value={copy.id}>
                        <Tag>{showTag(copy.tag)}</Tag> {copy.kitName}{' '}
                        {copy.short && <State tone="hand">parts missing</State>}
                      </TickBox>
                    ))}
                  </Row>
                  {atSchool > copies.length && (
                    <Faint>
                      And {count(atSchool - copies.length, 'copy', 'copies')} more: look for their tag or kit.
                    </Faint>
                  )}
                  <Row style={{ alignItems: 'end' }}>
                    <Pick
                      name="school"
                      label="They go to"
                      options={others.map(({ id, name }) => ({ value: id, label: name }))}
                    />
                    <Button type="submit" isPending={busy}>
                      Move the ticked copies
                    </Button>
                  </Row>
                  <Faint>
                    Their loans and what was counted stay in the books of {school}; a kit that the other
                    school does not have yet comes along. Nothing has to be printed anew but the name of the
                    school.
                  </Faint>
                </Stack>
              </Panel>
            </Form>
          </>
        )}
      </Stack>
    </Wide>
  );
}
