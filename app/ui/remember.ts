import { createContext, use, useCallback, useEffect, useRef, useState } from 'react';
import { merge, same } from '~/core/check/merge';

/** Who is signed in, and for which school: what a browser keeps belongs to both. */
export const PersonContext = createContext('');

const PREFIX = 'fern:';
/** Under which name a browser keeps something for a person. */
export const nameOfDraft = (person: string, key: string): string => `${PREFIX}${person}:${key}`;

/** Throws away what this browser keeps, but for what belongs to `person`. */
export function forgetDrafts(person?: string): void {
  const keep = person === undefined ? undefined : nameOfDraft(person, '');
  for (const name of Object.keys(localStorage))
    if (name.startsWith(PREFIX) && !(keep && name.startsWith(keep))) localStorage.removeItem(name);
}

function read<T>(name: string): T | undefined {
  const kept = localStorage.getItem(name);
  if (kept === null) return undefined;
  try {
    return JSON.parse(kept) as T;
  } catch {
    localStorage.removeItem(name);
    return undefined;
  }
}

type Next<T> = T | ((old: T) => T);
const nextOf = <T>(next: Next<T>, old: T): T =>
  typeof next === 'function' ? (next as (old: T) => T)(old) : next;

/**
 * State that survives a closed tab: kept in the browser under `key` until `forget` is called. The server and the
 * first paint use `initial`; `restored` tells that something kept was put back.
 */
export function useRemembered<T>(
  key: string,
  initial: T,
  admit: (kept: T) => T | undefined = (kept) => kept,
): { value: T; set: (value: Next<T>) => void; forget: () => void; restored: boolean } {
  const name = nameOfDraft(use(PersonContext), key);
  const [value, setValue] = useState(initial);
  const [restored, setRestored] = useState(false);
  // What was kept is looked at once, by what held when the page came.
  const admitted = useRef(admit);
  useEffect(() => {
    const found = read<T>(name);
    const kept = found === undefined ? undefined : admitted.current(found);
    if (kept === undefined) return;
    // The browser's store is read once, after hydration: the server cannot know it.
    setValue(kept);
    setRestored(true);
  }, [name]);
  const set = useCallback(
    (next: Next<T>) =>
      setValue((old) => {
        const made = nextOf(next, old);
        localStorage.setItem(name, JSON.stringify(made));
        return made;
      }),
    [name],
  );
  const forget = useCallback(() => {
    localStorage.removeItem(name);
    setRestored(false);
  }, [name]);
  return { value, set, forget, restored };
}

/** What a form holds, and on which version of the stored thing it was begun. */
interface Standing<T> {
  value: T;
  base: T;
  version: number;
}
interface Kept<T> extends Standing<T> {
  sent?: boolean;
}

export interface Draft<T> {
  value: T;
  set: (next: Next<T>) => void;
  /** The version that the form stands on: it is sent with it. */
  version: number;
  /** To be called when the form is sent: what is kept goes once a newer version is there. */
  sent: () => void;
  /** Throws away what is kept; the form stays as it is. */
  forget: () => void;
  /** Begins anew from what is stored. */
  drop: () => void;
  /** Whether this is a draft that was put back; `newer` names the fields that were changed in the store since. */
  restored?: { newer: { field: string; to: unknown }[] } | undefined;
}

/**
 * A draft of a stored thing that several people may change. It survives a closed tab, knows on which version it
 * stands, and says so when it is put back. When a save came too late, it goes on from what was merged (`late`); what
 * was refused, so or for its mistakes (`refused`), is kept on as typed and not as sent. The
 * component that uses it is keyed by the version, so that it begins anew when something was saved.
 */
export function useDraft<T extends object>(
  key: string,
  stored: { value: T; version: number },
  late?: { merged: T; version: number },
  refused?: object,
): Draft<T> {
  const name = nameOfDraft(use(PersonContext), key);
  const begin: Standing<T> = { value: stored.value, base: stored.value, version: stored.version };
  const from = (one: { merged: T; version: number }): Standing<T> => ({
    value: one.merged,
    base: one.merged,
    version: one.version,
  });
  const [standing, setStanding] = useState<Standing<T>>(late ? from(late) : begin);
  const [restored, setRestored] = useState<Draft<T>['restored']>();
  const [seen, setSeen] = useState(late);
  if (late && late !== seen) {
    setSeen(late);
    setStanding(from(late));
  }
  useEffect(() => {
    const kept = read<Kept<T>>(name);
    if (!kept?.value || !kept.base) return;
    if ((kept.sent && kept.version < stored.version) || same(kept.value, stored.value)) {
      localStorage.removeItem(name);
      return;
    }
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setStanding({ value: kept.value, base: kept.base, version: kept.version });
    setRestored({
      newer: kept.version < stored.version ? merge(kept.base, kept.base, stored.value).taken : [],
    });
    // Read once, after hydration.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [name]);
  const keep = (next: Kept<T>): void => localStorage.setItem(name, JSON.stringify(next));
  const wrong = refused !== undefined && Object.keys(refused).length > 0;
  useEffect(() => {
    if (late || wrong) keep(standing);
    // Once for each answer of the server; what is typed later keeps itself.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [late, refused, wrong]);
  const set = (next: Next<T>): void =>
    setStanding((old) => {
      const made = { ...old, value: nextOf(next, old.value) };
      keep(made);
      return made;
    });
  return {
    value: standing.value,
    set,
    version: standing.version,
    sent: () => {
      if (localStorage.getItem(name) !== null) keep({ ...standing, sent: true });
    },
    forget: () => localStorage.removeItem(name),
    drop: () => {
      localStorage.removeItem(name);
      setRestored(undefined);
      setStanding(begin);
    },
    restored,
  };
}
