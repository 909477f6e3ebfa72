import { data } from 'react-router';
import { Form, useFetcher } from '~/app/ui/sending';
import { visible } from '~/core/check/keepable';
import { findGame } from '~/core/games/shelf';
import { TURNS } from '~/core/rehearse/rehearsal';
import { REHEARSE_WORDS } from '~/core/words/rehearse';
import { excerpt } from '~/core/words/reading';
import { keepRehearsal } from '~/data/queries/evenings';
import { BANDS, MOST_NAME, rehearsalFor, tongueOf } from '~/server/games/rehearse';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { LendWays } from '~/app/desk/LendWays';
import { Rehearsing as Played } from '~/app/game/Rehearsing';
import { rehearseWords, Tongues } from '~/app/game/Tongues';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Pick } from '~/app/ui/fields/Pick';
import { Heading, Panel, Row, Stack, Wide } from '~/app/ui/Page';
import type { Route } from './+types/rehearsing';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.shown.name ?? 'Rehearse'} · Fern Basket` },
];

/** Years of age in the middle of a grade: they need no word. */
const YEARS = { preK: 4, K: 5, g1: 6, g2: 7, g3: 8 } as const;

const nameIn = (text: FormDataEntryValue | string | null, own: string): string =>
  visible(typeof text === 'string' ? text : '')
    .trim()
    .slice(0, MOST_NAME) || own;

export async function loader({ request, params }: Route.LoaderArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  const { at, school } = person;
  const asked = new URL(request.url).searchParams;
  const { reading, languages, direction } = await tongueOf(request, at, school.languages);
  const shown = await rehearsalFor(at, params.gameId, asked, reading);
  if (!shown) throw notFound('This game');
  return {
    coordinates: person.role === 'coordinator',
    reading: excerpt(reading, REHEARSE_WORDS),
    languages,
    direction,
    shown,
    helper: nameIn(asked.get('helper'), person.name),
    evening: asked.get('evening') ?? '',
    table: asked.get('table') ?? '',
    ages: BANDS.map((band) => ({ value: band, label: String(YEARS[band]) })),
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator', 'helper');
  if (!findGame(params.gameId)) throw notFound('This game');
  const form = await request.formData();
  const [turns, well] = [Number(form.get('turns')), Number(form.get('well'))];
  if (!(
    Number.isInteger(turns) &&
    Number.isInteger(well) &&
    turns >= 1 &&
    turns <= TURNS &&
    well >= 0 &&
    well <= turns
  ))
    return data({ kept: false }, { status: 400 });
  await keepRehearsal(person.at, {
    helper: nameIn(form.get('helper'), person.name),
    gameId: params.gameId,
    turns,
    well,
  });
  return data({ kept: true });
}

/** A game rehearsed turn by turn with a simulated child. */
export default function RehearsingPage({ loaderData }: Route.ComponentProps) {
  const { coordinates, reading, languages, direction, shown, helper, evening, table, ages } = loaderData;
  const words = rehearseWords(reading);
  const fetcher = useFetcher<typeof action>();
  const { language } = reading;
  return (
    <Wide>
      <Stack>
        <LendWays coordinates={coordinates} />
        <div lang={language} dir={direction}>
          <Heading
            title={words('title', { game: shown.name })}
            action={
              <ButtonLink quiet href={`/lend/rehearse?lang=${language}`}>
                {words('all')}
              </ButtonLink>
            }
          >
            {words('why')}
          </Heading>
        </div>
        <Tongues languages={languages} current={language} />
        <Form method="get" lang={language} dir={direction}>
          <input type="hidden" name="lang" value={language} />
          <input type="hidden" name="play" value={shown.seed + 1} />
          <input type="hidden" name="helper" value={helper} />
          {evening && <input type="hidden" name="evening" value={evening} />}
          {table && <input type="hidden" name="table" value={table} />}
          <Row>
            <Pick
              key={`age ${shown.band}`}
              name="age"
              label={words('age')}
              defaultValue={shown.band}
              options={ages}
            />
            {shown.preset ? (
              <Pick
                key={`preset ${shown.preset}`}
                name="preset"
                label={shown.setting}
                labelHidden
                defaultValue={shown.preset}
                options={shown.presets}
              />
            ) : (
              <p>{shown.setting}</p>
            )}
            <Button type="submit" quiet>
              {words('begin')}
            </Button>
          </Row>
        </Form>
        <Panel lang={language} dir={direction} aria-label={words('title', { game: shown.name })}>
          <Played
            key={`${shown.seed} ${shown.band} ${shown.preset} ${language}`}
            scenes={shown.scenes}
            words={words}
            kept={fetcher.data?.kept ? helper : undefined}
            again={`?${new URLSearchParams({
              lang: language,
              play: String(shown.seed + 1),
              age: shown.band,
              helper,
              ...(evening ? { evening, table } : { preset: shown.preset }),
            })}`}
            onEnd={(turns, well) =>
              void fetcher.submit({ helper, turns: String(turns), well: String(well) }, { method: 'post' })
            }
          />
        </Panel>
      </Stack>
    </Wide>
  );
}
