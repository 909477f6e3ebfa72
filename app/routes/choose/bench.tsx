import { Feather, Sprout } from 'lucide-react';
import { data, Form, redirect, useActionData, useNavigation, useSearchParams } from 'react-router';
import { checkForm, checkJson, type FieldErrors } from '~/core/check/check';
import { knobs, type Knob } from '~/core/check/schema';
import { findGame, gameOf } from '~/core/games';
import { AGE_BANDS, SECONDS_PER_TURN, type AgeBand, type Params } from '~/core/games/types';
import { variantSchema } from '~/core/kits/forms';
import { materialOf } from '~/core/kits/materials';
import { say, WORDED } from '~/core/words/message';
import { count, plain } from '~/core/words/numbers';
import { archiveVariant, createVariant, findVariant } from '~/data/queries/kits';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { isId } from '~/server/ids';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Choice, NumberBox, Pick, TextBox } from '~/app/ui/fields';
import { LengthRibbon } from '~/app/ui/LengthRibbon';
import { Notices, Said } from '~/app/ui/Notices';
import {
  Entered,
  Entries,
  Faint,
  Heading,
  Margin,
  Row,
  Sheet,
  Stack,
  TableFrame,
  Workplace,
} from '~/app/ui/Page';
import { GameDrawing } from '~/app/ui/SheetView';
import { Weave } from '~/app/ui/Weave';
import { useRemembered } from '~/app/ui/remember';
import type { Route } from './+types/bench';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData ? say(gameOf(loaderData.gameId).words, 'en', 'name') : 'Game'} · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  await requireRole(request, 'coordinator');
  const game = findGame(params.gameId);
  if (!game) throw notFound('This game');
  const search = new URL(request.url).searchParams;
  const id = search.get('variant');
  const variant = id && isId(id) ? await findVariant(id) : undefined;
  if (id && variant?.gameId !== game.id) throw notFound('This variant');
  const preset = game.presets.find((one) => one.id === search.get('preset'));
  const start = variant ?? preset ?? game.presets[0]!;
  return {
    gameId: game.id,
    chosen: variant?.id ?? preset?.id ?? '',
    variantId: variant?.id,
    name: variant?.name ?? '',
    ageBand: start.ageBand,
    params: start.params,
  };
}

export async function action({ request, params }: Route.ActionArgs) {
  const person = await requireRole(request, 'coordinator');
  const game = findGame(params.gameId);
  if (!game) throw notFound('This game');
  const form = await request.formData();
  if (form.get('intent') === 'archive') {
    const id = form.get('variant');
    const kits = isId(id) ? await archiveVariant(id) : [];
    if (kits.length === 0) throw redirect('/choose');
    const archive = `It is in ${kits.join(' and ')}. Take it out of there first; nothing was changed.`;
    return data({ saved: undefined, errors: { archive } as FieldErrors }, { status: 409 });
  }
  const about = checkForm(variantSchema, form);
  let input: unknown;
  try {
    input = JSON.parse(String(form.get('params')));
  } catch {
    input = undefined;
  }
  const settings = checkJson(game.schema, input);
  const errors: FieldErrors = {
    ...(about.ok ? {} : about.errors),
    ...(settings.ok ? {} : { params: Object.values(settings.errors).join(' ') }),
  };
  if (!about.ok || !settings.ok) return data({ saved: undefined, errors }, { status: 400 });
  const saved = await createVariant({
    gameId: game.id,
    ...about.value,
    params: settings.value as Params,
    createdBy: person.id,
  });
  if (!saved)
    return data(
      {
        saved: undefined,
        errors: {
          name: `There is a variant called “${about.value.name}” already. Choose another name.`,
        } as FieldErrors,
      },
      { status: 409 },
    );
  throw redirect(`/choose/${game.id}?variant=${saved.id}&saved=1`);
}

interface Setting {
  params: Params;
  ageBand: AgeBand;
  secondsPerTurn: number;
  name: string;
}

export default function BenchPage({ loaderData }: Route.ComponentProps) {
  // A bench of its own for each game, preset and variant: what was turned on one does not leak into another.
  return <Bench key={`${loaderData.gameId} ${loaderData.chosen}`} {...loaderData} />;
}

