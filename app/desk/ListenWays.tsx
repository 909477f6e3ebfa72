import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { Ways, type Way } from './Ways';

const WAYS: readonly (Way & { helpers: boolean })[] = [
  { to: '/listen', label: 'What they said', helpers: false, end: true },
  { to: '/listen/slips', label: 'Type in slips (F9)', helpers: false },
  { to: '/listen/calls', label: 'Ask by phone', helpers: true },
  { to: '/listen/texts', label: 'Texts that came in', helpers: false },
  { to: '/listen/games', label: 'How hard games are', helpers: false },
];

/** The ways from Listen to what stands behind it; F9 goes to the slips. */
export function ListenWays({ coordinates = true }: { coordinates?: boolean }) {
  const go = useNavigate();
  useEffect(() => {
    if (!coordinates) return;
    const press = (event: KeyboardEvent): void => {
      if (event.key !== 'F9' || event.ctrlKey || event.altKey || event.metaKey) return;
      event.preventDefault();
      void go('/listen/slips');
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [go, coordinates]);
  return <Ways label="Listening" ways={WAYS.filter(({ helpers }) => helpers || coordinates)} />;
}
