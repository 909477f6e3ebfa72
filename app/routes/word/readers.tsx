import { data, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { homeOf } from '~/core/lending/school';
import { SHELF } from '~/core/games/shelf';
import { invitationSchema, MOST_DAYS, USUAL_DAYS } from '~/core/words/invitation';
import { aboutLanguage } from '~/core/words/languages';
import { count } from '~/core/words/numbers';
import { nameOf } from '~/core/words/reading';
import { listKits } from '~/data/queries/kits';
import { closeReader, inviteReader, listReaders } from '~/data/queries/readers';
import { showTime } from '~/server/changes';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { isLoopback, newReaderKey, readerLinkOf } from '~/server/links';
import { noteSecurity } from '~/server/people/security';
import { faultOfAgain, hashOf, requireRole } from '~/server/people/session';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { OnceMore } from '~/app/ui/OnceMore';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { NotSaved } from '~/app/ui/NotSaved';
import { Said } from '~/app/ui/Notices';
import { Faint, Heading, Panel, Row, Stack, State, Wide } from '~/app/ui/Page';
import { Table } from '~/app/ui/Table';
import type { Route } from './+types/readers';

export const meta: Route.MetaFunction = () => [{ title: 'Readers · Fern Basket' }];

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school, proven } = await requireRole(request, 'coordinator');
  const [readers, kits] = await Promise.all([listReaders(at), listKits(at)]);
  const now = new Date();
  return {
    languages: school.languages,
    readers: readers.map((one) => ({
      id: one.id,
      reader: one.reader,
      target: one.language,
      what: one.kitId ? (one.kit ?? 'a kit that was removed') : nameOfGame(one.gameId),
      read: one.read,
      doubted: one.doubted,
      until: showTime(at, one.expiresAt),
      open: !one.closedAt && one.expiresAt > now,
    })),
    kits: kits.map(({ id, name }) => ({ id, name })),
    proven,
  };
}
const nameOfGame = (id: string | null): string => {
  const game = SHELF.find((one) => one.id === id);
  return game ? nameOf(game) : 'a game';
};

export async function action({ request }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at, school } = person;
  const form = await request.formData();
  const refuse = (errors: FieldErrors, status: number) =>
    data({ errors, link: undefined, closed: false }, { status });
  return byIntent(form, {
    close: async () => {
      const id = form.get('reader');
      if (isId(id)) await closeReader(at, id, person.id);
      return data({ errors: {}, link: undefined, closed: true });
    },
    '': async () => {
      const checked = checkForm(invitationSchema, form);
      const errors: FieldErrors = checked.ok ? {} : { ...checked.errors };
      const language = textIn(form, 'language');
      if (language === 'en' || !school.languages.includes(language))
        errors.language = 'Choose one of the languages of your school.';
      const [kind, id = ''] = textIn(form, 'what').split(' ');
      const kit = kind === 'kit' && (await listKits(at)).find((one) => one.id === id);
      const game = kind === 'game' && SHELF.find((one) => one.id === id);
      if (!kit && !game) errors.what = 'Choose a kit or a game.';
      if (!checked.ok || Object.keys(errors).length) return refuse(errors, 400);
      const again = await faultOfAgain(request, person, form);
      if (again) return refuse({ confirm: again }, 401);
      const key = newReaderKey();
      const { reader, days } = checked.value;
      await inviteReader(at, {
        keyHash: hashOf(key),
        reader,
        language,
        ...(kit ? { kitId: kit.id } : { gameId: id }),
        again: form.get('again') === 'yes',
        personId: person.id,
        expiresAt: new Date(Date.now() + days * 86_400_000),
      });
      await noteSecurity(at, 'keyMade', person.id);
      const address = readerLinkOf(request, key);
      // Told once: only its hash is kept.
      return data({
        errors: {},
        link: { reader, address, onlyHere: isLoopback(address) },
        closed: false,
      });
    },
  });
}

