/** Evenings and messages on two servers, of which one dies in the middle of them. */
import { setTimeout as pause } from 'node:timers/promises';
import { createFamily } from '~/data/queries/families';
import { lend } from '~/data/queries/lending';
import { carried, message } from '~/data/schema';
import { today } from '~/server/today';
import { everything } from '../owner';
import { printedCopies } from '../world';
import type { Field, Row } from './field';

/** A job whose server died is given away after so long. */
const LONGEST_MS = 150_000;

/** Families with a bag that is due today, all told on one evening while servers are killed: each is told once. */
export async function messagesOnce(field: Field, size: number): Promise<Row> {
  const { at, kitId, people } = await field.begin();
  const day = today(at);
  const copies = await printedCopies(at, kitId, size, people.helper.id);
  for (const [i, copy] of copies.entries()) {
    const family = (await createFamily(at, {
      name: `Family ${i}`,
      language: 'en',
      channel: 'message',
      reach: `555-${i}`,
    }))!;
    await lend(at, {
      copyId: copy.id,
      familyId: family.id,
      lentOn: day,
      dueOn: day,
      personId: null,
    });
  }
  const desks = [await field.visitor('Coordinator', 0), await field.visitor('Coordinator', 1)];
  // Both servers are told to do the evening, again and again, and one of them dies over it.
  const told = desks.flatMap((desk) =>
    Array.from({ length: 3 }, () => desk.post('/lend/messages', { intent: 'now' }).catch(() => undefined)),
  );
  await pause(120);
  await field.killServer(0);
  await Promise.all(told);
  await field.startServer(0);
  const again = await field.visitor('Coordinator', 1);
  await again.post('/lend/messages', { intent: 'now' });
  const until = Date.now() + LONGEST_MS;
  const states = async () => (await everything().select().from(message)).map(({ state }) => state);
  while (Date.now() < until && (await states()).some((state) => state === 'waiting')) await pause(1000);
  const [messages, handed] = [
    await everything().select().from(message),
    await everything().select().from(carried),
  ];
  const perFamily = new Map<string, number>();
  for (const { familyId } of messages) perFamily.set(familyId, (perFamily.get(familyId) ?? 0) + 1);
  return {
    what: 'an evening of messages on two servers, one killed (-9)',
    tried: size,
    lost: [
      ...(messages.length === size ? [] : [`${messages.length} messages for ${size} families`]),
      ...[...perFamily.values()].filter((n) => n > 1).map((n) => `a family was told ${n} times`),
      ...messages
        .filter(({ state, tries }) => state !== 'sent' || tries !== 1)
        .map(({ state, tries }) => `a message is ${state} after ${tries} tries`),
      ...(handed.length === messages.length ? [] : [`${handed.length} were handed over`]),
    ],
  };
}
