import { createContext, use, useEffect, useId, useRef, useState, type KeyboardEvent } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { useFetcher } from '~/app/ui/sending';
import styled from 'styled-components';
import type { ScanReading } from '~/core/lending/scan';
import { color, cut } from '~/app/ui/theme';

/** What an empty Enter does on this page, said before it is done. */
export interface ReadyAction {
  says: string;
  run: () => void;
  /** The address whose page said it: the page after it has not spoken yet. */
  where: string;
}
type Register = (action: ReadyAction | undefined) => void;
const Ready = createContext<Register>(() => undefined);
export const ReadyProvider = Ready;

/** Lets a page put its next action on the scan line, for as long as it is shown. */
export function useReadyAction(says: string | undefined, run: () => void): void {
  const register = use(Ready);
  const latest = useRef(run);
  const { pathname, search } = useLocation();
  const where = pathname + search;
  useEffect(() => {
    latest.current = run;
  });
  useEffect(() => {
    register(says === undefined ? undefined : { says, run: () => latest.current(), where });
    return () => register(undefined);
  }, [says, where, register]);
}

const Bar = styled.section`
  position: fixed;
  inset: auto 0 0 0;
  z-index: 10;
  background: ${color.deepFern};
  color: ${color.paper};
  border-top: 3px solid ${color.straw};
  .inner {
    max-width: 1280px;
    margin: 0 auto;
    padding: 0.55rem 1.75rem;
    display: flex;
    align-items: center;
    gap: 1rem;
    /* On a narrow screen what it says stands below it, on a line of its own. */
    @media (max-width: 700px) {
      flex-wrap: wrap;
      padding-inline: 1rem;
      gap: 0.3rem 0.8rem;
    }
  }
  label {
    font-weight: 700;
    white-space: nowrap;
  }
  kbd {
    font: inherit;
    font-weight: 400;
    border: 1px solid #86a892;
    border-radius: 3px 6px 3px 5px;
    padding: 0 0.4rem;
    margin-inline-start: 0.35rem;
  }
  input {
    ${cut}
    width: 19rem;
    max-width: 40vw;
    min-height: 44px;
    padding: 0.4rem 0.8rem;
    border: 2px solid ${color.straw};
    background: ${color.sheet};
    color: ${color.ink};
    font-weight: 700;
    letter-spacing: 0.03em;
  }
  input:focus-visible {
    outline: 3px solid #fff;
  }
  .says {
    flex: 1;
    min-width: 0;
    line-height: 1.3;
    @media (max-width: 700px) {
      flex-basis: 100%;
      font-size: 0.95rem;
    }
  }
  ul {
    display: grid;
    gap: 1px;
    max-height: 30vh;
    overflow: auto;
  }
  li {
    display: block;
    padding: 0.2rem 0.6rem;
    border-radius: 2px 8px 3px 6px;
    cursor: pointer;
  }
  li[aria-selected='true'] {
    background: ${color.straw};
    color: ${color.ink};
  }
  .problem {
    color: #ffd9c7;
    font-weight: 700;
  }
`;

/** Something that Enter was pressed on. `go` is known when its reading was on screen; an empty text is an empty Enter. */
interface Entered {
  text: string;
  go?: string | undefined;
}

/**
 * Carries out, one after the other, what Enter was pressed on. A barcode reader is quicker than the network: what
 * follows waits until the step before it is done, so that a tag, a family and Enter can be sent in one breath.
 */
