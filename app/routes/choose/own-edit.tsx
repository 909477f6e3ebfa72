import { data, redirect } from 'react-router';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import type { OwnGame } from '~/core/own/definition';
import { showable } from '~/core/own/check';
import { ownGameId } from '~/core/own/ids';
import type { SchoolHandle } from '~/data/db';
import { archiveOwnGame, findOwnGame } from '~/data/queries/games';
import { changesOf, lateOf } from '~/server/changes';
import { byIntent, textIn, UNKNOWN_VERSION, versionIn } from '~/server/forms';
import { changeOwn } from '~/server/games/own';
import { isId } from '~/server/ids';
import { followed, stopFollowing } from '~/data/queries/sharing';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { Follows } from '~/app/desk/Follows';
import { Button } from '~/app/ui/Button';
import { Changes, type Late } from '~/app/ui/Changes';
import { Faint, Row, Wide } from '~/app/ui/Page';
import { OwnGameForm, OWN_FIELDS } from './OwnGameForm';
import type { Route } from './+types/own-edit';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.definition.name.en ?? 'A game of your own'} · Fern Basket` },
];

async function storedGame(at: SchoolHandle, ownId: string) {
  const stored = isId(ownId) ? await findOwnGame(at, ownId) : undefined;
  if (!stored) throw notFound('This game');
  return stored;
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator');
  const stored = await storedGame(at, params.ownId);
  const [changes, follows] = await Promise.all([
    changesOf(at, 'own game', stored.id),
    followed(at, 'own game', stored.id),
  ]);
  return { ...stored, ...showable(stored.definition), changes, follows };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const { id } = await storedGame(at, params.ownId);
  const form = await request.formData();
  return byIntent(form, {
    stopFollowing: async () => {
      await stopFollowing(at, 'own game', id, person.id);
      throw redirect(`/choose/own/${id}`);
    },
    archive: async () => {
      await archiveOwnGame(at, id, person.id);
      throw redirect('/choose');
    },
    '': async () => {
      const openedOn = versionIn(form);
      const refuse = (status: number, errors: FieldErrors, late?: Late<OwnGame>) =>
        data({ errors, late }, { status });
      if (!openedOn)
        return refuse(400, {
          '': UNKNOWN_VERSION,
        });
      const kept = await changeOwn(at, id, textIn(form, 'definition'), openedOn, person.id);
      if (!kept.ok) return kept.stale ? refuse(409, {}, lateOf(at, kept.stale)) : refuse(400, kept.errors);
      throw redirect(`/choose/${ownGameId(id)}`);
    },
  });
}

export default function EditOwnGame({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <>
      {loaderData.follows && (
        <Wide style={{ paddingBottom: 0 }} as="div">
          <Follows school={loaderData.follows} what="This game" />
        </Wide>
      )}
      <OwnGameForm
        key={`${loaderData.id} ${loaderData.version}`}
        title={loaderData.definition.name.en || 'A game of your own'}
        unreadable={!loaderData.whole}
        draftKey={`own game ${loaderData.id}`}
        initial={loaderData.definition}
        version={loaderData.version}
        late={actionData?.late}
        errors={actionData?.errors ?? {}}
        id={loaderData.id}
      />
      <Wide style={{ paddingTop: 0 }} as="div">
        <Changes rows={loaderData.changes} words={OWN_FIELDS} />
        <Form method="post">
          <input type="hidden" name="intent" value="archive" />
          <Row>
            <Button type="submit" quiet clay>
              Put this game away
            </Button>
            <Faint>Variants saved of it keep their rules and can still be lent.</Faint>
          </Row>
        </Form>
      </Wide>
    </>
  );
}
