import { data, Link, redirect, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { ReactNode } from 'react';
import { SHARED_NAMES, type SharedKind } from '~/core/kits/shared';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { ownGameId } from '~/core/own/ids';
import { schoolsOfDistrict } from '~/data/queries/schools';
import { offers, share, shownByUs, stopFollowing, take, toShow, unshare } from '~/data/queries/sharing';
import { atSchool } from '~/data/db';
import { boundTo } from '~/data/queries/schools';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { dayAt } from '~/server/today';
import { showDay } from '~/core/lending/due';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { Said } from '~/app/ui/Notices';
import { Empty, Faint, Heading, Panel, Row, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/shared';

export const meta: Route.MetaFunction = () => [{ title: 'What schools share · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school, ofDistrict } = await requireRole(request, 'coordinator');
  const [offered, shown, showable, schools] = await Promise.all([
    offers(at),
    shownByUs(at),
    toShow(at),
    ofDistrict ? schoolsOfDistrict(school.districtId) : [],
  ]);
  const onDay = <T extends { changedAt: Date }>({ changedAt, ...rest }: T) => ({
    ...rest,
    on: dayAt(at, changedAt),
  });
  return {
    school: school.name,
    ofDistrict,
    offered: offered.map(onDay),
    shown: shown.map(onDay),
    showable,
    others: schools.filter((one) => one.id !== school.id).map(({ id, name }) => ({ id, name })),
  };
}

const refuse = (problem: string, status = 409) => data({ problem }, { status });
const GONE = 'It is not shared any more, or not by another school. Nothing was changed.';
const FOLLOWS = 'This school follows it already, so it has every change of it.';

export async function action({ request }: Route.ActionArgs) {
  const { at, id: me, ofDistrict, school } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const sharedId = form.get('shared');
  const follows = form.get('how') === 'follow';
  return byIntent(form, {
    take: async () => {
      if (!isId(sharedId)) return refuse(GONE, 400);
      const took = await take(at, sharedId, follows, me);
      if (!took.ok) return refuse(took.reason === 'gone' ? GONE : FOLLOWS);
      throw redirect(`/district/shared?took=${sharedId}`);
    },
    // Whoever coordinates the district gives what this school shows to another one.
    give: async () => {
      const to = (await schoolsOfDistrict(school.districtId)).find((one) => one.id === form.get('school'));
      if (!ofDistrict || !to || !isId(sharedId)) return refuse('Choose a school of your district.', 400);
      const took = await take(atSchool(boundTo(to)), sharedId, follows, me);
      if (!took.ok) return refuse(took.reason === 'gone' ? GONE : `${to.name} follows it already.`);
      throw redirect(`/district/shared?gave=${encodeURIComponent(to.name)}`);
    },
    show: async () => {
      const [kind, thingId = ''] = textIn(form, 'thing').split('|');
      const known = (await toShow(at)).some((one) => one.kind === kind && one.thingId === thingId);
      if (!known || !(await share(at, kind as SharedKind, thingId, me)))
        return refuse('Choose something of this school that is not shared yet.', 400);
      throw redirect('/district/shared?showed=1');
    },
    hide: async () => {
      if (!isId(sharedId) || !(await unshare(at, sharedId, me))) return refuse(GONE);
      throw redirect('/district/shared?hid=1');
    },
    stop: async () => {
      const offer = (await offers(at)).find((one) => one.id === sharedId);
      if (!offer?.takenAs || !(await stopFollowing(at, offer.kind, offer.takenAs, me)))
        return refuse('This school does not follow it any more.');
      throw redirect('/district/shared?stopped=1');
    },
  });
}

const linkTo = (kind: SharedKind, thingId: string): string =>
  kind === 'kit'
    ? `/fill/${thingId}`
    : kind === 'own game'
      ? `/choose/${ownGameId(thingId)}`
      : `/word?language=${thingId}`;

const kindOf = (kind: SharedKind): string => SHARED_NAMES[kind];

export default function SharedThings({ loaderData, actionData }: Route.ComponentProps) {
  const { school, ofDistrict, offered, shown, showable, others } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const done = (word: string, text: ReactNode) => (
    <Said kind="done" word={word} live>
      {text}
    </Said>
  );
  return (
    <Wide>
      <Stack>
        <Heading
          title="What schools share"
          action={
            ofDistrict && (
              <ButtonLink quiet href="/district">
                All schools
              </ButtonLink>
            )
          }
        >
          What do the other schools show, and what does {school} show them?
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Nothing was changed" live>
            {actionData.problem}
          </Said>
        )}
        {!actionData && search.has('took') && done('Taken', `It is in ${school} now.`)}
        {!actionData && search.has('gave') && done('Given', `${search.get('gave')} has it now.`)}
        {!actionData && search.has('showed') && done('Shared', 'The other schools can take it now.')}
        {!actionData &&
          search.has('hid') &&
          done('Not shared any more', 'Schools that followed it keep it as it is.')}
        {!actionData && search.has('stopped') && done('Yours now', 'It is changed here from now on.')}
        <Panel aria-labelledby="offers">
          <Stack>
            <h2 id="offers">From other schools</h2>
            {offered.length === 0 ? (
              <Empty title="Nothing is shared yet">
                What another school of your district shares is listed here.
              </Empty>
            ) : (
              <Table
                rows={offered}
                rowKey={({ id }) => id}
                columns={[
                  { head: 'What', cell: (one) => kindOf(one.kind) },
                  {
                    head: 'Name',
                    cell: (one) =>
                      one.takenAs ? <Link to={linkTo(one.kind, one.takenAs)}>{one.name}</Link> : one.name,
                  },
                  { head: 'School', cell: (one) => one.schoolName },
                  { head: 'As of', cell: (one) => showDay(one.on) },
                  {
                    head: <span className="visually-hidden">Action</span>,
                    cell: (one) => (
                      <Form method="post">
                        <input type="hidden" name="shared" value={one.id} />
                        <Row $gap="0.5rem">
                          {one.follows ? (
                            <>
                              <State tone="note">follows {one.schoolName}</State>
                              <Button
                                type="submit"
                                quiet
                                name="intent"
                                value="stop"
                                aria-label={`Stop following ${one.name}`}
                              >
                                Stop following
                              </Button>
                            </>
                          ) : (
                            <TakeButtons name={one.name} takenBefore={one.takenAs !== null} />
                          )}
                        </Row>
                      </Form>
                    ),
                  },
                ]}
              />
            )}
            <Faint>
              A copy is yours from then on. What you follow is changed by the school it comes from, and
              changes here at the same moment; you can stop following it whenever you like.
            </Faint>
          </Stack>
        </Panel>
        <Panel aria-labelledby="shown">
          <Stack>
            <h2 id="shown">From {school}</h2>
            {shown.length > 0 && (
              <Table
                rows={shown}
                rowKey={({ id }) => id}
                columns={[
                  { head: 'What', cell: (one) => kindOf(one.kind) },
                  { head: 'Name', cell: (one) => <Link to={linkTo(one.kind, one.thingId)}>{one.name}</Link> },
                  { head: 'Followed by', cell: (one) => count(one.followers, 'school', 'schools') },
                  {
                    head: <span className="visually-hidden">Action</span>,
                    cell: (one) => (
                      <Row $gap="0.5rem">
                        {others.length > 0 && <Give id={one.id} name={one.name} others={others} />}
                        <Form method="post">
                          <input type="hidden" name="shared" value={one.id} />
                          <Button
                            type="submit"
                            quiet
                            clay
                            name="intent"
                            value="hide"
                            aria-label={`Share no more: ${one.name}`}
                          >
                            Share no more
                          </Button>
                        </Form>
                      </Row>
                    ),
                  },
                ]}
              />
            )}
            {showable.length > 0 ? (
              <Form method="post">
                <input type="hidden" name="intent" value="show" />
                <Row style={{ alignItems: 'end' }}>
                  <Pick
                    name="thing"
                    label="Share one more"
                    options={showable.map(({ kind, thingId, name }) => ({
                      value: `${kind}|${thingId}`,
                      label: `${kindOf(kind)}: ${kind === 'wording' ? aboutLanguage(thingId).name : name}`,
                    }))}
                  />
                  <Button type="submit" isPending={busy}>
                    Share it with the district
                  </Button>
                </Row>
              </Form>
            ) : (
              <Faint>Everything of this school is shared.</Faint>
            )}
          </Stack>
        </Panel>
      </Stack>
    </Wide>
  );
}

function TakeButtons({ name, takenBefore }: { name: string; takenBefore: boolean }) {
  return (
    <>
      <input type="hidden" name="intent" value="take" />
      <Button
        type="submit"
        quiet
        name="how"
        value="copy"
        aria-label={`${takenBefore ? 'Take another copy' : 'Take a copy'} of ${name}`}
      >
        {takenBefore ? 'Take another copy' : 'Take a copy'}
      </Button>
      <Button type="submit" quiet name="how" value="follow" aria-label={`Follow ${name}`}>
        Follow
      </Button>
    </>
  );
}

function Give({
  id,
  name,
  others,
}: {
  id: string;
  name: string;
  others: readonly { id: string; name: string }[];
}) {
  return (
    <Form method="post">
      <input type="hidden" name="intent" value="give" />
      <input type="hidden" name="shared" value={id} />
      <Row $gap="0.5rem" style={{ alignItems: 'end' }}>
        <Pick
          name="school"
          label={`Give ${name} to`}
          labelHidden
          options={others.map((one) => ({ value: one.id, label: one.name }))}
        />
        <Button type="submit" quiet name="how" value="copy" aria-label={`Give a copy of ${name}`}>
          Give a copy
        </Button>
        <Button type="submit" quiet name="how" value="follow" aria-label={`Let it follow ${name}`}>
          Let it follow
        </Button>
      </Row>
    </Form>
  );
}
