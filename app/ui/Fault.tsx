import { isRouteErrorResponse } from 'react-router';
import styled from 'styled-components';
import { Button, ButtonLink } from './Button';
import { color } from './theme';

const Frame = styled.main`
  max-width: 38rem;
  margin: 12vh auto 0;
  padding: 0 1.5rem 6rem;
  display: grid;
  gap: 1rem;
  justify-items: start;
  svg {
    color: ${color.fern};
  }
`;

export interface FaultProps {
  title: string;
  text: string;
  /** It passes by itself: the same page can be asked for again. */
  passes?: boolean;
}

/** What a person is told about an error. What the server logged is never shown. */
export function faultOf(error: unknown): FaultProps {
  if (isRouteErrorResponse(error)) {
    const told = error.data as Partial<FaultProps> | undefined;
    if (told?.title && told.text) return { title: told.title, text: told.text };
    // The server answered before the application did: its first sentence is the title.
    if (typeof error.data === 'string' && [400, 403, 413, 415, 503].includes(error.status)) {
      const [, title, text] = /^([^.]+)\. ([^]+)$/.exec(error.data.trim()) ?? [];
      if (title && text && text.length < 600) return { title, text, passes: error.status === 503 };
    }
    if (error.status === 404)
      return {
        title: 'This page is not here',
        text: 'The address may be wrong, or what it named was removed.',
      };
    if (error.status === 405)
      return { title: 'Nothing was changed', text: 'This page does not take what was sent to it.' };
  }
  return {
    title: 'Something went wrong here',
    text: 'What was saved before is safe. Go back and try again; if it happens again, note the time and tell the person who looks after this server.',
  };
}

/** An error as a page of its own. */
export const Fault = ({ title, text, passes }: FaultProps) => (
  <Frame>
    <svg
      width="72"
      height="56"
      viewBox="0 0 72 56"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      aria-hidden
    >
      <path d="M6 52C8 24 26 8 62 6" />
      <path d="M20 34c-8-2-12-8-12-14 8 0 12 6 12 14ZM34 21c-5-6-5-12-2-18 6 5 7 12 2 18ZM30 26c8 2 14 0 18-6-7-3-14-1-18 6ZM16 42c8 4 15 3 20-2-6-5-14-4-20 2Z" />
    </svg>
    <h1>{title}</h1>
    <p>{text}</p>
    {passes ? (
      <Button onPress={() => window.location.reload()}>Try again</Button>
    ) : (
      <ButtonLink href="/">Go to the first page</ButtonLink>
    )}
  </Frame>
);
