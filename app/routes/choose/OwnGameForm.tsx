import { ArrowDown, ArrowUp, Plus, Trash2 } from 'lucide-react';
import { Form, useNavigation } from 'react-router';
import styled from 'styled-components';
import type { FieldErrors } from '~/core/check/check';
import { gameFor } from '~/core/games';
import { AGE_BANDS, assume } from '~/core/games/types';
import {
  ENDS,
  MAKES,
  OWN_ARGUMENTS,
  OWN_MATERIALS,
  ownFaults,
  OWN_PLACES,
  RULES,
  SHOWS,
  STEP_PARTS,
  TURN_KINDS,
  type OwnGame,
} from '~/core/own/definition';
import { Button, ButtonLink } from '~/app/ui/Button';
import { NumberBox, Pick, TextBox } from '~/app/ui/fields';
import { LengthRibbon } from '~/app/ui/LengthRibbon';
import { Said } from '~/app/ui/Notices';
import { Entered, Entries, Faint, Heading, Margin, Row, Sheet, Stack, Workplace } from '~/app/ui/Page';
import { PartsTable, shown } from '~/app/ui/Reckonings';
import { useRemembered } from '~/app/ui/remember';
import { GameDrawing } from '~/app/ui/SheetView';
import { color } from '~/app/ui/theme';

const StepRow = styled.li`
  display: grid;
  grid-template-columns: 10rem minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 0.8rem;
  padding: 0.8rem 0;
  border-bottom: 1px solid ${color.line};
  align-items: start;
  select {
    min-width: 0;
    width: 100%;
  }
  @media (max-width: 820px) {
    grid-template-columns: minmax(0, 1fr);
  }
`;
const Tools = styled.div`
  display: flex;
  gap: 0.3rem;
  padding-top: 1.7rem;
  button {
    padding: 0.3rem 0.6rem;
  }
`;

const optionsOf = (labels: Record<string, string>) =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));

