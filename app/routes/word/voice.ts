import { data } from 'react-router';
import { decideVoice, findVoice } from '~/data/queries/voices';
import { byIntent } from '~/server/forms';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { soundResponse } from '~/server/words/sound';
import type { Route } from './+types/voice';

const gone = () => notFound('This voice', 'It was taken away.');

/** A line said aloud, for whoever works with the words. */
export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'reader');
  const voice = isId(params.voiceId) ? await findVoice(at, params.voiceId) : undefined;
  if (!voice) throw gone();
  return soundResponse(request, voice);
}

/** Lets families hear it, or takes it away. */
export async function action({ request, params }: Route.ActionArgs) {
  const { at, id } = await requireRole(request, 'coordinator');
  const decide = async (decision: 'letOut' | 'end') => {
    if (!isId(params.voiceId) || !(await decideVoice(at, params.voiceId, decision, id))) throw gone();
    return data({ done: true });
  };
  return byIntent(await request.formData(), { letOut: () => decide('letOut'), end: () => decide('end') });
}
