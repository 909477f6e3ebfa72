import { X } from 'lucide-react';
import { memo, useState } from 'react';
import styled from 'styled-components';
import { readCards, showCard, type Card } from '~/core/cards/deck';
import type { FieldErrors } from '~/core/check/check';
import type { Knob } from '~/core/games/kit/knobs';
import type { Params, ParamValue } from '~/core/games/kit/types';
import { count } from '~/core/words/numbers';
import { Button } from '~/app/ui/Button';
import { CardGrid } from '~/app/ui/CardGrid';
import { Choice } from '~/app/ui/fields/Choice';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Faint, Row, Stack } from '~/app/ui/Page';
import { color } from '~/app/ui/theme';

/** Choices up to this many all lie in sight. */
const IN_SIGHT = 4;

const Legend = styled.fieldset`
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
  legend {
    font-weight: 700;
    padding: 0;
    margin-bottom: 0.3rem;
  }
  .mistake {
    color: ${color.clay};
    font-weight: 700;
  }
`;
const Bead = styled.button.attrs({ type: 'button' })`
  display: inline-flex;
  align-items: center;
  gap: 0.3rem;
  min-height: 40px;
  padding: 0 0.6rem 0 0.8rem;
  border: 1.5px solid ${color.line};
  border-radius: 20px 16px 20px 14px;
  background: ${color.sprout};
  font-weight: 700;
  font-variant-numeric: tabular-nums;
  cursor: pointer;
  &:hover {
    border-color: ${color.clay};
    color: ${color.clay};
  }
  &:focus-visible {
    outline: 3px solid ${color.shore};
  }
`;

/** The knobs of a game, each with a control that fits its parameter. What is wrong stands at its knob. */
export function Knobs({
  knobs,
  params,
  errors,
  onTurn,
}: {
  knobs: readonly Knob[];
  params: Params;
  errors: FieldErrors;
  onTurn: (change: Params) => void;
}) {
  const asked = knobs.filter(({ when = {} }) =>
    Object.entries(when).every(([name, values]) => values?.includes(params[name])),
  );
  const small = asked.filter((knob) => knob.kind === 'whole' || knob.kind === 'chance');
  const ticks = asked.filter((knob) => knob.kind === 'yes');
  const rest = asked.filter((knob) => !small.includes(knob) && !ticks.includes(knob));
  const control = (knob: Knob) => (
    <OneKnob
      key={knob.name}
      knob={knob}
      value={params[knob.name]!}
      error={errors[knob.name]}
      onTurn={onTurn}
    />
  );
  return (
    <Stack>
      {small.length > 0 && (
        <Row $gap="0.9rem 1.6rem" style={{ alignItems: 'start' }}>
          {small.map(control)}
        </Row>
      )}
      {rest.length > 0 && (
        <Row $gap="1rem 2rem" style={{ alignItems: 'start' }}>
          {rest.map(control)}
        </Row>
      )}
      {ticks.length > 0 && <Row $gap="0.2rem 1.6rem">{ticks.map(control)}</Row>}
    </Stack>
  );
}

/** A knob is drawn anew when it was turned itself, not with its neighbours. */
const OneKnob = memo(function OneKnob({
  onTurn,
  ...rest
}: Omit<ControlProps<Knob>, 'onTurn'> & { onTurn: (change: Params) => void }) {
  return <KnobControl {...rest} onTurn={(value) => onTurn({ [rest.knob.name]: value })} />;
});

interface ControlProps<K> {
  knob: K;
  value: ParamValue;
  error?: string | undefined;
  onTurn: (value: ParamValue) => void;
}

function KnobControl({ knob, value, error, onTurn }: ControlProps<Knob>) {
  const about = { name: knob.name, label: knob.title, hint: knob.hint, error };
  switch (knob.kind) {
    case 'whole':
    case 'chance':
      return (
        <NumberBox
          {...about}
          value={value as number}
          onChange={onTurn}
          min={knob.min}
          max={knob.max}
          step={knob.kind === 'chance' ? 0.05 : 1}
        />
      );
    case 'choice': {
      const select = (chosen: string): void => onTurn(knob.values.find((one) => String(one) === chosen)!);
      return knob.options.length <= IN_SIGHT ? (
        <Choice {...about} value={`${value as string | number}`} onChange={select} options={knob.options} />
      ) : (
        <Pick {...about} value={`${value as string | number}`} onChange={select} options={knob.options} />
      );
    }
    case 'some': {
      const chosen = value as readonly string[];
      return (
        <Legend>
          <legend>{knob.title}</legend>
          <Row $gap="0.1rem 1.2rem">
            {knob.options.map((option) => (
              <TickBox
                key={option.value}
                isSelected={chosen.includes(option.value)}
                onChange={(on) => {
                  const next = knob.options
                    .map((one) => one.value)
                    .filter((one) => (one === option.value ? on : chosen.includes(one)));
                  // The last one stays: a game needs at least one.
                  if (next.length) onTurn(next);
                }}
              >
                {option.label}
              </TickBox>
            ))}
          </Row>
          {knob.hint && <Faint>{knob.hint}</Faint>}
          {error && <p className="mistake">{error}</p>}
        </Legend>
      );
    }
    case 'yes':
      return (
        <TickBox isSelected={value as boolean} onChange={onTurn}>
          {knob.title}
          {knob.hint && <Faint as="span">{` (${knob.hint.replace(/\.$/, '').toLowerCase()})`}</Faint>}
        </TickBox>
      );
    case 'span':
    case 'size': {
      const names = knob.kind === 'span' ? (['from', 'to'] as const) : (['w', 'h'] as const);
      const sides = knob.kind === 'span' ? ['from', 'to'] : ['width, mm', 'height, mm'];
      const pair = value as Record<string, number>;
      return (
        <Legend>
          <legend>{knob.title}</legend>
          <Row>
            {names.map((name, i) => (
              <NumberBox
                key={name}
                name={`${knob.name} ${name}`}
                label={sides[i]!}
                value={pair[name]!}
                onChange={(one) => onTurn({ ...pair, [name]: one })}
                min={knob.min}
                max={knob.max}
              />
            ))}
          </Row>
          {error && <p className="mistake">{error}</p>}
        </Legend>
      );
    }
    case 'numbers':
      return <NumberList knob={knob} value={value} error={error} onTurn={onTurn} />;
    case 'cards':
      return <CardPick knob={knob} value={value} error={error} onTurn={onTurn} />;
  }
}