export default function Readers({ loaderData, actionData }: Route.ComponentProps) {
  const { readers, kits, languages } = loaderData;
  const [search] = useSearchParams();
  const busy = useSending();
  const errors: FieldErrors = actionData?.errors ?? {};
  const { link } = actionData ?? {};
  return (
    <Wide>
      <Stack>
        <Heading
          title="Fluent readers"
          action={
            <ButtonLink quiet href="/word">
              All words
            </ButtonLink>
          }
        >
          Who can tell whether a sentence is said well? Somebody who speaks both languages reads on a phone,
          line by line, without a password, and sees no family and no loan.
        </Heading>
        {link && (
          <Said kind="done" word={`A link for ${link.reader}`} live>
            Send it by a message that only they read. It is shown only now:
            <p style={{ overflowWrap: 'anywhere', userSelect: 'all' }}>
              <code>{link.address}</code>
            </p>
            {link.onlyHere && 'This address opens on this computer only: set PUBLIC_URL for phones.'}
          </Said>
        )}
        {actionData?.closed && (
          <Said kind="done" word="Closed" live>
            The link opens nothing any more. What was said through it stays.
          </Said>
        )}
        <Panel aria-labelledby="invite">
          <h2 id="invite">Invite a reader</h2>
          <Form method="post" key={link?.address ?? ''}>
            <Stack>
              <NotSaved errors={errors} />
              <Row>
                <TextBox name="reader" label="Who reads" error={errors.reader} maxLength={80} />
                <Pick
                  name="language"
                  label="Language"
                  defaultValue={search.get('language') ?? homeOf(languages)}
                  error={errors.language}
                  options={languages
                    .filter((one) => one !== 'en')
                    .map((one) => ({ value: one, label: aboutLanguage(one).name }))}
                />
                <Pick
                  name="what"
                  label="What"
                  defaultValue={
                    search.has('kit')
                      ? `kit ${search.get('kit')}`
                      : `game ${search.get('game') ?? SHELF[0]!.id}`
                  }
                  error={errors.what}
                  options={[
                    ...kits.map(({ id, name }) => ({ value: `kit ${id}`, label: `${name} (kit)` })),
                    ...SHELF.map((game) => ({ value: `game ${game.id}`, label: nameOf(game) })),
                  ]}
                />
                <NumberBox
                  name="days"
                  label="Days it is open"
                  min={1}
                  max={MOST_DAYS}
                  defaultValue={USUAL_DAYS}
                  error={errors.days}
                />
              </Row>
              <TickBox name="again" value="yes">
                Ask about lines that were found right too: a second pair of eyes
              </TickBox>
              <Row>
                <OnceMore proven={loaderData.proven} error={errors.confirm} />
                <Button type="submit" isPending={busy}>
                  Make a link
                </Button>
              </Row>
            </Stack>
          </Form>
        </Panel>
        {readers.length === 0 ? (
          <Faint>Nobody was invited yet.</Faint>
        ) : (
          <Table
            rows={readers}
            rowKey={(one) => one.id}
            columns={[
              { head: 'Reader', cell: (one) => one.reader },
              { head: 'Language', cell: (one) => aboutLanguage(one.target).name },
              { head: 'What', cell: (one) => one.what },
              {
                head: 'Read',
                cell: (one) =>
                  one.read === 0
                    ? 'nothing yet'
                    : `${count(one.read, 'line')}${one.doubted ? `, ${one.doubted} not right` : ''}`,
              },
              {
                head: 'Link',
                cell: (one) =>
                  one.open ? (
                    <Row $gap="0.6rem">
                      <State tone="calm">open until {one.until}</State>
                      <Form method="post">
                        <input type="hidden" name="intent" value="close" />
                        <input type="hidden" name="reader" value={one.id} />
                        <Button type="submit" quiet aria-label={`Close it: the link of ${one.reader}`}>
                          Close it
                        </Button>
                      </Form>
                    </Row>
                  ) : (
                    <State tone="wait">closed</State>
                  ),
              },
            ]}
          />
        )}
      </Stack>
    </Wide>
  );
}
