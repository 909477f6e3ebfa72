import { data, Link, useSearchParams } from 'react-router';
import { Form } from '~/app/ui/sending';
import { visible } from '~/core/check/keepable';
import { aboutLanguage } from '~/core/words/languages';
import { count, listed, share } from '~/core/words/numbers';
import { wilson } from '~/core/chance/intervals';
import { FAMILY_WORDS } from '~/core/words/family';
import { say } from '~/core/words/reading';
import { addTheme, asksNow, listThemes, markRead, markTheme, removeTheme } from '~/data/queries/listening';
import { removePicture } from '~/data/queries/pictures';
import { readingsAt } from '~/data/queries/wording';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { heard } from '~/server/listening/heard';
import { schoolWords } from '~/server/listening/levels';
import { sayTo } from '~/server/listening/thanks';
import { seeToUnclear, unclearNow } from '~/server/listening/unclear';
import { requireRole } from '~/server/people/session';
import { ListenWays } from '~/app/desk/ListenWays';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Empty, Entered, Entries, Heading, Margin, Panel, Row, Stack, Workplace } from '~/app/ui/Page';
import { firstOf, Pager } from '~/app/ui/Table';
import { Asks } from './Asks';
import { Voice } from './Voice';
import type { Route } from './+types/answers';

export const meta: Route.MetaFunction = () => [{ title: 'Listen · Fern Basket' }];

/** So many answers are shown at once. */
const SIZE = 30;
const MOST_WORDS = 80;
const MOST_THEME = 40;

const idIn = (search: URLSearchParams, name: string): string | undefined => {
  const id = search.get(name);
  return isId(id) ? id : undefined;
};

export async function loader({ request }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator');
  const search = new URL(request.url).searchParams;
  const first = firstOf(search, SIZE);
  const asked = {
    text: visible(search.get('q') ?? '').slice(0, MOST_WORDS),
    themeId: idIn(search, 'theme'),
    kitId: idIn(search, 'kit'),
    familyId: idIn(search, 'family'),
    unread: search.has('new'),
  };
  const [page, asks, themes, unclear, words, readings] = await Promise.all([
    heard(at, { ...asked, first, most: SIZE }),
    asksNow(at),
    listThemes(at),
    unclearNow(at),
    schoolWords(at),
    readingsAt(at, school.languages),
  ]);
  const said = words.voices;
  const right = said.filter((one) => one.said === 'justRight').length;
  return {
    ...page,
    asked,
    first,
    asks,
    themes,
    unclear,
    thanks: Object.fromEntries(
      readings.map((reading) => [reading.language, `${say(reading, FAMILY_WORDS, 'thanks')}. `]),
    ),
    rated: said.length,
    right: said.length ? { n: right, ...wilson(right, said.length) } : undefined,
    moved: [...words.variants.values()].filter(({ id }) => {
      const found = words.meaning.corrections[id];
      return found !== undefined && Math.abs(found.shift) > found.sd;
    }).length,
  };
}

interface Told {
  problem?: string;
  said?: string;
}

export async function action({ request }: Route.ActionArgs) {
  const { at, id: personId } = await requireRole(request, 'coordinator');
  const form = await request.formData();
  const mark = async (read: boolean) => {
    await markRead(at, form.getAll('answer').filter(isId), read);
    return data<Told>({});
  };
  const refuse = (problem: string, status = 409) => data<Told>({ problem }, { status });
  const gone = 'That is not there any more. Load the page again; nothing was changed.';
  const unclear = async (doubt: boolean) => {
    const [gameId = '', messageId = '', language = ''] = textIn(form, 'line').split(' ');
    return (await seeToUnclear(at, { gameId, messageId, language }, personId, doubt))
      ? data<Told>({
          said: doubt
            ? 'Its line at the words desk is in doubt until it is read or worded anew.'
            : 'It is set aside.',
        })
      : refuse('Somebody has seen to this already. Nothing was changed.');
  };
  return byIntent(form, {
    unread: () => mark(false),
    '': () => mark(true),
    mark: async () => {
      const [answerId, themeId] = [form.get('answer'), form.get('theme')];
      const done =
        isId(answerId) &&
        isId(themeId) &&
        (await markTheme(at, { answerId, themeId, personId, on: form.get('on') === '1' }));
      return done ? data<Told>({}) : refuse(gone);
    },
    addTheme: async () => {
      const name = visible(textIn(form, 'name'));
      if (name === '' || name.length > MOST_THEME)
        return refuse(`A theme is a few words, up to ${MOST_THEME} characters.`, 400);
      return (await addTheme(at, name))
        ? data<Told>({})
        : refuse(`There is a theme called “${name}” already.`);
    },
    removeTheme: async () => {
      const theme = form.get('theme');
      if (!isId(theme)) return refuse(gone);
      await removeTheme(at, theme);
      return data<Told>({});
    },
    line: async () => {
      const answerId = form.get('answer');
      if (!isId(answerId)) return refuse(gone);
      const sent = await sayTo(at, answerId, visible(textIn(form, 'line'), true));
      return sent.ok
        ? data<Told>({
            said:
              sent.how === 'sent'
                ? 'It goes out now, by the way they chose.'
                : 'It is on a strip, to be printed with the messages.',
          })
        : refuse(sent.problem, 400);
    },
    dropPicture: async () => {
      const picture = form.get('picture');
      return isId(picture) && (await removePicture(at, picture)) ? data<Told>({}) : refuse(gone);
    },
    doubt: () => unclear(true),
    setAside: () => unclear(false),
  });
}

