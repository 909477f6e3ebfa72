import type { ComponentProps, ReactNode } from 'react';
import { FormKey } from '~/app/ui/sending';
import styled from 'styled-components';
import { FAMILY_WORDS, type FamilyMessage } from '~/core/words/family';
import type { Args } from '~/core/words/message';
import { say, type Reading } from '~/core/words/reading';
import type { Offered } from '~/server/play';
import { color, cut } from '~/app/ui/theme';

/** Words of the family pages in one reading. */
export const familyWords =
  (reading: Reading) =>
  (id: FamilyMessage, args?: Args): string =>
    say(reading, FAMILY_WORDS, id, args);

const Frame = styled.div`
  max-width: 40rem;
  margin: 0 auto;
  padding: 0 1.1rem 3rem;
  font-size: 1.19rem;
  line-height: 1.5;
  h1 {
    font-size: 2rem;
  }
  h2 {
    font-size: 1.4rem;
    color: ${color.deepFern};
  }
`;
const Top = styled.header`
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 0.8rem;
  padding: 0.8rem 0 1rem;
  svg {
    flex: none;
  }
  nav ul {
    display: flex;
    flex-wrap: wrap;
    justify-content: end;
    gap: 0.4rem;
  }
  nav a {
    ${cut}
    display: inline-grid;
    place-items: center;
    min-height: 44px;
    padding: 0 0.9rem;
    border: 1.5px solid ${color.fern};
    color: ${color.deepFern};
    text-decoration: none;
  }
  nav a[aria-current] {
    background: ${color.fern};
    color: ${color.paper};
    font-weight: 700;
  }
`;

/** The frame of a family page: a leaf, the languages, and the page. Plain links and forms; no script is needed. */
export const FamilyFrame = ({
  reading,
  path,
  languages,
  children,
}: {
  reading: Reading;
  path: string;
  languages: readonly Offered[];
  children: ReactNode;
}) => (
  <Frame
    lang={reading.language}
    dir={languages.find(({ tag }) => tag === reading.language)?.direction ?? 'ltr'}
  >
    <Top>
      <svg width="44" height="40" viewBox="0 0 44 40" aria-hidden>
        <path d="M6 34C3 15 15 4 39 4c2 19-11 34-29 30" fill={color.fern} />
        <path d="M6 36C14 25 22 16 33 10" stroke={color.paper} strokeWidth="2" fill="none" />
      </svg>
      <nav aria-label={familyWords(reading)('language')}>
        <ul>
          {languages.map(({ tag, own }) => (
            <li key={tag}>
              <a
                href={`${path}?lang=${tag}`}
                lang={tag}
                aria-current={tag === reading.language ? 'true' : undefined}
              >
                {own}
              </a>
            </li>
          ))}
        </ul>
      </nav>
    </Top>
    <main>{children}</main>
  </Frame>
);

const Note = styled.div`
  ${cut}
  background: ${color.strawLight};
  border-inline-start: 6px solid ${color.straw};
  padding: 0.8rem 1rem;
`;
export const FamilyNote = ({ children }: { children: ReactNode }) => <Note role="status">{children}</Note>;

export const familyButton = `
  display: inline-grid; place-items: center; min-height: 54px; width: 100%; padding: 0.6rem 1.2rem;
  border: 0; border-radius: 4px 16px 5px 12px; background: ${color.fern}; color: ${color.paper};
  font-weight: 700; font-size: 1.2rem; text-decoration: none; cursor: pointer;
`;

/** A form of a family page: it is sent without a script, and carries its key. */
export const FamilyForm = ({ children, ...props }: ComponentProps<typeof Large>) => (
  <Large {...props}>
    <FormKey />
    {children}
  </Large>
);

/** Large, with room for a thumb. */
const Large = styled.form`
  display: grid;
  gap: 1.3rem;
  margin-top: 1rem;
  label,
  legend {
    display: block;
    font-weight: 700;
    margin-bottom: 0.25rem;
    padding: 0;
  }
  fieldset {
    border: 0;
    margin: 0;
    padding: 0;
  }
  input[type='number'],
  input:not([type]),
  textarea {
    ${cut}
    min-height: 50px;
    padding: 0.5rem 0.8rem;
    border: 1.5px solid ${color.faint};
    background: ${color.sheet};
    font-size: 1.19rem;
  }
  input[type='number'] {
    width: 7rem;
  }
  input:not([type]),
  textarea,
  select {
    width: 100%;
  }
  select {
    ${cut}
    min-height: 50px;
    padding: 0.5rem 0.8rem;
    border: 1.5px solid ${color.faint};
    background: ${color.sheet};
    font-size: 1.19rem;
    text-overflow: ellipsis;
  }
  [aria-invalid='true'] {
    border: 2.5px solid ${color.clay};
  }
  .mistake {
    color: #8a3816;
    font-weight: 700;
  }
  .choices {
    display: grid;
    gap: 0.5rem;
  }
  .choices label {
    ${cut}
    display: flex;
    align-items: center;
    gap: 0.8rem;
    min-height: 52px;
    margin: 0;
    padding: 0.4rem 1rem;
    border: 1.5px solid ${color.faint};
    background: ${color.sheet};
    font-weight: 400;
  }
  .choices label:has(:checked) {
    border-color: ${color.fern};
    background: ${color.sprout};
    font-weight: 700;
  }
  input[type='radio'],
  input[type='checkbox'] {
    width: 1.4rem;
    height: 1.4rem;
    flex: none;
  }
  [data-typed] {
    ${cut}
    background: ${color.strawLight};
    border-inline-start: 6px solid ${color.straw};
    padding: 0.8rem 1rem;
  }
`;

/** Questions that nobody has to answer, folded away. */
export const FamilyMore = styled.details`
  margin-top: 0.6rem;
  summary {
    min-height: 48px;
    display: flex;
    align-items: center;
    gap: 0.5rem;
    color: ${color.shore};
    text-decoration: underline;
    text-underline-offset: 3px;
    cursor: pointer;
  }
  summary::before {
    content: '+';
    font-weight: 700;
    text-decoration: none;
    display: inline-block;
  }
  &[open] > summary::before {
    content: '−';
  }
  && > * + * {
    margin-top: 1.1rem;
  }
`;
export const FamilySend = styled.button<{ $quiet?: boolean }>`
  ${familyButton}
  ${({ $quiet }) =>
    $quiet && `background: ${color.sheet}; color: ${color.deepFern}; border: 1.5px solid ${color.fern};`}
`;
