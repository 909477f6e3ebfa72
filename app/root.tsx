import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/noto-sans-arabic/400.css';
import '@fontsource/young-serif/400.css';
import { use, useEffect, type ReactNode } from 'react';
import { I18nProvider, RouterProvider } from 'react-aria-components';
import {
  Links,
  Meta,
  Outlet,
  Scripts,
  ScrollRestoration,
  useHref,
  useMatches,
  useNavigate,
} from 'react-router';
import { LANGUAGES, wordedOr } from '~/core/words/languages';
import type { Route } from './+types/root';
import { NonceContext } from './nonce';
import { Fault, faultOf } from './ui/Fault';
import { GlobalStyle } from './ui/theme';

export const meta: Route.MetaFunction = () => [{ title: 'Fern Basket' }];

/** A page that families read says so in its handle: it needs no script at all. */
export interface PageHandle {
  withoutScripts?: boolean;
}

export function Layout({ children }: { children: ReactNode }) {
  const nonce = use(NonceContext);
  const matches = useMatches();
  const withoutScripts = matches.some((match) => (match.handle as PageHandle | undefined)?.withoutScripts);
  const language = wordedOr(
    matches
      .map((match) => (match.loaderData as { language?: string } | null | undefined)?.language)
      .find(Boolean),
  );
  return (
    <html lang={language} dir={LANGUAGES[language].direction}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="theme-color" content="#2F6B4A" />
        <meta property="csp-nonce" nonce={nonce} suppressHydrationWarning />
        <link rel="icon" href="/leaf.svg" type="image/svg+xml" />
        <Meta />
        <Links />
      </head>
      <body>
        <GlobalStyle />
        <I18nProvider locale={language === 'en' ? 'en-US' : 'es-US'}>{children}</I18nProvider>
        {!withoutScripts && <ScrollRestoration nonce={nonce} />}
        {!withoutScripts && <Scripts nonce={nonce} />}
      </body>
    </html>
  );
}

export default function Root() {
  const navigate = useNavigate();
  // Tells that the page answers to its scripts now: journeys wait for it.
  useEffect(() => {
    document.documentElement.dataset.ready = 'yes';
  }, []);
  return (
    <RouterProvider navigate={(to) => void navigate(to)} useHref={useHref}>
      <Outlet />
    </RouterProvider>
  );
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Fault {...faultOf(error)} />;
}