export default function Answers({ loaderData, actionData }: Route.ComponentProps) {
  const { voices, found, asked, first, asks, themes, unclear, thanks, rated, right, moved } = loaderData;
  const spoken = [...new Set(voices.map(({ language }) => aboutLanguage(language).name))];
  const [search] = useSearchParams();
  const fresh = voices.filter((one) => one.isNew);
  const narrowed = [...search.keys()].some((key) => key !== 'page');
  return (
    <Workplace>
      <Stack>
        <ListenWays />
        <Heading
          title="Listen"
          action={
            fresh.length > 0 && (
              <Form method="post">
                {fresh.map((row) => (
                  <input key={row.id} type="hidden" name="answer" value={row.id} />
                ))}
                <Button type="submit" quiet>
                  I have read {fresh.length === 1 ? 'the new answer' : `the ${fresh.length} new answers`}
                </Button>
              </Form>
            )
          }
        >
          What did families say, and what does it ask for now?
        </Heading>
        {actionData?.problem && (
          <Said kind="stop" word="Not done" live>
            {actionData.problem}
          </Said>
        )}
        {actionData?.said && (
          <Said kind="done" live>
            {actionData.said}
          </Said>
        )}
        <Asks asks={asks} unclear={unclear} />
        <Panel aria-labelledby="said">
          <Stack>
            <h2 id="said">What families said</h2>
            <Form method="get" role="search">
              <Row>
                <TextBox
                  key={`words ${asked.text}`}
                  name="q"
                  inputType="search"
                  label="Words they used"
                  defaultValue={asked.text}
                  maxLength={MOST_WORDS}
                />
                {themes.length > 0 && (
                  <Pick
                    key={`theme ${asked.themeId}`}
                    name="theme"
                    label="Theme"
                    defaultValue={asked.themeId ?? ''}
                    options={[
                      { value: '', label: 'any' },
                      ...themes.map(({ id, name, answers }) => ({
                        value: id,
                        label: `${name} (${answers})`,
                      })),
                    ]}
                  />
                )}
                {asked.kitId && <input type="hidden" name="kit" value={asked.kitId} />}
                <Button type="submit" quiet>
                  Find answers
                </Button>
                {narrowed && <Link to="/listen">Show all</Link>}
              </Row>
            </Form>
            {voices.length === 0 &&
              (narrowed ? (
                <Empty title="Nobody said so">Try another word, or show all answers.</Empty>
              ) : (
                <Empty
                  title="Nobody has answered yet"
                  action={<ButtonLink href="/lend">Lend a copy</ButtonLink>}
                >
                  Families answer on the page behind the square of the label, by text, or on the paper slip in
                  the bag.
                </Empty>
              ))}
            {voices.map((voice) => (
              <Voice key={voice.id} voice={voice} themes={themes} thanks={thanks} />
            ))}
            <Pager first={first} shown={voices.length} found={found} size={SIZE} />
          </Stack>
        </Panel>
      </Stack>
      <Margin label="Reckonings">
        <Entries>
          <Entered
            label={narrowed ? 'Found' : 'Answers'}
            number={found.toLocaleString('en-US')}
            unit={found === 1 ? 'answer' : 'answers'}
            reason={
              spoken.length
                ? `On this page in ${listed(spoken)}.`
                : 'By the page, on paper, by text or by phone.'
            }
          />
          {right && (
            <Entered
              label="Just right"
              number={share(right.share)}
              reason={`${right.n} of ${count(rated, 'word')} on a game in two years; nineteen in twenty between ${Math.round(right.low * 100)} and ${Math.round(right.high * 100)}.`}
            />
          )}
          <Entered
            label="Harder or easier than reckoned"
            number={String(moved)}
            unit={moved === 1 ? 'game' : 'games'}
            reason={
              <>
                Families’ answers move what a game asks. <Link to="/listen/games">See by how much</Link>.
              </>
            }
          />
        </Entries>
        <h2>Themes of your own</h2>
        <Form method="post" key={themes.length}>
          <Row>
            <TextBox name="name" label="A new theme" maxLength={MOST_THEME} />
            <Button type="submit" quiet name="intent" value="addTheme">
              Add this theme
            </Button>
          </Row>
        </Form>
        {themes.length > 0 && (
          <Form method="post">
            <Row>
              <Pick
                name="theme"
                label="Take a theme away"
                options={themes.map(({ id, name }) => ({ value: id, label: name }))}
              />
              <Button type="submit" quiet clay name="intent" value="removeTheme">
                Take it away
              </Button>
            </Row>
          </Form>
        )}
      </Margin>
    </Workplace>
  );
}
