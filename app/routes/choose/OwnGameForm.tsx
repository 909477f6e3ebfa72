import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { AGE_BANDS } from '~/core/games/kit/types';
import { ENDS, MAKES, OWN_PLACES, TURN_KINDS, type OwnGame } from '~/core/own/definition';
import { ownFaults } from '~/core/own/faults';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { DraftNote, plainValue, TooLate, type FieldWords, type Late } from '~/app/ui/Changes';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Heading, Row, Panel, Stack, Workplace } from '~/app/ui/Page';
import { useDraft } from '~/app/ui/remember';
import { OwnGameAnswer } from './OwnGameAnswer';
import { optionsOf, OwnParts, OwnSteps } from './OwnGameLists';

const LABELS: Record<string, string> = {
  name: 'Name',
  goal: 'Goal',
  ageBand: 'Grade band',
  place: 'Place',
  players: 'Players',
  turn: 'A turn',
  make: 'What is made of the results',
  cells: 'Cells to cover',
  end: 'The end',
  parts: 'Parts',
  steps: 'Steps',
};
/** The fields of a game in words. */
export const OWN_FIELDS: FieldWords = {
  label: (field) => LABELS[field] ?? field,
  show: (field, value) =>
    field === 'steps' && Array.isArray(value)
      ? (value as OwnGame['steps']).map((step, i) => `${i + 1}. ${step.en}`).join(' ')
      : field === 'parts' && Array.isArray(value)
        ? (value as OwnGame['parts']).map((part) => `${part.times} × ${part.material}`).join(', ')
        : plainValue(value),
};

/** A game of her own, put together from building blocks; the margin answers while she writes. */
export function OwnGameForm({
  title,
  draftKey,
  initial,
  errors: refused,
  id,
  version = 0,
  late,
  unreadable,
}: {
  title: string;
  /** Under this name what was written is kept in the browser until it is saved. */
  draftKey: string;
  initial: OwnGame;
  /** What the server refused, by path. */
  errors: FieldErrors;
  id?: string;
  /** The version that is stored; 0 for a new game. */
  version?: number;
  late?: Late<OwnGame> | undefined;
  /** What was stored could not be read; the form begins anew. */
  unreadable?: boolean;
}) {
  const draft = useDraft<OwnGame>(draftKey, { value: initial, version }, late, refused);
  const { value: own, set } = draft;
  const busy = useSending();
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
  const { turn } = own;
  return (
    <Form method="post" onSubmit={() => (version ? draft.sent() : works && draft.forget())}>
      {version > 0 && <input type="hidden" name="version" value={draft.version} />}
      <input type="hidden" name="definition" value={JSON.stringify(own)} />
      <Workplace>
        <Stack>
          <Heading title={title}>
            Write numbers in sentences as {'{'}goal{'}'} or {'{'}count{'}'}: they stay right in both languages
            when the game is changed.
          </Heading>
          {unreadable && (
            <Said kind="stop" word="Cannot be opened">
              The rules that were kept under this name cannot be read. What stands here is a new beginning;
              keep it, or put the game away below.
            </Said>
          )}
          {late ? (
            <TooLate late={late} draft={draft} words={OWN_FIELDS} what="this game" />
          ) : (
            <DraftNote draft={draft} words={OWN_FIELDS} />
          )}
          {errors[''] && <Said kind="stop">{errors['']}</Said>}
          <Panel aria-labelledby="names">
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
          </Panel>
          <Panel aria-labelledby="rules">
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
          </Panel>
          <OwnParts own={own} change={change} />
          <OwnSteps own={own} errors={errors} change={change} />
        </Stack>
        <Stack>
          <Panel aria-label="Keep the game">
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
          </Panel>
          <OwnGameAnswer own={own} />
        </Stack>
      </Workplace>
    </Form>
  );
}
