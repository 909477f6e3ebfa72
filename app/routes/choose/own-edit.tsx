import { data, Form, redirect } from 'react-router';
import { ownGameId } from '~/core/own/game';
import { archiveOwnGame, findOwnGame } from '~/data/queries/games';
import { keepOwnGame } from '~/server/games/own';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { Button } from '~/app/ui/Button';
import { Faint, Row, Wide } from '~/app/ui/Page';
import { OwnGameForm } from './OwnGameForm';
import type { Route } from './+types/own-edit';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.definition.name.en ?? 'A game of your own'} · Fern Basket` },
];

async function storedGame(ownId: string) {
  const stored = isId(ownId) ? await findOwnGame(ownId) : undefined;
  if (!stored) throw notFound('This game');
  return stored;
}

export async function loader({ request, params }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return storedGame(params.ownId);
}

export async function action({ request, params }: Route.ActionArgs) {
  await requireRole(request, 'coordinator');
  const { id } = await storedGame(params.ownId);
  const form = await request.formData();
  if (form.get('intent') === 'archive') {
    await archiveOwnGame(id);
    throw redirect('/choose');
  }
  const kept = await keepOwnGame(String(form.get('definition') ?? ''), { id });
  if (!kept.ok) return data(kept, { status: 400 });
  throw redirect(`/choose/${ownGameId(id)}`);
}

export default function EditOwnGame({ loaderData, actionData }: Route.ComponentProps) {
  return (
    <>
      <OwnGameForm
        key={loaderData.id}
        title={loaderData.definition.name.en}
        draftKey={`own game ${loaderData.id}`}
        initial={loaderData.definition}
        errors={actionData?.errors ?? {}}
        id={loaderData.id}
      />
      <Wide style={{ paddingTop: 0 }} as="div">
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
