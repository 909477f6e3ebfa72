import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import {
  giveMinute,
  go,
  halt,
  phaseAt,
  shown,
  skip,
  START,
  type Clock,
  type Phase,
} from '~/core/evening/clock';
import { PRINT_WORDS } from '~/core/words/print';
import { aboutLanguage } from '~/core/words/languages';
import { excerpt, say, type Reading } from '~/core/words/reading';
import { findEvening } from '~/data/queries/evenings';
import { readingsAt } from '~/data/queries/wording';
import { isId } from '~/server/ids';
import { requireRole } from '~/server/people/session';
import { notFound } from '~/server/refusals';
import { color, familiesOf, type } from '~/app/ui/theme';
import { tone } from '~/app/ui/tones';
import type { Route } from './+types/evening-clock';

export const meta: Route.MetaFunction = ({ loaderData }) => [
  { title: `${loaderData?.name ?? 'Evening'}, the clock · Fern Basket` },
];

export async function loader({ request, params }: Route.LoaderArgs) {
  const { at } = await requireRole(request, 'coordinator', 'helper');
  const found = isId(params.eveningId) ? await findEvening(at, params.eveningId) : undefined;
  if (!found) throw notFound('This evening');
  const { name, plan, solved } = found;
  const languages = [...new Set(plan.groups.flatMap((one) => one.languages))];
  const readings = await readingsAt(at, languages.includes('en') ? languages : ['en', ...languages]);
  return {
    id: found.id,
    name,
    course: { rounds: plan.rounds, roundMinutes: plan.roundMinutes, changeMinutes: plan.changeMinutes },
    tables: plan.tables.map(({ id }) => id),
    groups: plan.groups.map(({ id }) => ({
      id,
      tables: Array.from(
        { length: plan.rounds },
        (_, i) =>
          solved?.rotation?.plan.find((one) => one.round === i + 1 && one.groups.includes(id))?.table ?? '',
      ),
    })),
    readings: readings.map((reading) => excerpt(reading, PRINT_WORDS)),
  };
}

const Wall = styled.main<{ $kind: Phase['kind'] }>`
  min-height: 100vh;
  display: grid;
  grid-template-rows: auto 1fr auto auto;
  gap: 1vh;
  padding: 2vh 3vw;
  background: ${({ $kind }) => ($kind === 'round' ? color.paper : $kind === 'change' ? color.strawLight : color.sprout)};
  color: ${color.ink};
  .round {
    display: flex;
    flex-wrap: wrap;
    gap: 0 3vw;
    font-family: ${type.display};
    font-size: 5vh;
  }
  .time {
    font-family: ${type.display};
    font-variant-numeric: lining-nums tabular-nums;
    font-size: ${({ $kind }) => ($kind === 'change' ? 'min(26vh, 20vw)' : 'min(46vh, 30vw)')};
    line-height: 1;
    text-align: center;
    align-self: center;
    color: ${color.deepFern};
  }
  .words {
    text-align: center;
    font-size: 4.4vh;
    line-height: 1.2;
  }
  ol {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
    gap: 0.6vh 2vw;
    font-size: 3.4vh;
    list-style: none;
    padding: 0;
    margin: 0;
  }
  li {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    border-bottom: 2px solid ${color.line};
  }
  footer {
    display: flex;
    flex-wrap: wrap;
    gap: 1rem;
    align-items: center;
    font-size: 1rem;
    color: ${color.faint};
  }
  footer button {
    min-height: 44px;
    padding: 0 1rem;
    border: 1.5px solid ${color.fern};
    background: ${color.sheet};
    color: ${color.deepFern};
    border-radius: 3px 10px 4px 8px;
    font: inherit;
    font-weight: 700;
    cursor: pointer;
  }
`;

const LOOK_MS = 250;