/** A game of her own, put together from building blocks; the margin answers while she writes. */
export function OwnGameForm({
  title,
  draftKey,
  initial,
  errors: refused,
  id,
}: {
  title: string;
  /** Under this name what was written is kept in the browser until it is saved. */
  draftKey: string;
  initial: OwnGame;
  /** What the server refused, by path. */
  errors: FieldErrors;
  id?: string;
}) {
  const { value: own, set, forget, restored } = useRemembered<OwnGame>(draftKey, initial);
  const busy = useNavigation().state !== 'idle';
  const faults = ownFaults(own);
  const works = Object.keys(faults).length === 0;
  // Until it is sent, only mistakes that can be seen as such are shown: an empty box is not one yet.
  const sent = Object.keys(refused).length > 0;
  const errors: FieldErrors = {
    ...Object.fromEntries(
      Object.entries(faults).filter(([, sentence]) => sent || !/must not be empty/.test(sentence)),
    ),
    // What only the server can know, such as a name that is taken.
    ...(works ? refused : {}),
  };
  const change = (next: Partial<OwnGame>): void => set((old) => ({ ...old, ...next }));
  const step = (i: number, next: Partial<OwnGame['steps'][number]>): void =>
    change({ steps: own.steps.map((one, at) => (at === i ? { ...one, ...next } : one)) });
  const part = (i: number, next: Partial<OwnGame['parts'][number]>): void =>
    change({ parts: own.parts.map((one, at) => (at === i ? { ...one, ...next } : one)) });
  const move = (i: number, by: number): void => {
    const steps = [...own.steps];
    [steps[i], steps[i + by]] = [steps[i + by]!, steps[i]!];
    change({ steps });
  };
  const { turn } = own;
  return (
    <Form method="post" onSubmit={() => works && forget()}>
      <input type="hidden" name="definition" value={JSON.stringify(own)} />
      <Workplace>
        <Stack>
          <Heading title={title}>
            Write numbers in sentences as {'{'}goal{'}'} or {'{'}count{'}'}: they stay right in both languages
            when the game is changed.
          </Heading>
          {restored && (
            <Said
              kind="know"
              word="Put back"
              action={
                <Button
                  quiet
                  onPress={() => {
                    set(initial);
                    forget();
                  }}
                >
                  Start again
                </Button>
              }
            >
              What you wrote before is still here.
            </Said>
          )}
          {errors[''] && <Said kind="stop">{errors['']}</Said>}
          <Sheet aria-labelledby="names">
            <Stack $gap="0.8rem">
              <h2 id="names">What it is</h2>
              <Row style={{ alignItems: 'start' }}>
                <TextBox
                  name="name-en"
                  label="Name in English"
                  value={own.name.en}
                  maxLength={60}
                  error={errors['name.en']}
                  onChange={(en) => change({ name: { ...own.name, en } })}
                />
                <TextBox
                  name="name-es"
                  label="Name in Spanish"
                  value={own.name.es}
                  maxLength={60}
                  error={errors['name.es']}
                  onChange={(es) => change({ name: { ...own.name, es } })}
                />
              </Row>
              <TextBox
                name="goal-en"
                label="Goal, in one sentence, English"
                value={own.goal.en}
                maxLength={240}
                error={errors['goal.en']}
                onChange={(en) => change({ goal: { ...own.goal, en } })}
              />
              <TextBox
                name="goal-es"
                label="Goal, in one sentence, Spanish"
                value={own.goal.es}
                maxLength={240}
                error={errors['goal.es']}
                onChange={(es) => change({ goal: { ...own.goal, es } })}
              />
              <Row style={{ alignItems: 'start' }}>
                <Pick
                  name="ageBand"
                  label="Grade band"
                  value={own.ageBand}
                  onChange={(ageBand) => change({ ageBand: ageBand as OwnGame['ageBand'] })}
                  options={optionsOf(AGE_BANDS)}
                />
                <Pick
                  name="place"
                  label="Place"
                  value={own.place}
                  onChange={(place) => change({ place: place as OwnGame['place'] })}
                  options={optionsOf(OWN_PLACES)}
                />
                <NumberBox
                  name="fewest"
                  label="Fewest players"
                  value={own.players.fewest}
                  min={1}
                  max={8}
                  onChange={(fewest) => change({ players: { ...own.players, fewest } })}
                />
                <NumberBox
                  name="most"
                  label="Most players"
                  value={own.players.most}
                  min={1}
                  max={8}
                  error={errors['players.most']}
                  onChange={(most) => change({ players: { ...own.players, most } })}
                />
              </Row>
            </Stack>
          </Sheet>
          <Sheet aria-labelledby="rules">
            <Stack $gap="0.8rem">
              <h2 id="rules">How it goes</h2>
              <Row style={{ alignItems: 'start' }}>
                <Pick
                  name="kind"
                  label="A turn"
                  value={turn.kind}
                  onChange={(kind) => change({ turn: { ...turn, kind: kind as OwnGame['turn']['kind'] } })}
                  options={optionsOf(TURN_KINDS)}
                />
                <NumberBox
                  name="count"
                  label="How many"
                  value={turn.count}
                  min={1}
                  max={20}
                  error={errors['turn.count']}
                  onChange={(count) => change({ turn: { ...turn, count } })}
                />
                {turn.kind !== 'toss' && (
                  <>
                    <NumberBox
                      name="from"
                      label="Numbers from"
                      value={turn.from}
                      min={0}
                      max={20}
                      onChange={(from) => change({ turn: { ...turn, from } })}
                    />
                    <NumberBox
                      name="to"
                      label="Numbers to"
                      value={turn.to}
                      min={1}
                      max={20}
                      error={errors['turn.to']}
                      onChange={(to) => change({ turn: { ...turn, to } })}
                    />
                  </>
                )}
                {turn.kind === 'draw' && (
                  <NumberBox
                    name="copies"
                    label="Cards of each number"
                    value={turn.copies}
                    min={1}
                    max={8}
                    onChange={(copies) => change({ turn: { ...turn, copies } })}
                  />
                )}
              </Row>
              <Row style={{ alignItems: 'start' }}>
                <Pick
                  name="make"
                  label="What is made of the results"
                  value={own.make}
                  onChange={(make) => change({ make: make as OwnGame['make'] })}
                  options={optionsOf(MAKES)}
                />
                <Pick
                  name="when"
                  label="The game ends"
                  value={own.end.when}
                  error={errors['end.when']}
                  onChange={(when) => change({ end: { ...own.end, when: when as OwnGame['end']['when'] } })}
                  options={optionsOf(ENDS)}
                />
                {own.end.when !== 'covered' && (
                  <NumberBox
                    name="number"
                    label={own.end.when === 'turns' ? 'Turns each' : 'Number to reach'}
                    value={own.end.number}
                    min={1}
                    max={200}
                    error={errors['end.number']}
                    onChange={(number) => change({ end: { ...own.end, number } })}
                  />
                )}
              </Row>
              {own.make === 'cover' && (
                <TextBox
                  key={own.make}
                  name="cells"
                  label="Cells to cover"
                  hint="Numbers with blanks between them; a number may be there more than once."
                  defaultValue={own.cells.join(' ')}
                  error={errors.cells}
                  onChange={(text) =>
                    change({
                      cells: text
                        .split(/[\s,;]+/)
                        .filter((word) => /^\d+$/.test(word))
                        .map(Number)
                        .slice(0, 24),
                    })
                  }
                />
              )}
            </Stack>
          </Sheet>
          <Sheet aria-labelledby="its-parts">
            <Stack $gap="0.6rem">
              <h2 id="its-parts">Parts</h2>
              {own.parts.map((one, i) => (
                <Row key={i} style={{ alignItems: 'end' }}>
                  <Pick
                    name={`material-${i}`}
                    label="Part"
                    value={one.material}
                    onChange={(material) => part(i, { material })}
                    options={optionsOf(OWN_MATERIALS)}
                  />
                  <NumberBox
                    name={`times-${i}`}
                    label="Quantity"
                    value={one.times}
                    min={1}
                    max={200}
                    onChange={(times) => part(i, { times })}
                  />
                  <Pick
                    name={`each-${i}`}
                    label="Rule"
                    value={one.each}
                    onChange={(each) => part(i, { each: each as OwnGame['parts'][number]['each'] })}
                    options={optionsOf(RULES)}
                  />
                  <Button
                    quiet
                    aria-label={`Take part ${i + 1} out`}
                    onPress={() => change({ parts: own.parts.filter((_, at) => at !== i) })}
                  >
                    <Trash2 size={18} aria-hidden />
                  </Button>
                </Row>
              ))}
              {own.parts.length < 12 && (
                <Row>
                  <Button
                    quiet
                    onPress={() =>
                      change({ parts: [...own.parts, { material: 'chip', times: 1, each: 'game' }] })
                    }
                  >
                    <Plus size={18} aria-hidden /> Add a part
                  </Button>
                </Row>
              )}
            </Stack>
          </Sheet>
          <Sheet aria-labelledby="its-steps">
            <h2 id="its-steps">Steps in both languages</h2>
            <Faint>
              The numbers:{' '}
              {Object.entries(OWN_ARGUMENTS)
                .map(([name, meaning]) => `{${name}} ${meaning}`)
                .join(' · ')}
            </Faint>
            {errors.steps && <Said kind="mind">{errors.steps}</Said>}
            <ol>
              {own.steps.map((one, i) => (
                <StepRow key={i}>
                  <Stack $gap="0.4rem">
                    <Pick
                      name={`part-${i}`}
                      label={`Step ${i + 1}`}
                      value={one.part}
                      onChange={(value) => step(i, { part: value as OwnGame['steps'][number]['part'] })}
                      options={optionsOf(STEP_PARTS)}
                    />
                    <Pick
                      name={`show-${i}`}
                      label="Shown"
                      value={one.show}
                      onChange={(value) => step(i, { show: value as OwnGame['steps'][number]['show'] })}
                      options={optionsOf(SHOWS)}
                    />
                  </Stack>
                  <TextBox
                    name={`en-${i}`}
                    label="English"
                    lines={3}
                    value={one.en}
                    maxLength={400}
                    error={errors[`steps.${i}.en`]}
                    onChange={(en) => step(i, { en })}
                  />
                  <TextBox
                    name={`es-${i}`}
                    label="Spanish"
                    lines={3}
                    value={one.es}
                    maxLength={400}
                    error={errors[`steps.${i}.es`]}
                    onChange={(es) => step(i, { es })}
                  />
                  <Tools>
                    <Button
                      quiet
                      aria-label={`Move step ${i + 1} up`}
                      isDisabled={i === 0}
                      onPress={() => move(i, -1)}
                    >
                      <ArrowUp size={18} aria-hidden />
                    </Button>
                    <Button
                      quiet
                      aria-label={`Move step ${i + 1} down`}
                      isDisabled={i === own.steps.length - 1}
                      onPress={() => move(i, 1)}
                    >
                      <ArrowDown size={18} aria-hidden />
                    </Button>
                    <Button
                      quiet
                      aria-label={`Take step ${i + 1} out`}
                      onPress={() => change({ steps: own.steps.filter((_, at) => at !== i) })}
                    >
                      <Trash2 size={18} aria-hidden />
                    </Button>
                  </Tools>
                </StepRow>
              ))}
            </ol>
            {own.steps.length < 40 && (
              <Row style={{ marginTop: '0.8rem' }}>
                <Button
                  quiet
                  onPress={() =>
                    change({ steps: [...own.steps, { part: 'turn', show: 'none', en: '', es: '' }] })
                  }
                >
                  <Plus size={18} aria-hidden /> Add a step
                </Button>
              </Row>
            )}
          </Sheet>
        </Stack>
        <Stack>
          <Sheet aria-label="Keep the game">
            <Stack $gap="0.7rem">
              <Button type="submit" isPending={busy}>
                Keep this game
              </Button>
              {sent && (
                <Said kind="stop" word="Not kept yet" live>
                  What you wrote is still here. {Object.values(errors).slice(0, 4).join(' ')}
                </Said>
              )}
              {id && (
                <>
                  <ButtonLink quiet href={`/choose/own-${id}`}>
                    Open it on its bench
                  </ButtonLink>
                  <ButtonLink quiet href={`/choose/own/${id}.json`} download>
                    Take it out as a file
                  </ButtonLink>
                </>
              )}
              <ButtonLink quiet href="/choose/own/import">
                Bring a game in from a file
              </ButtonLink>
            </Stack>
          </Sheet>
          <Answer own={own} />
        </Stack>
      </Workplace>
    </Form>
  );
}

