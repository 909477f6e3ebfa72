import { checkJson } from '~/core/check/check';
import { hallActSchema } from '~/core/lending/hall';
import { textIn } from '~/server/forms';
import { readDay } from '~/server/days';
import { doAct } from '~/server/lending/hall';
import { requireRole } from '~/server/people/session';
import type { Route } from './+types/hall-act';

/** Nothing is read here. */
export async function loader({ request }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator', 'helper');
  return new Response('Scans are sent here; there is nothing to read.', {
    status: 405,
    headers: { Allow: 'POST' },
  });
}

/** Does one act of the desk in the hall. Sent again, it answers what came of it the first time. */
export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  let sent: unknown;
  try {
    sent = JSON.parse(textIn(await request.formData(), 'act'));
  } catch {
    sent = undefined;
  }
  const checked = checkJson(hallActSchema, sent);
  if (!checked.ok || !readDay(checked.value.day))
    return new Response('This scan was not understood. Nothing was changed.', { status: 400 });
  return Response.json({ heard: await doAct(person.at, checked.value, person.id) });
}
