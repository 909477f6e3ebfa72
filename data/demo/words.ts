/** The words of the demo: a reader's work half done in Spanish and in Arabic, two lines in doubt, one stale. */
import { randomBytes } from 'node:crypto';
import { gameOf } from '~/core/games/shelf';
import { sheetLines } from '~/core/pack/instructions';
import { settle } from '~/core/games/kit/game';
import type { SchoolHandle } from '../db';
import { inviteReader } from '../queries/readers';
import { writeLine } from '../queries/wording';
import { addLineChecks } from '../queries/words';

const DAY_MS = 86_400_000;

export async function readersWork(
  at: SchoolHandle,
  { coordinatorId, readerId }: { coordinatorId: string; readerId: string },
): Promise<void> {
  const spill = gameOf('two-tone-spill');
  const said = sheetLines(settle(spill, spill.presets[1]!.params));
  const half = said.slice(0, Math.ceil(said.length / 2));

  // Spanish, read at the school: one line in doubt, and one of which the English was worded anew afterwards.
  const DOUBTED = 'turn.say';
  const STALE = 'harder.hide';
  await addLineChecks(at, spill, [
    ...[...half, STALE]
      .filter((messageId) => messageId !== DOUBTED)
      .map((messageId) => ({ messageId, language: 'es', right: true, note: '', personId: readerId })),
    {
      messageId: DOUBTED,
      language: 'es',
      right: false,
      note: 'In our town they say “en total”, not “en todo”.',
      personId: readerId,
    },
  ]);
  await writeLine(at, spill, {
    messageId: STALE,
    language: 'en',
    message: 'Cover one color with a hand. How many are hiding under it?',
    had: spill.words.en[STALE]!,
    personId: coordinatorId,
  });

  // Arabic, read on a phone by invitation: one line that she would say otherwise.
  const invited = await inviteReader(at, {
    // Nobody has the link: what was said through it is what is shown.
    keyHash: randomBytes(32).toString('hex'),
    reader: 'Nadia',
    language: 'ar',
    gameId: spill.id,
    again: false,
    personId: coordinatorId,
    expiresAt: new Date(Date.now() + 9 * DAY_MS),
  });
  await addLineChecks(
    at,
    spill,
    half.map((messageId) => ({
      messageId,
      language: 'ar',
      readerId: invited,
      unsure: false,
      ...(messageId === 'turn.spill'
        ? { right: false, note: 'هزّوا الكوب ثم اسكبوا الأقراص بلطف على الطاولة.' }
        : { right: true, note: '' }),
    })),
  );
}