function useEntered(
  address: (q: string) => string,
  ready: ReadyAction | undefined,
  refuse: (entered: Entered) => void,
) {
  const [queue, setQueue] = useState<Entered[]>([]);
  const [target, setTarget] = useState<string>();
  const { pathname, search } = useLocation();
  const here = pathname + search;
  const moving = target !== undefined;
  useEffect(() => {
    // eslint-disable-next-line react-hooks/set-state-in-effect
    if (target === here) setTarget(undefined);
  }, [target, here]);
  const asked = useRef<string>(undefined);
  const reader = useFetcher<ScanReading>();
  const navigate = useNavigate();
  const head = queue[0];
  const done = (): void => {
    asked.current = undefined;
    setQueue((old) => old.slice(1));
  };
  const go = (to: string): void => {
    setTarget(to);
    void navigate(to);
    done();
  };

  useEffect(() => {
    if (!head || moving) return undefined;
    if (head.text === '') {
      // A page that was just opened tells its action a moment later; a page without one gives no answer.
      const timer = setTimeout(done, 400);
      if (!ready) return () => clearTimeout(timer);
      clearTimeout(timer);
      ready.run();
      // eslint-disable-next-line react-hooks/set-state-in-effect
      done();
    } else if (head.go) {
      go(head.go);
    } else if (asked.current === undefined) {
      asked.current = head.text;
      void reader.load(address(head.text));
    } else if (reader.state === 'idle' && reader.data?.q === head.text) {
      const choice = reader.data.choices[0];
      if (choice) {
        go(choice.go);
      } else {
        asked.current = undefined;
        setQueue([]);
        refuse(head);
      }
    }
    return undefined;
    // Looks again whenever the line, the page or the answer has changed.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [head, moving, ready, reader.state, reader.data]);

  return { enter: (entered: Entered) => setQueue((old) => [...old, entered]), waiting: queue.length > 0 };
}

/**
 * The scan line at the foot of every staff screen: type or scan a tag, a family or a game. It says what Enter
 * will do before it is pressed; F2 comes here from anywhere.
 */
export function ScanLine({ ready: told }: { ready: ReadyAction | undefined }) {
  const id = useId();
  const input = useRef<HTMLInputElement>(null);
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState(0);
  const preview = useFetcher<ScanReading>();
  const { search, pathname } = useLocation();
  const ready = told?.where === pathname + search ? told : undefined;
  const context = pathname === '/lend' ? search.replace(/^\?/, '&') : '';
  const typed = text.trim();
  const address = (q: string): string => `/scan?q=${encodeURIComponent(q)}${context}`;
  const refuse = (entered: Entered): void => {
    setText(entered.text);
    input.current?.focus();
  };
  const { enter, waiting } = useEntered(address, ready, refuse);
  const reading = preview.data && preview.data.q === typed && typed ? preview.data : undefined;

  useEffect(() => {
    const toHere = (event: globalThis.KeyboardEvent): void => {
      if (event.key !== 'F2') return;
      event.preventDefault();
      input.current?.focus();
      input.current?.select();
    };
    window.addEventListener('keydown', toHere);
    return () => window.removeEventListener('keydown', toHere);
  }, []);

  useEffect(() => {
    if (typed) void preview.load(address(typed));
    // The fetcher itself changes with each answer, and the address follows the context.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [typed, context]);

  const take = (entered: Entered): void => {
    setText('');
    setChosen(0);
    enter(entered);
    input.current?.focus();
  };

  const onKeyDown = (event: KeyboardEvent): void => {
    const count = reading?.choices.length ?? 0;
    if (event.key === 'ArrowDown' && count) setChosen((chosen + 1) % count);
    else if (event.key === 'ArrowUp' && count) setChosen((chosen + count - 1) % count);
    else if (event.key === 'Escape') setText('');
    // What cannot be done stays on the line with its reason.
    else if (event.key === 'Enter' && !reading?.problem)
      take({ text: typed, go: reading?.choices[chosen]?.go });
    else if (event.key !== 'Enter') return;
    event.preventDefault();
  };

  return (
    <Bar aria-label="Scan line">
      <div className="inner">
        <label htmlFor={`${id}-line`}>
          Scan or type
          <kbd>F2</kbd>
        </label>
        <input
          id={`${id}-line`}
          ref={input}
          value={text}
          onChange={(event) => {
            setText(event.target.value);
            setChosen(0);
          }}
          onKeyDown={onKeyDown}
          autoComplete="off"
          spellCheck={false}
          placeholder="tag, family or game"
          role="combobox"
          aria-expanded={Boolean(reading?.choices.length)}
          aria-controls={`${id}-choices`}
          aria-autocomplete="list"
          aria-activedescendant={reading?.choices.length ? `${id}-${chosen}` : undefined}
        />
        <div className="says" role="status">
          {!typed && waiting && 'One moment …'}
          {!typed &&
            !waiting &&
            (ready ? <>Enter: {ready.says}</> : 'A tag lends or takes back; a family or a game opens.')}
          {reading?.problem && <span className="problem">{reading.problem}</span>}
          {reading && reading.choices.length > 0 && (
            <span className="visually-hidden">Enter: {reading.choices[chosen]?.says}</span>
          )}
          <ul
            id={`${id}-choices`}
            role="listbox"
            aria-label="What Enter will do"
            hidden={!reading?.choices.length}
          >
            {reading?.choices.map((choice, i) => (
              // Chosen with the arrow keys of the input; a press is for the mouse.
              // eslint-disable-next-line jsx-a11y/click-events-have-key-events
              <li
                key={choice.go}
                id={`${id}-${i}`}
                role="option"
                aria-selected={i === chosen}
                tabIndex={-1}
                onClick={() => take({ text: typed, go: choice.go })}
              >
                {i === chosen ? 'Enter: ' : ''}
                {choice.says}
              </li>
            ))}
          </ul>
        </div>
      </div>
    </Bar>
  );
}