function Bench({ gameId, chosen, variantId, ...start }: Route.ComponentProps['loaderData']) {
  const game = gameOf(gameId);
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
  } = useRemembered<Setting>(`bench ${gameId} ${chosen}`, initial);
  const { params, ageBand, secondsPerTurn } = setting;
  const reckoning = game.reckon(params, { ageBand, secondsPerTurn });
  const turn = (change: Params): void => set((old) => ({ ...old, params: { ...old.params, ...change } }));
  const reset = (): void => {
    set(initial);
    forget();
  };
  const { easier, harder } = reckoning.ladder;
  const title = say(game.words, 'en', 'name');
  return (
    <Workplace>
      <Stack>
        <Heading title={title} action={<GameDrawing shapes={game.drawing} width={120} />}>
          {say(game.words, 'en', 'goal', params)}
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
        <Row $gap="0.5rem 1.6rem">
          {[...new Set(game.presets.map((preset) => preset.school))].map((school) => (
            <Stack key={school} $gap="0.3rem">
              {school && <strong>Where {school}</strong>}
              <Row $gap="0.4rem">
                {game.presets
                  .filter((preset) => preset.school === school)
                  .map((preset) => (
                    <ButtonLink
                      key={preset.id}
                      quiet={preset.id !== chosen}
                      href={`/choose/${gameId}?preset=${preset.id}`}
                      aria-label={[preset.name, school].filter(Boolean).join(', ')}
                    >
                      {preset.name}
                    </ButtonLink>
                  ))}
              </Row>
            </Stack>
          ))}
        </Row>
        <Sheet aria-label="Knobs">
          <Stack>
            <Row $gap="1.6rem">
              {knobs(game.schema)
                .filter((knob) => knob.kind === 'whole')
                .map((knob) => (
                  <KnobControl
                    key={knob.name}
                    knob={knob}
                    value={params[knob.name]!}
                    onTurn={(value) => turn({ [knob.name]: value })}
                  />
                ))}
            </Row>
            {knobs(game.schema)
              .filter((knob) => knob.kind === 'choice')
              .map((knob) => (
                <KnobControl
                  key={knob.name}
                  knob={knob}
                  value={params[knob.name]!}
                  onTurn={(value) => turn({ [knob.name]: value })}
                />
              ))}
            <Row>
              <Button quiet isDisabled={!easier} onPress={() => easier && turn(easier.params)}>
                <Feather size={18} aria-hidden /> Easier{easier && `: ${easier.label.toLowerCase()}`}
              </Button>
              <Button quiet isDisabled={!harder} onPress={() => harder && turn(harder.params)}>
                <Sprout size={18} aria-hidden /> Harder{harder && `: ${harder.label.toLowerCase()}`}
              </Button>
            </Row>
          </Stack>
        </Sheet>
        <Sheet aria-labelledby="length">
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
        </Sheet>
        <Row $gap="1.2rem" style={{ alignItems: 'stretch' }}>
          <Sheet aria-labelledby="weave" style={{ flex: '1 1 330px' }}>
            <h2 id="weave">What is practised</h2>
            <Faint>{reckoning.skills.join(', ')}. First number down the side, second along the top.</Faint>
            <Weave practice={reckoning.practice} />
          </Sheet>
          <Sheet aria-labelledby="parts" style={{ flex: '1 1 380px' }}>
            <Stack $gap="0.8rem">
              <h2 id="parts">What it takes</h2>
              <TableFrame>
                <table>
                  <thead>
                    <tr>
                      <th>Part</th>
                      <th>Expected</th>
                      <th>Enough</th>
                      <th>Most</th>
                    </tr>
                  </thead>
                  <tbody>
                    {reckoning.parts.map((part) => (
                      <tr key={part.material}>
                        <td>
                          {materialOf(part.material).plural}
                          <Faint>{part.reason}</Faint>
                        </td>
                        <td>{plain(part.expected)}</td>
                        <td>{plain(part.enough)}</td>
                        <td>{plain(part.worst)}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </TableFrame>
              <Faint>
                {count(reckoning.players.fewest, 'player')} to {reckoning.players.most}, on a{' '}
                {reckoning.space.place} of about {reckoning.space.widthMm / 10} ×{' '}
                {reckoning.space.depthMm / 10} cm.
              </Faint>
              <ul>
                {reckoning.prep.map((line) => (
                  <li key={line}>{line}</li>
                ))}
              </ul>
            </Stack>
          </Sheet>
        </Row>
        <Sheet aria-labelledby="told">
          <h2 id="told">How it is told</h2>
          <Faint>Spanish is not yet checked by a fluent reader unless the words desk says so.</Faint>
          <TableFrame>
            <table>
              <thead>
                <tr>
                  {WORDED.map((language) => (
                    <th key={language}>{language === 'en' ? 'English' : 'Español'}</th>
                  ))}
                </tr>
              </thead>
              <tbody>
                {game.steps(params).map((step) => (
                  <tr key={step.id}>
                    {WORDED.map((language) => (
                      <td key={language} lang={language}>
                        {say(game.words, language, step.id, step.args)}
                      </td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </TableFrame>
        </Sheet>
      </Stack>
      <Stack>
        <SaveVariant
          variantId={variantId}
          setting={setting}
          onName={(name) => set((old) => ({ ...old, name }))}
          onSaved={forget}
        />
        <Notices notices={reckoning.notices} onMend={(notice) => notice.mend && turn(notice.mend.params)} />
        <Margin label="Reckonings">
          <Entries>
            <Entered
              label="One play"
              number={String(reckoning.length.minutes.mean)}
              unit="minutes expected"
              reason={`${plain(secondsPerTurn)} seconds a turn and ${count(reckoning.length.setUpMinutes, 'minute')} to set up.`}
            />
            {reckoning.explained.map((figure) => (
              <Entered
                key={figure.name}
                label={figure.label}
                number={plain(figure.value)}
                unit={figure.unit}
                reason={figure.reason}
              />
            ))}
          </Entries>
        </Margin>
      </Stack>
    </Workplace>
  );
}

function KnobControl({
  knob,
  value,
  onTurn,
}: {
  knob: Knob;
  value: string | number;
  onTurn: (value: string | number) => void;
}) {
  if (knob.kind === 'whole')
    return (
      <NumberBox
        name={knob.name}
        label={knob.title}
        min={knob.min}
        max={knob.max}
        value={Number(value)}
        onChange={onTurn}
      />
    );
  return (
    <Choice
      name={knob.name}
      label={knob.title}
      hint={knob.hint}
      options={knob.options}
      value={String(value)}
      onChange={onTurn}
    />
  );
}

function SaveVariant({
  variantId,
  setting,
  onName,
  onSaved,
}: {
  variantId: string | undefined;
  setting: Setting;
  onName: (name: string) => void;
  onSaved: () => void;
}) {
  const busy = useNavigation().state !== 'idle';
  const errors: FieldErrors = useActionData<typeof action>()?.errors ?? {};
  const justSaved = useSearchParams()[0].has('saved');
  return (
    <Sheet aria-labelledby="save">
      <Form method="post" onSubmit={onSaved}>
        <Stack $gap="0.8rem">
          <h2 id="save">Keep it</h2>
          {justSaved && (
            <Said
              kind="done"
              word="Saved"
              live
              action={<ButtonLink href="/fill/new">Fill a kit with it</ButtonLink>}
            >
              It can go into a kit now.
            </Said>
          )}
          {errors.params && <Said kind="stop">{errors.params}</Said>}
          <input type="hidden" name="params" value={JSON.stringify(setting.params)} />
          <input type="hidden" name="ageBand" value={setting.ageBand} />
          <TextBox
            name="name"
            label="Name of the variant"
            value={setting.name}
            onChange={onName}
            error={errors.name}
            maxLength={60}
          />
          <Button type="submit" isPending={busy}>
            Save this variant
          </Button>
        </Stack>
      </Form>
      {variantId && (
        <Form method="post" style={{ marginTop: '0.8rem' }}>
          <input type="hidden" name="intent" value="archive" />
          <input type="hidden" name="variant" value={variantId} />
          <Stack $gap="0.6rem">
            {errors.archive && (
              <Said kind="mind" word="Not put away" live>
                {errors.archive}
              </Said>
            )}
            <Button type="submit" quiet clay>
              Put this variant away
            </Button>
          </Stack>
        </Form>
      )}
    </Sheet>
  );
}
