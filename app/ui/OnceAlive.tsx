import { startTransition, useEffect, useState, type ReactNode } from 'react';

/** Large drawings that the browser makes: the server, which answers others too, leaves their place empty. */
export function OnceAlive({ children, height }: { children: ReactNode; height: number }) {
  const [alive, setAlive] = useState(false);
  // Not at once: the page answers to hands first.
  useEffect(() => startTransition(() => setAlive(true)), []);
  return alive ? children : <div style={{ minHeight: height }} />;
}
