import '@fontsource/atkinson-hyperlegible-next/400.css';
import '@fontsource/atkinson-hyperlegible-next/700.css';
import '@fontsource/noto-sans/400.css';
import '@fontsource/noto-sans/700.css';
import '@fontsource/noto-sans-arabic/400.css';
import '@fontsource/noto-sans-arabic/700.css';
import '@fontsource/noto-sans-bengali/400.css';
import '@fontsource/noto-sans-bengali/700.css';
import '@fontsource/noto-sans-devanagari/400.css';
import '@fontsource/noto-sans-devanagari/700.css';
import '@fontsource/noto-sans-ethiopic/400.css';
import '@fontsource/noto-sans-ethiopic/700.css';
import '@fontsource/noto-sans-hebrew/400.css';
import '@fontsource/noto-sans-hebrew/700.css';
import simplified from '@fontsource/noto-sans-sc/400.css?url';
import simplifiedBold from '@fontsource/noto-sans-sc/700.css?url';
import traditional from '@fontsource/noto-sans-tc/400.css?url';
import traditionalBold from '@fontsource/noto-sans-tc/700.css?url';
import '@fontsource/young-serif/400.css';
import { use, useEffect, type ReactNode } from 'react';
import { I18nProvider } from 'react-aria-components/I18nProvider';
import { Links, Meta, Outlet, Scripts, ScrollRestoration, useMatches } from 'react-router';
import { aboutLanguage } from '~/core/words/languages';
import type { Route } from './+types/root';
import { NonceContext } from './nonce';
import { Fault, faultOf } from './ui/Fault';
import { GlobalStyle } from './ui/theme';

export const meta: Route.MetaFunction = () => [{ title: 'Fern Basket' }];

/** Under this key the forms of a page are sent; each answer brings another one. */
export const loader = () => ({ formKey: crypto.randomUUID() });

/** A page that families read says so in its handle: it needs no script at all. */
export interface PageHandle {
  withoutScripts?: boolean;
}

/** Style sheets of the fonts with thousands of signs, for pages that show their languages. */
const HAN: Readonly<Record<string, readonly string[]>> = {
  Hans: [simplified, simplifiedBold],
  Hant: [traditional, traditionalBold],
};

/** What pages tell of languages: the one they are in, and those that can be chosen or belong to the school. */
interface ShowsLanguages {
  language?: string;
  languages?: readonly (string | { tag: string })[];
  school?: { languages?: readonly string[] };
}
const languagesOf = (data: ShowsLanguages | null | undefined): string[] => [
  ...(typeof data?.language === 'string' ? [data.language] : []),
  ...(Array.isArray(data?.languages) ? data.languages : []).map((one: string | { tag: string }) =>
    typeof one === 'string' ? one : one.tag,
  ),
  ...(data?.school?.languages ?? []),
];

export function Layout({ children }: { children: ReactNode }) {
  const nonce = use(NonceContext);
  const matches = useMatches();
  const withoutScripts = matches.some((match) => (match.handle as PageHandle | undefined)?.withoutScripts);
  const language =
    matches
      .map((match) => (match.loaderData as { language?: string } | null | undefined)?.language)
      .find(Boolean) ?? 'en';
  const scripts = new Set(
    matches
      .flatMap((match) => languagesOf(match.loaderData as ShowsLanguages | null | undefined))
      .map((tag) => aboutLanguage(tag).script),
  );
  return (
    <html lang={language} dir={aboutLanguage(language).direction}>
      <head>
        <meta charSet="utf-8" />
        <meta name="viewport" content="width=device-width, initial-scale=1" />
        <meta name="theme-color" content="#2F6B4A" />
        <meta property="csp-nonce" nonce={nonce} suppressHydrationWarning />
        <link rel="icon" href="/leaf.svg" type="image/svg+xml" />
        <Meta />
        <Links />
        {[...scripts]
          .flatMap((script) => HAN[script] ?? [])
          .map((href) => (
            <link key={href} rel="stylesheet" href={href} />
          ))}
      </head>
      <body>
        <GlobalStyle />
        <I18nProvider locale={language === 'en' ? 'en-US' : language}>{children}</I18nProvider>
        {!withoutScripts && <ScrollRestoration nonce={nonce} />}
        {!withoutScripts && <Scripts nonce={nonce} />}
      </body>
    </html>
  );
}

export default function Root() {
  // Tells that the page answers to its scripts now: journeys wait for it.
  useEffect(() => {
    document.documentElement.dataset.ready = 'yes';
  }, []);
  return <Outlet />;
}

export function ErrorBoundary({ error }: Route.ErrorBoundaryProps) {
  return <Fault {...faultOf(error)} />;
}
