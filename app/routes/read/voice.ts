import { findVoice } from '~/data/queries/voices';
import { isId } from '~/server/ids';
import { notFound } from '~/server/refusals';
import { opened } from '~/server/words/reading';
import { soundResponse } from '~/server/words/sound';
import type { Route } from './+types/voice';

/** What a reader has said aloud, for the reader alone. */
export async function loader({ request, params, context }: Route.LoaderArgs) {
  const { at, link } = await opened(params.key, context.clientAddress);
  const voice = isId(params.voiceId) ? await findVoice(at, params.voiceId) : undefined;
  if (voice?.readerId !== link.id) throw notFound('This voice');
  return soundResponse(request, voice);
}
