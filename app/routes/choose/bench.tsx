import { Feather, Scale, Sprout } from 'lucide-react';
import { lazy, Suspense, useCallback, useDeferredValue, useMemo } from 'react';
import { data, redirect } from 'react-router';
import { checkForm, type FieldErrors } from '~/core/check/check';
import { readJson } from '~/core/check/keepable';
import { same } from '~/core/check/merge';
import { check } from '~/core/games/kit/check';
import { faultsOf, settle, type Game } from '~/core/games/kit/game';
import { hearing, type Heard } from '~/core/games/kit/hearing';
import { fitted } from '~/core/games/kit/knobs';
import { gameFor } from '~/core/own/open';
import { AGE_BANDS, assume, SECONDS_PER_TURN, type AgeBand, type Params } from '~/core/games/kit/types';
import { variantSchema } from '~/core/kits/forms';
import { isClosed } from '~/core/own/closed';
import { storedId } from '~/core/own/ids';
import { excerpt, nameOf, say, type Reading } from '~/core/words/reading';
import { HEARD_WORDS } from '~/core/words/family';
import type { SchoolHandle } from '~/data/db';
import { archiveVariant, createVariant, findVariant } from '~/data/queries/kits';
import { requireGame } from '~/server/games/find';
import { homeOf } from '~/core/lending/school';
import type { Language } from '~/core/words/languages';
import { readingsAt } from '~/data/queries/wording';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { byIntent, textIn } from '~/server/forms';
import { isId } from '~/server/ids';
import { reckoningOf } from '~/server/threads';
import { Button, ButtonLink } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { Knobs } from '~/app/game/Knobs';
import { LengthRibbon } from '~/app/game/LengthRibbon';
import { Notices, Said } from '~/app/ui/Notices';
import { Faint, Heading, Row, Panel, Stack, Workplace } from '~/app/ui/Page';
import { OnceAlive } from '~/app/ui/OnceAlive';
import { roomOf } from '~/core/games/kit/shown';
import { PartsTable, Reckonings } from '~/app/game/Reckonings';
import { GameDrawing } from '~/app/game/SheetView';
import { useRemembered } from '~/app/ui/remember';
import { heardIn, TellsIt, type ToldStep } from '~/app/game/Told';
import { useLive } from '~/app/game/useLive';
import { useReckoning } from '~/app/game/useReckoning';
import { Weave } from '~/app/game/Weave';
import { SaveVariant, type Setting } from './SaveVariant';
import type { Route } from './+types/bench';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.title ?? 'Game'} · Fern Basket` },
];

/** The game of an address. A variant of a game of the school's own keeps the rules it was saved with. */
async function benchOf(at: SchoolHandle, request: Request, gameId: string) {
  const id = new URL(request.url).searchParams.get('variant');
  const variant = id && isId(id) ? await findVariant(at, id) : undefined;
  if (id && variant?.gameId !== gameId) throw notFound('This variant');
  const gameRef = variant?.own ? { gameId, own: variant.own } : await requireGame(at, gameId);
  return { gameRef, variant };
}

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at, school } = await requireRole(request, 'coordinator');
  const { gameRef, variant } = await benchOf(at, request, params.gameId);
  const search = new URL(request.url).searchParams;
  const game = gameFor(gameRef);
  const preset = game.presets.find((one) => one.id === search.get('preset'));
  const start = variant ?? preset ?? game.presets[0]!;
  const { ageBand } = start;
  // What is there at first is reckoned beside the thread that answers; from then on the browser does it.
  const first = await reckoningOf({ ref: gameRef, params: start.params, assumptions: assume(ageBand) });
  const readings = await readingsOf(at, school.languages, game);
  return {
    first,
    gameRef,
    ...shownFirst(game, start.params, hearing(first?.practice ?? []), readings),
    chosen: variant?.id ?? preset?.id ?? '',
    variantId: variant?.id,
    name: variant?.name ?? '',
    ageBand,
    params: start.params,
  };
}

/** The languages of a bench: English, and the school's first other one as the school words it. */
async function readingsOf(at: SchoolHandle, languages: readonly Language[], game: Game): Promise<Reading[]> {
  const shown = [...new Set<Language>(['en', homeOf(languages)])];
  return (await readingsAt(at, shown)).map((reading) => excerpt(reading, game.words, HEARD_WORDS));
}

/** What a bench shows of a game and of its setting before the game itself has come. */
function shownFirst(game: Game, params: Params, heard: readonly Heard[], readings: readonly Reading[]) {
  const { drawing, knobs, presets } = game;
  const errors = faultsOf(game, params);
  const variant = Object.keys(errors).length ? undefined : settle(game, params);
  return {
    title: nameOf(game),
    drawing,
    knobs,
    presets: presets.map(({ id, name, tradition }) => ({ id, name, tradition })),
    readings,
    errors,
    goal: variant && say(readings[0]!, game.words, 'goal', variant.about()),
    told: [
      ...(variant?.steps() ?? []).map(({ id, args }): ToldStep => ({
        id,
        texts: readings.map((reading) => say(reading, game.words, id, args)),
      })),
      ...heardIn(heard, readings),
    ],
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const { at } = person;
  const form = await request.formData();
  return byIntent(form, {
    archive: async () => {
      const id = form.get('variant');
      const kits = isId(id) ? await archiveVariant(at, id, person.id) : [];
      if (kits.length === 0) throw redirect('/choose');
      const archive = `It is in ${kits.join(' and ')}. Take it out of there first; nothing was changed.`;
      return data({ errors: { archive } }, { status: 409 });
    },
    '': async () => {
      const { gameRef } = await benchOf(at, request, params.gameId);
      const about = checkForm(variantSchema, form);
      let input: unknown;
      try {
        input = readJson(textIn(form, 'params'));
      } catch {
        input = undefined;
      }
      const settings = check(gameFor(gameRef), input);
      const errors: FieldErrors = {
        ...(about.ok ? {} : about.errors),
        ...(settings.ok ? {} : { params: Object.values(settings.errors).join(' ') }),
        ...(isClosed(gameFor(gameRef))
          ? { params: 'This game cannot be opened, so no variant of it is kept.' }
          : {}),
      };
      if (!about.ok || !settings.ok || Object.keys(errors).length) return data({ errors }, { status: 400 });
      const saved = await createVariant(at, {
        gameId: params.gameId,
        ...about.value,
        params: settings.value.params,
        ...(gameRef.own ? { own: gameRef.own } : {}),
        createdBy: person.id,
      });
      if (!saved)
        return data(
          {
            errors: {
              name: `There is a variant called “${about.value.name}” already. Choose another name.`,
            },
          },
          { status: 409 },
        );
      throw redirect(`/choose/${params.gameId}?variant=${saved.id}&saved=1`);
    },
  });
}

const Goal = lazy(() => import('~/app/game/Goal'));
const Played = lazy(() => import('~/app/game/Played'));

export default function BenchPage({ loaderData }: Route.ComponentProps) {
  // A bench of its own for each game, preset and variant: what was turned on one does not leak into another.
  return <Bench key={`${loaderData.gameRef.gameId} ${loaderData.chosen}`} {...loaderData} />;
}

function Bench({
  gameRef,
  chosen,
  variantId,
  first,
  readings,
  ...start
}: Route.ComponentProps['loaderData']) {
  const live = useLive([gameRef]).get(gameRef.gameId);
  const { gameId } = gameRef;
  const initial: Setting = {
    params: start.params,
    ageBand: start.ageBand,
    secondsPerTurn: SECONDS_PER_TURN[start.ageBand],
    name: start.name,
  };
  const {
    value: setting,
    set,
    forget,
    restored,
  } = useRemembered<Setting>(`bench ${gameId} ${chosen}`, initial, (kept) => ({
    params: fitted(start.knobs, kept.params, start.params),
    ageBand: Object.hasOwn(AGE_BANDS, kept.ageBand) ? kept.ageBand : initial.ageBand,
    secondsPerTurn: kept.secondsPerTurn > 0 ? kept.secondsPerTurn : initial.secondsPerTurn,
    name: typeof kept.name === 'string' ? kept.name : initial.name,
  }));
  const { ageBand, secondsPerTurn } = setting;
  const params = setting.params;
  const reckoned = useReckoning(
    gameRef,
    params,
    { ageBand, secondsPerTurn },
    { params: start.params, ageBand: start.ageBand, reckoning: first, errors: start.errors },
    live,
  );
  const { reckoning, errors } = reckoned;
  const variant = useMemo(
    () =>
      reckoning && live && Object.keys(live.faults(params)).length === 0 ? live.settle(params) : undefined,
    [live, params, reckoning],
  );
  // The number under the hand changes first; what is drawn and told of it follows.
  const drawn = useDeferredValue(reckoning);
  const playing = useDeferredValue(variant);
  const heard = useMemo(() => hearing(drawn?.practice ?? []), [drawn]);
  const turn = useCallback(
    (change: Params): void => set((old) => ({ ...old, params: { ...old.params, ...change } })),
    [set],
  );
  const reset = (): void => {
    set(initial);
    forget();
  };
  const easier = reckoning?.ladder.easier;
  const harder = reckoning?.ladder.harder;
  const told = <TellsIt languages={readings.map(({ language }) => language)} steps={start.told} />;
  const other = `/choose/compare?a=${encodeURIComponent(`set:${gameId}:${JSON.stringify(params)}`)}`;
  return (
    <Workplace>
      <Stack>
        <Heading title={start.title} action={<GameDrawing shapes={start.drawing} width={120} />}>
          {reckoned.waiting ? (
            start.goal
          ) : !reckoning ? (
            'This setting does not work yet.'
          ) : playing ? (
            <Suspense fallback={start.goal}>
              <Goal variant={playing} />
            </Suspense>
          ) : (
            start.goal
          )}
        </Heading>
        {restored && (
          <Said
            kind="know"
            word="Put back"
            action={
              <Button quiet onPress={reset}>
                Start again from the saved setting
              </Button>
            }
          >
            You had turned knobs here before; they stand as you left them.
          </Said>
        )}
        <Presets gameId={gameId} presets={start.presets} chosen={chosen} />
        <Panel aria-label="Knobs">
          <Stack>
            <Knobs knobs={start.knobs} params={params} errors={errors} onTurn={turn} />
            <Row>
              <Button quiet isDisabled={!easier} onPress={() => easier && turn(easier.params)}>
                <Feather size={18} aria-hidden /> Easier{easier && `: ${lower(easier.label)}`}
              </Button>
              <Button quiet isDisabled={!harder} onPress={() => harder && turn(harder.params)}>
                <Sprout size={18} aria-hidden /> Harder{harder && `: ${lower(harder.label)}`}
              </Button>
              {reckoning && (
                <ButtonLink quiet href={other}>
                  <Scale size={18} aria-hidden /> Lay another beside it
                </ButtonLink>
              )}
              {gameRef.own && !variantId && (
                <ButtonLink quiet href={`/choose/own/${storedId(gameId)}`}>
                  Change this game
                </ButtonLink>
              )}
            </Row>
          </Stack>
        </Panel>
        {reckoned.waiting && <Faint role="status">One moment: the game is being fetched.</Faint>}
        {!reckoning && !reckoned.waiting && (
          <Said kind="stop" word="Nothing is reckoned" live>
            {Object.values(errors).join(' ')} What you set is kept.
          </Said>
        )}
        {reckoning && (
          <>
            <Panel aria-labelledby="length">
              <Stack $gap="0.7rem">
                <h2 id="length">How long it takes</h2>
                <LengthRibbon length={reckoning.length} />
                <Row $gap="1.6rem">
                  <Pick
                    name="ageBand"
                    label="Grade band"
                    value={ageBand}
                    onChange={(value) =>
                      set((old) => ({
                        ...old,
                        ageBand: value as AgeBand,
                        secondsPerTurn: SECONDS_PER_TURN[value as AgeBand],
                      }))
                    }
                    options={Object.entries(AGE_BANDS).map(([value, label]) => ({ value, label }))}
                  />
                  <NumberBox
                    name="secondsPerTurn"
                    label="Seconds for one turn"
                    value={secondsPerTurn}
                    onChange={(value) => set((old) => ({ ...old, secondsPerTurn: value }))}
                    min={5}
                    max={180}
                  />
                  <Faint>An assumption: change it when your families are quicker or slower.</Faint>
                </Row>
              </Stack>
            </Panel>
            <Row $gap="1.2rem" style={{ alignItems: 'stretch' }}>
              <Panel aria-labelledby="weave" style={{ flex: '1 1 330px' }}>
                <h2 id="weave">What is practised</h2>
                <Faint>
                  {reckoning.skills.join(', ')}. First number down the side, second along the top.
                </Faint>
                <OnceAlive height={320}>
                  <Weave practice={(drawn ?? reckoning).practice} />
                </OnceAlive>
              </Panel>
              <Panel aria-labelledby="parts" style={{ flex: '1 1 380px' }}>
                <Stack $gap="0.8rem">
                  <h2 id="parts">What it takes</h2>
                  <PartsTable reckoning={reckoning} />
                  <Faint>{roomOf(reckoning)}</Faint>
                  <ul>
                    {reckoning.prep.map((line) => (
                      <li key={line}>{line}</li>
                    ))}
                  </ul>
                </Stack>
              </Panel>
            </Row>
            {playing ? (
              <Suspense fallback={told}>
                <Played
                  variant={playing}
                  readings={readings}
                  told={same(playing.params, start.params) ? start.told : undefined}
                  heard={heard}
                />
              </Suspense>
            ) : (
              told
            )}
          </>
        )}
      </Stack>
      <Stack>
        <SaveVariant
          variantId={variantId}
          setting={setting}
          works={Boolean(reckoning)}
          onName={(name) => set((old) => ({ ...old, name }))}
          onSaved={forget}
        />
        {reckoning && (
          <>
            <Notices
              notices={reckoning.notices}
              onMend={(notice) => notice.mend && turn(notice.mend.params)}
            />
            <Reckonings reckoned={reckoned} reckoning={reckoning} />
          </>
        )}
      </Stack>
    </Workplace>
  );
}

const lower = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);

/** The presets by the tradition they follow. */
function Presets({
  gameId,
  presets,
  chosen,
}: {
  gameId: string;
  presets: Route.ComponentProps['loaderData']['presets'];
  chosen: string;
}) {
  return (
    <Row $gap="0.5rem 1.6rem">
      {[...new Set(presets.map((preset) => preset.tradition))].map((tradition) => (
        <Stack key={tradition} $gap="0.3rem">
          {tradition && <strong>Where {tradition}</strong>}
          <Row $gap="0.4rem">
            {presets
              .filter((preset) => preset.tradition === tradition)
              .map((preset) => (
                <ButtonLink
                  key={preset.id}
                  quiet={preset.id !== chosen}
                  href={`/choose/${gameId}?preset=${preset.id}`}
                  aria-label={[preset.name, tradition].filter(Boolean).join(', ')}
                >
                  {preset.name}
                </ButtonLink>
              ))}
          </Row>
        </Stack>
      ))}
    </Row>
  );
}