/** What the game comes to as it stands. */
function Answer({ own }: { own: OwnGame }) {
  // Sentences that are not written yet do not hinder the reckoning.
  const filled = {
    ...own,
    name: { en: own.name.en || '…', es: own.name.es || '…' },
    goal: { en: own.goal.en || '…', es: own.goal.es || '…' },
    steps: own.steps.map((step) => ({ ...step, en: step.en || '…', es: step.es || '…' })),
  };
  const [problem] = Object.values(ownFaults(filled));
  if (problem)
    return (
      <Margin label="Reckonings">
        <p>Nothing is reckoned yet. {problem}</p>
      </Margin>
    );
  const game = gameFor({ gameId: 'own-draft', own: filled });
  const reckoning = game.reckon(game.presets[0]!.params, assume(own.ageBand));
  return (
    <>
      <Margin label="Reckonings">
        <GameDrawing shapes={game.drawing} width={120} />
        <Entries>
          <Entered
            label="One play"
            number={String(reckoning.length.minutes.mean)}
            unit="minutes expected"
            reason={`Practises ${reckoning.skills.join(', ')}.`}
          />
          {reckoning.explained.map((figure) => (
            <Entered key={figure.name} label={figure.label} {...shown(figure)} reason={figure.reason} />
          ))}
        </Entries>
      </Margin>
      <Sheet aria-label="Length and parts">
        <LengthRibbon length={reckoning.length} />
        <PartsTable reckoning={reckoning} />
      </Sheet>
    </>
  );
}
