import type { MaterialId } from '~/core/materials/catalogue';
import { Plus, Trash2 } from 'lucide-react';
import styled from 'styled-components';
import type { FieldErrors } from '~/core/check/check';
import { OWN_ARGUMENTS, OWN_MATERIALS, RULES, SHOWS, STEP_PARTS, type OwnGame } from '~/core/own/definition';
import { Button } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Ordered } from '~/app/ui/Ordered';
import { Faint, Row, Panel, Stack } from '~/app/ui/Page';
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

/** Labels as the options of a list. */
export const optionsOf = (labels: Record<string, string>) =>
  Object.entries(labels).map(([value, label]) => ({ value, label }));

interface ListProps {
  own: OwnGame;
  change: (next: Partial<OwnGame>) => void;
}

/** The parts with their quantity rules. */
export function OwnParts({ own, change }: ListProps) {
  const part = (i: number, next: Partial<OwnGame['parts'][number]>): void =>
    change({ parts: own.parts.map((one, at) => (at === i ? { ...one, ...next } : one)) });
  return (
    <Panel aria-labelledby="its-parts">
      <Stack $gap="0.6rem">
        <h2 id="its-parts">Parts</h2>
        {own.parts.map((one, i) => (
          <Row key={i} style={{ alignItems: 'end' }}>
            <Pick
              name={`material-${i}`}
              label="Part"
              value={one.material}
              onChange={(material) => part(i, { material: material as MaterialId })}
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
              onPress={() => change({ parts: [...own.parts, { material: 'chip', times: 1, each: 'game' }] })}
            >
              <Plus size={18} aria-hidden /> Add a part
            </Button>
          </Row>
        )}
      </Stack>
    </Panel>
  );
}

/** The steps in both languages, in their order. */
export function OwnSteps({ own, errors, change }: ListProps & { errors: FieldErrors }) {
  const step = (i: number, next: Partial<OwnGame['steps'][number]>): void =>
    change({ steps: own.steps.map((one, at) => (at === i ? { ...one, ...next } : one)) });
  // Steps have no names of their own: each is known by its words, and alike ones by which of them it is.
  const ids = own.steps.map((one, i) => {
    const words = JSON.stringify(one);
    return `${own.steps.slice(0, i).filter((before) => JSON.stringify(before) === words).length} ${words}`;
  });
  const order = (wanted: readonly string[]): void =>
    change({ steps: wanted.map((id) => own.steps[ids.indexOf(id)]!) });
  return (
    <Panel aria-labelledby="its-steps">
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
                aria-label={`Take step ${i + 1} out`}
                onPress={() => change({ steps: own.steps.filter((_, at) => at !== i) })}
              >
                <Trash2 size={18} aria-hidden />
              </Button>
            </Tools>
          </StepRow>
        ))}
      </ol>
      {own.steps.length > 1 && (
        <Stack $gap="0.3rem" style={{ marginTop: '0.8rem' }}>
          <strong>Their order</strong>
          <Ordered
            label="Order of the steps"
            items={own.steps.map((one, i) => ({
              id: ids[i]!,
              name: `${STEP_PARTS[one.part]}: ${one.en.slice(0, 70) || 'no words yet'}`,
            }))}
            onOrder={order}
          />
          <Faint>Drag a step by its grip; with the keyboard press Enter on the grip, then the arrows.</Faint>
        </Stack>
      )}
      {own.steps.length < 40 && (
        <Row style={{ marginTop: '0.8rem' }}>
          <Button
            quiet
            onPress={() => change({ steps: [...own.steps, { part: 'turn', show: 'none', en: '', es: '' }] })}
          >
            <Plus size={18} aria-hidden /> Add a step
          </Button>
        </Row>
      )}
    </Panel>
  );
}
