import { useCallback, useEffect, useState } from 'react';

/**
 * State that survives a closed tab: kept in the browser under `key` until `forget` is called. The server and the
 * first paint use `initial`; `restored` tells that something kept was put back.
 */
export function useRemembered<T>(
  key: string,
  initial: T,
): { value: T; set: (value: T | ((old: T) => T)) => void; forget: () => void; restored: boolean } {
  const name = `fern:${key}`;
  const [value, setValue] = useState(initial);
  const [restored, setRestored] = useState(false);
  useEffect(() => {
    const kept = localStorage.getItem(name);
    if (kept === null) return;
    try {
      // The browser's store is read once, after hydration: the server cannot know it.
      // eslint-disable-next-line react-hooks/set-state-in-effect
      setValue(JSON.parse(kept) as T);
      setRestored(true);
    } catch {
      localStorage.removeItem(name);
    }
  }, [name]);
  const set = useCallback(
    (next: T | ((old: T) => T)) =>
      setValue((old) => {
        const made = typeof next === 'function' ? (next as (old: T) => T)(old) : next;
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
