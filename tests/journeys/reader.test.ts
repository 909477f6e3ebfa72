import { eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import { gameOf } from '~/core/games/shelf';
import { readingOf } from '~/core/words/readings';
import { lineStates } from '~/data/queries/words';
import { lineVoice, readerLink, wordingCheck } from '~/data/schema';
import { everything } from '../owner';
import { lendOut } from '../world';
import { expectAccessible, open, signIn, smallSchoolForEach, visitor } from './browser';

const world = smallSchoolForEach();
const spill = gameOf('two-tone-spill');
const PHONE = { width: 360, height: 740 };

/** Invites a reader as the coordinator does; the link that is shown once. */
async function invited(name: string): Promise<{ link: string; staff: Awaited<ReturnType<typeof visitor>> }> {
  const staff = await visitor({ expected: /4(00|09|10)/ });
  const { page } = staff;
  await signIn(page);
  await open(page, '/word');
  await page.getByRole('link', { name: /^ask a reader of Spanish about First splits/ }).click();
  await page.getByRole('heading', { name: 'Fluent readers' }).waitFor();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Make a link' }).click();
  await page.getByText(/Not saved/).waitFor();
  await page.getByRole('textbox', { name: 'Who reads' }).fill(name);
  await page.getByRole('button', { name: 'Make a link' }).click();
  await page.getByText(`A link for ${name}`).waitFor();
  await expectAccessible(page);
  return { link: (await page.locator('code').first().textContent())!, staff };
}

describe('a fluent reader', () => {
  it('reads line by line on a small phone without a password: right, not quite, not sure, undo; the school decides', async () => {
    const { link, staff } = await invited('Nadia');
    const { page, complaints } = await visitor({ ...PHONE, expected: /4(00|09|10)/ });
    await open(page, link);
    await page.getByText('Tern Rock School lends math games').waitFor();
    await expectAccessible(page);
    await page.getByRole('link', { name: 'Begin' }).click();
    // Right; and back again, since it was the wrong button.
    await page.getByText('Line 1 of').waitFor();
    await page.getByRole('button', { name: 'It is right' }).click();
    await page.getByText('Line 2 of').waitFor();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Undo: I pressed the wrong one' }).click();
    await page.getByText('Line 1 of').waitFor();
    expect((await lineStates(world.at, spill, 'es')).name).toEqual({ kind: 'unchecked' });
    await page.getByRole('button', { name: 'I am not sure' }).click();
    // Not quite: said better, with its number where it was; the same words are not better ones.
    await page.getByText('Line 2 of').waitFor();
    await page.getByText('Not quite: I would say it otherwise').click();
    await page.getByRole('button', { name: 'Send it' }).click();
    await page.getByText('Write how you would say it').waitFor();
    await page.getByRole('textbox').fill('Hallen todas las maneras de partir 6 en dos.');
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Send it' }).click();
    await page.getByText('Line 3 of').waitFor();
    await page.getByText('With other numbers it is said so').click();
    await page.getByText('Pongan 1 ficha de dos colores en el vaso.').waitFor();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(PHONE.width);
    // A line that is worded anew meanwhile is read once more.
    await page.evaluate(() => {
      for (const field of document.querySelectorAll<HTMLInputElement>('input[name="message"]'))
        field.value = 'as it was';
    });
    await page.getByRole('button', { name: 'It is right' }).click();
    await page.getByText('worded this line anew a moment ago').waitFor();
    await open(page, link);
    await page.getByText('Welcome back, Nadia').waitFor();
    await page.getByRole('link', { name: 'Go on' }).click();
    await page.getByText('Line 3 of').waitFor();
    await page.getByRole('button', { name: 'It is right' }).click();
    await page.getByText('Line 4 of').waitFor();

    // On the desk: what Nadia says stands beside the line, is taken, and settled.
    const desk = staff.page;
    await open(desk, '/word/two-tone-spill?language=es');
    await desk.getByText('read by Nadia').waitFor();
    await desk.getByText('Nadia: not sure').waitFor();
    await expectAccessible(desk);
    await desk.getByRole('button', { name: /line 2, as Nadia says$/ }).click();
    const box = desk.getByRole('textbox', { name: 'Line 2 in Spanish' });
    expect(await box.inputValue()).toMatch(/^Hallen todas las maneras de partir \{\w+\} en dos\.$/);
    await desk.getByRole('button', { name: 'Save this line' }).click();
    await desk.getByText('Hallen todas las maneras de partir 6 en dos.').waitFor();
    await desk.getByRole('checkbox', { name: /, line 1$/ }).press('Space');
    await desk.getByRole('button', { name: 'Save what was checked' }).click();
    await desk.getByText('1 line was noted.').waitFor();
    await desk.getByText('read by Coordinator').waitFor();
    expect((await lineStates(world.at, spill, 'es')).name).toMatchObject({ kind: 'checked' });

    // The link is closed: it opens nothing any more, and what was said stays.
    await open(desk, '/word/readers');
    await desk.getByText(/\d lines?, 2 not right/).waitFor();
    await desk.getByRole('button', { name: 'Close it: the link of Nadia' }).click();
    await desk.getByText('The link opens nothing any more').waitFor();
    await page.goto(link);
    await page.getByText('This link is closed').waitFor();
    expect((await page.request.get(link)).status()).toBe(410);
    await everything()
      .update(readerLink)
      .set({ closedAt: null, expiresAt: new Date(0) });
    expect((await page.request.get(link)).status()).toBe(410);
    expect((await page.request.get(link.slice(0, -1) + 'x')).status()).toBe(404);
    expect(complaints).toEqual([]);
    expect(staff.complaints).toEqual([]);
  });

  it('says a line aloud, and families hear it where exactly these words are said', async () => {
    const { link, staff } = await invited('Nadia');
    const { page, complaints } = await visitor({ ...PHONE });
    await page.addInitScript(() => {
      // A microphone that hums.
      navigator.mediaDevices.getUserMedia = () => {
        const sounds = new AudioContext();
        const hum = sounds.createOscillator();
        const out = sounds.createMediaStreamDestination();
        hum.connect(out);
        hum.start();
        return Promise.resolve(out.stream);
      };
    });
    await open(page, link);
    await page.getByRole('link', { name: 'Begin' }).click();
    await page.getByRole('button', { name: 'It is right' }).click();
    await page.getByRole('button', { name: 'It is right' }).click();
    await page.getByText('Line 3 of').waitFor();
    const says = readingOf('es').wording['two-tone-spill']!;
    await page.getByRole('button', { name: /^Say it aloud in Spanish/ }).click();
    await page.waitForTimeout(700);
    await page.getByRole('button', { name: 'Stop and keep it' }).click();
    await page.getByText('Kept. The school listens to it').waitFor();
    await expectAccessible(page);
    const [kept] = await everything().select().from(lineVoice);
    expect(kept).toMatchObject({ language: 'es', kind: 'audio/webm', letOutAt: null });
    expect(kept!.said).toMatch(/6 fichas/);
    expect(kept!.sound.length).toBeGreaterThan(200);

    // Nobody hears it before the school has listened.
    const family = await visitor({ ...PHONE, javaScript: false });
    const { linkKey } = world.copies[0]!;
    await lendOut(world, { lentOn: '2026-01-05', dueOn: '2026-01-19' });
    await family.page.goto(`/p/${linkKey}?lang=es`);
    await family.page.getByText(kept!.said).waitFor();
    expect(await family.page.locator('audio').count()).toBe(0);
    expect((await family.page.request.get(`/p/${linkKey}/voice/${kept!.id}`)).status()).toBe(404);
    const desk = staff.page;
    await open(desk, '/word/two-tone-spill?language=es');
    await expectAccessible(desk);
    await desk.getByRole('button', { name: /^Let families hear it: line 3$/ }).click();
    await desk.getByText(', and families hear it').waitFor();
    await family.page.goto(`/p/${linkKey}?lang=es`);
    const sound = await family.page.getByLabel(/^Leído en voz alta/).getAttribute('src');
    const part = await family.page.request.get(sound!, { headers: { Range: 'bytes=0-99' } });
    expect([part.status(), (await part.body()).length]).toEqual([206, 100]);
    await family.page.goto(`/p/${linkKey}?lang=en`);
    expect(await family.page.locator('audio').count()).toBe(0);

    // Taken away, it is gone; nothing of it is kept.
    await desk.getByRole('button', { name: /voice of line 3$/ }).click();
    await desk.getByRole('button', { name: /voice of line 3$/ }).waitFor({ state: 'detached' });
    expect((await family.page.request.get(sound!)).status()).toBe(404);
    const [gone] = await everything().select().from(lineVoice).where(eq(lineVoice.id, kept!.id));
    expect(gone!.sound.length).toBe(0);
    // What is no recording is refused.
    const refused = await page.request.post(page.url(), {
      headers: { Origin: new URL(link).origin },
      multipart: {
        intent: 'speak',
        line: 'two-tone-spill goal',
        message: says.goal!,
        sound: { name: 'line', mimeType: 'audio/webm', buffer: Buffer.from('hello') },
      },
    });
    expect([refused.status(), await refused.text()]).toEqual([
      400,
      expect.stringContaining('not a recording'),
    ]);
    expect(await everything().$count(wordingCheck)).toBe(2);
    expect(complaints).toEqual([]);
    expect(staff.complaints).toEqual([]);
  });

  it('is not needed where the phone reads aloud itself: steps in the language of the page, begun and stopped', async () => {
    const { page, complaints } = await visitor(PHONE);
    await page.addInitScript(() => {
      const spoken: string[] = [];
      class Utterance {
        lang = '';
        voice: unknown = null;
        onend: () => void = () => undefined;
        constructor(readonly text: string) {}
      }
      Object.assign(window, { SpeechSynthesisUtterance: Utterance, spoken });
      Object.defineProperty(window, 'speechSynthesis', {
        value: {
          getVoices: () => [{ lang: 'en-US' }, { lang: 'es-MX' }],
          cancel: () => undefined,
          speak: (one: Utterance) =>
            spoken.push(`${one.lang} ${(one.voice as { lang: string }).lang} ${one.text}`),
          addEventListener: () => undefined,
        },
      });
    });
    await page.goto(`/p/${world.copies[0]!.linkKey}?lang=es`);
    const listen = page.getByRole('button', { name: /^Escuchar: Pongan 6 fichas/ });
    await listen.click();
    expect(await listen.textContent()).toBe('Parar');
    await listen.click();
    expect(await listen.textContent()).toBe('Escuchar');
    const spoken = await page.evaluate(() => (window as unknown as { spoken: string[] }).spoken);
    expect(spoken).toHaveLength(1);
    expect(spoken[0]).toMatch(/^es es-MX Pongan 6 fichas/);
    await expectAccessible(page);
    // A language that the phone has no voice for has no button.
    await page.goto(`/p/${world.copies[0]!.linkKey}?lang=en`);
    await page
      .getByRole('button', { name: /^Listen: / })
      .first()
      .waitFor();
    expect(complaints).toEqual([]);
  });
});
