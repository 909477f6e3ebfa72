import { data, redirect } from 'react-router';
import { newOwnGame } from '~/core/own/definition';
import { ownGameId } from '~/core/own/ids';
import { textIn } from '~/server/forms';
import { keepOwnGame } from '~/server/games/own';
import { requireRole } from '~/server/people/session';
import { OwnGameForm } from './OwnGameForm';
import type { Route } from './+types/own-new';

export const meta: Route.MetaFunction = () => [{ title: 'A game of your own · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  return null;
}

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const text = textIn(await request.formData(), 'definition');
  const kept = await keepOwnGame(at, text, person.id);
  if (!kept.ok) return data({ errors: kept.errors }, { status: 400 });
  throw redirect(`/choose/${ownGameId(kept.id)}`);
}

export default function NewOwnGame({ actionData }: Route.ComponentProps) {
  return (
    <OwnGameForm
      title="A game of your own"
      draftKey="own game"
      initial={newOwnGame()}
      errors={actionData?.errors ?? {}}
    />
  );
}
