import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import type { SceneSaid } from '~/core/rehearse/said';
import { Button, ButtonLink } from '~/app/ui/Button';
import { Row, Stack } from '~/app/ui/Page';
import { color, cut } from '~/app/ui/theme';
import type { rehearseWords } from './Tongues';

const Table = styled.div`
  ${cut}
  padding: 0.9rem 1.1rem;
  border: 1.5px solid ${color.line};
  background: ${color.paper};
  font-size: 1.15rem;
  p + p,
  svg + p {
    margin-top: 0.5rem;
  }
  .child {
    font-size: 1.3rem;
    font-weight: 700;
    color: ${color.deepFern};
  }
`;
const Words = styled.ul`
  display: grid;
  gap: 0.6rem;
  button {
    width: 100%;
    justify-content: flex-start;
    text-align: start;
    font-weight: 400;
    font-size: 1.1rem;
  }
  .then {
    margin: 0.35rem 0 0.5rem;
    padding-inline-start: 0.9rem;
    border-inline-start: 4px solid ${color.straw};
  }
  .then.helps {
    border-inline-start-color: ${color.fern};
  }
  .why {
    color: ${color.faint};
  }
`;

const STEP = 26;
const IN_ROW = 10;
/** Lots of pieces: the second lot is hollow, so that they differ without colour. */
function Lots({ lots }: { lots: readonly number[] }) {
  const columns = lots.map((n) => Math.min(IN_ROW, Math.max(1, n)));
  const width = columns.reduce((sum, n) => sum + n * STEP, 0) + (lots.length - 1) * STEP;
  const rows = Math.max(1, ...lots.map((n) => Math.ceil(n / IN_ROW)));
  return (
    <svg viewBox={`0 0 ${width} ${rows * STEP}`} width={width} height={rows * STEP} aria-hidden>
      {lots.map((n, lot) => {
        const from = columns.slice(0, lot).reduce((sum, one) => sum + (one + 1) * STEP, 0);
        return Array.from({ length: n }, (_, i) => (
          <circle
            key={`${lot} ${i}`}
            cx={from + (i % IN_ROW) * STEP + STEP / 2}
            cy={Math.floor(i / IN_ROW) * STEP + STEP / 2}
            r={9}
            fill={lot === 0 ? color.fern : color.sheet}
            stroke={color.deepFern}
            strokeWidth={2}
          />
        ));
      })}
    </svg>
  );
}

/** Lots one below the other: the smaller one is spread out until it looks longer than the larger. */
function RowsOfLots({ lots }: { lots: readonly number[] }) {
  const most = Math.max(...lots);
  const long = (most + 1) * STEP;
  const stepOf = (n: number): number => (n === most || n < 2 ? STEP : (long - STEP) / (n - 1));
  return (
    <svg
      viewBox={`0 0 ${long + STEP} ${lots.length * STEP}`}
      style={{ width: '100%', maxWidth: long + STEP, height: 'auto' }}
      aria-hidden
    >
      {lots.map((n, lot) =>
        Array.from({ length: n }, (_, i) => (
          <circle
            key={`${lot} ${i}`}
            cx={STEP / 2 + i * stepOf(n)}
            cy={lot * STEP + STEP / 2}
            r={9}
            fill={lot === 0 ? color.fern : color.sheet}
            stroke={color.deepFern}
            strokeWidth={2}
          />
        )),
      )}
    </svg>
  );
}

/** The scenes one after the other: what the child does, what can be said, what comes of it. */
export function Rehearsing({
  scenes,
  words,
  kept,
  again,
  onEnd,
}: {
  scenes: readonly SceneSaid[];
  words: ReturnType<typeof rehearseWords>;
  /** For whom it is kept, once it is. */
  kept: string | undefined;
  /** Where another rehearsal of this game begins. */
  again: string;
  onEnd: (turns: number, well: number) => void;
}) {
  const [at, setAt] = useState(0);
  const [tried, setTried] = useState<number[]>([]);
  const [well, setWell] = useState(0);
  const scene = scenes[at];
  const top = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    // A new turn is read from its beginning, by whoever hears it.
    if (at > 0) top.current?.focus();
  }, [at]);
  const choose = (i: number): void => {
    if (tried.length === 0 && scene!.choices[i]!.helps) setWell(well + 1);
    setTried([...tried, i]);
  };
  const go = (): void => {
    if (at + 1 === scenes.length) onEnd(scenes.length, well);
    setTried([]);
    setAt(at + 1);
  };
  if (!scene)
    return (
      <Stack $gap="0.8rem">
        <h2 ref={top} tabIndex={-1}>
          {words('end', { well, turns: scenes.length })}
        </h2>
        <p role="status">{kept !== undefined && words('kept', { helper: kept })}</p>
        <Row>
          <ButtonLink href={again}>{words('again')}</ButtonLink>
        </Row>
      </Stack>
    );
  const helped = tried.some((i) => scene.choices[i]!.helps);
  return (
    <Stack $gap="0.9rem">
      <h2 ref={top} tabIndex={-1}>
        {words('turnOf', { turn: at + 1, turns: scenes.length })}
      </h2>
      <Table>
        {scene.shown.length > 0 &&
          (scene.spread ? <RowsOfLots lots={scene.shown} /> : <Lots lots={scene.shown} />)}
        <p>{scene.task}</p>
        <p className="child">{scene.child}</p>
      </Table>
      <h3>{tried.length > 0 && !helped ? words('other') : words('choose')}</h3>
      <Words aria-live="polite">
        {scene.choices.map((choice, i) => {
          const chosen = tried.includes(i);
          return (
            <li key={choice.say}>
              <Button quiet onPress={() => choose(i)} isDisabled={chosen || helped}>
                {choice.say}
              </Button>
              {chosen && (
                <div className={choice.helps ? 'then helps' : 'then'}>
                  <p>
                    {choice.helps ? '✓' : '→'} {choice.then}
                  </p>
                  <p className="why">{choice.why}</p>
                </div>
              )}
            </li>
          );
        })}
      </Words>
      {tried.length > 0 && (
        <Stack $gap="0.6rem">
          <p>{words('inTheGame', { line: scene.turn })}</p>
          <div>
            <Button autoFocus={helped} onPress={go}>
              {words('next')}
            </Button>
          </div>
        </Stack>
      )}
    </Stack>
  );
}
