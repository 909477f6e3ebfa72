import { useSyncExternalStore, type ReactNode } from 'react';

const never = () => () => undefined;

/** Large drawings that the browser makes: the server, which answers others too, leaves their place empty. */
export function OnceAlive({ children, height }: { children: ReactNode; height: number }) {
  const alive = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  return alive ? children : <div style={{ minHeight: height }} />;
}