/** A clock that survives a reload: what was pressed is kept in this browser. */
function useClock(key: string): [Clock, (change: (clock: Clock, now: number) => Clock) => void, number] {
  const [clock, setClock] = useState<Clock>(START);
  const [now, setNow] = useState(0);
  useEffect(() => {
    // What this browser keeps is read once the page stands.
    const first = setTimeout(() => {
      try {
        const kept = localStorage.getItem(key);
        if (kept) setClock(JSON.parse(kept) as Clock);
      } catch {
        localStorage.removeItem(key);
      }
      setNow(Date.now());
    }, 0);
    const timer = setInterval(() => setNow(Date.now()), LOOK_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [key]);
  const press = (change: (clock: Clock, now: number) => Clock): void =>
    setClock((old) => {
      const next = change(old, Date.now());
      localStorage.setItem(key, JSON.stringify(next));
      return next;
    });
  return [clock, press, now];
}

/** The screen stays awake while the page is seen, where the browser can. */
function useAwake(): void {
  useEffect(() => {
    let lock: WakeLockSentinel | undefined;
    const take = (): void => {
      if (document.visibilityState === 'visible')
        void navigator.wakeLock?.request('screen').then(
          (got) => (lock = got),
          () => undefined,
        );
    };
    take();
    document.addEventListener('visibilitychange', take);
    return () => {
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
}

/** The clock of the round for the wall: large, in the languages that are there. It needs no network once it is open. */
export default function EveningClock({ loaderData }: Route.ComponentProps) {
  const { id, name, course, tables, groups, readings } = loaderData;
  const [clock, press, now] = useClock(`fern-evening ${id}`);
  useAwake();
  const phase = phaseAt(course, clock, now);
  const on = `${phase.kind} ${phase.kind === 'over' ? '' : phase.round}`;
  const before = useRef(on);
  useEffect(() => {
    if (before.current !== on && clock.since !== undefined) tone(phase.kind === 'round' ? 'right' : 'next');
    before.current = on;
  }, [on, phase.kind, clock.since]);
  useEffect(() => {
    const key = (event: KeyboardEvent): void => {
      if (event.target instanceof HTMLButtonElement && (event.key === ' ' || event.key === 'Enter')) return;
      if (event.key === ' ')
        press((old, moment) => (old.since === undefined ? go(old, moment) : halt(old, moment)));
      else if (event.key === '+' || event.key === 'ArrowUp') press(giveMinute);
      else if (event.key === 'ArrowRight') press((old, moment) => skip(course, old, moment));
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  });
  const round = phase.kind === 'over' ? course.rounds : phase.round;
  const words = (of: (reading: Reading) => string) =>
    readings.map((reading) => (
      <span
        key={reading.language}
        lang={reading.language}
        dir={aboutLanguage(reading.language).direction}
        style={{ fontFamily: familiesOf('display', reading.language) }}
      >
        {of(reading)}
      </span>
    ));
  return (
    <Wall $kind={phase.kind}>
      <div className="round">
        {phase.kind !== 'over' && words((reading) => say(reading, PRINT_WORDS, 'evening.round', { round }))}
      </div>
      <div className="time" role="timer" aria-label={`${name}, time left`}>
        {phase.kind === 'over' ? '✓' : shown(phase.leftMs)}
      </div>
      <div>
        <div className="words" role="status">
          {phase.kind === 'change' &&
            words((reading) => say(reading, PRINT_WORDS, 'evening.change')).map((one) => (
              <div key={one.key}>{one}</div>
            ))}
          {phase.kind === 'over' &&
            words((reading) => say(reading, PRINT_WORDS, 'evening.over')).map((one) => (
              <div key={one.key}>{one}</div>
            ))}
        </div>
        {phase.kind !== 'over' && (
          <ol aria-label={`Round ${round}`}>
            {groups.map((group) => (
              <li key={group.id}>
                <span>{group.id}</span>
                <strong>{tables.indexOf(group.tables[round - 1]!) + 1}</strong>
              </li>
            ))}
          </ol>
        )}
      </div>
      <footer>
        <button
          type="button"
          onClick={() =>
            press((old, moment) => (old.since === undefined ? go(old, moment) : halt(old, moment)))
          }
        >
          {clock.since === undefined ? 'Go on (space)' : 'Halt (space)'}
        </button>
        <button type="button" onClick={() => press(giveMinute)}>
          A minute more (+)
        </button>
        <button type="button" onClick={() => press((old, moment) => skip(course, old, moment))}>
          Next (→)
        </button>
        <button type="button" onClick={() => press(() => START)}>
          From the start
        </button>
        <span>{name}</span>
      </footer>
    </Wall>
  );
}