/** A list of numbers as beads: press one to take it off, type others to put on. */
function NumberList({ knob, value, error, onTurn }: ControlProps<Extract<Knob, { kind: 'numbers' }>>) {
  const numbers = value as readonly number[];
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const add = (): void => {
    const words = text.split(/[\s,;]+/).filter(Boolean);
    const found = words.map(Number);
    const wrong = words.find(
      (_, i) => !Number.isInteger(found[i]) || found[i]! < knob.min || found[i]! > knob.max,
    );
    if (wrong !== undefined)
      return setProblem(`“${wrong}” is not a whole number from ${knob.min} to ${knob.max}.`);
    if (numbers.length + found.length > knob.most) return setProblem(`There is room for ${knob.most}.`);
    setProblem(undefined);
    setText('');
    onTurn([...numbers, ...found].sort((a, b) => a - b));
  };
  return (
    <Legend>
      <legend>{knob.title}</legend>
      {knob.hint && <Faint>{knob.hint}</Faint>}
      <Row $gap="0.4rem">
        {numbers.map((number, i) => (
          <Bead
            key={i}
            aria-label={`Take ${number} off`}
            disabled={numbers.length <= knob.least}
            onClick={() => onTurn(numbers.filter((_, at) => at !== i))}
          >
            {number} <X size={14} aria-hidden />
          </Bead>
        ))}
      </Row>
      <Row style={{ marginTop: '0.5rem' }}>
        <div
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            add();
          }}
          role="presentation"
        >
          <TextBox
            name={`${knob.name} more`}
            label="Numbers to put on"
            labelHidden
            placeholder="numbers to put on, such as 7 7 8"
            value={text}
            onChange={setText}
            error={problem ?? error}
          />
        </div>
        <Button quiet onPress={add} isDisabled={text.trim() === ''}>
          Put them on
        </Button>
      </Row>
    </Legend>
  );
}

/** Cards of the deck that are missing: folded away until needed; tapped or typed. */
function CardPick({ knob, value, error, onTurn }: ControlProps<Knob>) {
  const missing = value as readonly string[];
  // Fifty-two cards are drawn when somebody looks at them.
  const [open, setOpen] = useState(missing.length > 0);
  return (
    <details
      open={open || undefined}
      onToggle={(event) => setOpen(event.currentTarget.open)}
      style={{ minWidth: 'min(100%, 34rem)' }}
    >
      <summary style={{ cursor: 'pointer', minHeight: 32 }}>
        <strong>{knob.title}: </strong>
        {missing.length ? `${count(missing.length, 'card')}` : 'none'}
      </summary>
      {open && <MissingCards label={knob.title} missing={missing} onChange={onTurn} />}
      {error && <p style={{ color: color.clay, fontWeight: 700 }}>{error}</p>}
    </details>
  );
}

/** Tap the missing cards, or type them. */
export function MissingCards({
  label,
  missing,
  onChange,
}: {
  label: string;
  missing: readonly string[];
  onChange: (missing: Card[]) => void;
}) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<string>();
  const read = (): void => {
    const { cards, unread } = readCards(text);
    setProblem(unread.length ? `Not a card: ${unread.join(', ')}. Write them like 7h, qs, 10d.` : undefined);
    if (unread.length === 0) setText('');
    if (cards.length) onChange([...new Set([...(missing as Card[]), ...cards])]);
  };
  return (
    <Stack $gap="0.6rem">
      <CardGrid label={label} missing={missing} onChange={onChange} />
      <Row style={{ alignItems: 'start' }}>
        <div
          onKeyDown={(event) => {
            if (event.key !== 'Enter') return;
            event.preventDefault();
            read();
          }}
          role="presentation"
        >
          <TextBox
            name="typed cards"
            label={`${label}, typed`}
            labelHidden
            placeholder="or type them: 7h qs 10d"
            value={text}
            onChange={setText}
            error={problem}
          />
        </div>
        <Button quiet onPress={read} isDisabled={text.trim() === ''}>
          Note these
        </Button>
        {missing.length > 0 && (
          <Button quiet onPress={() => onChange([])}>
            All cards are there
          </Button>
        )}
      </Row>
      <Faint aria-live="polite">
        {missing.length
          ? `Missing: ${missing.map((card) => showCard(card as Card)).join(', ')}.`
          : 'Press a card that is missing.'}
      </Faint>
    </Stack>
  );
}
