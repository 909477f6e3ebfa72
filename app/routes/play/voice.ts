import { findVoice } from '~/data/queries/voices';
import { isId } from '~/server/ids';
import { familyPage } from '~/server/play';
import { notFound } from '~/server/refusals';
import { soundResponse } from '~/server/words/sound';
import type { Route } from './+types/voice';

/** A step said aloud, for a family page. */
export async function loader({ request, params, context }: Route.LoaderArgs) {
  const page = await familyPage(request, params.linkKey, context.clientAddress);
  const voice = !page.refused && isId(params.voiceId) ? await findVoice(page.at, params.voiceId) : undefined;
  // Nobody at the school has listened to it yet.
  if (!voice?.letOutAt) throw notFound('This voice');
  return soundResponse(request, voice);
}
