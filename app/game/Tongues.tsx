import { Link, useSearchParams } from 'react-router';
import styled from 'styled-components';
import { REHEARSE_WORDS, type RehearseMessage } from '~/core/words/rehearse';
import type { Args } from '~/core/words/message';
import { say, type Reading } from '~/core/words/reading';
import { color } from '~/app/ui/theme';

/** The words of rehearsing in a reading. */
export const rehearseWords =
  (reading: Reading) =>
  (id: RehearseMessage, args?: Args): string =>
    say(reading, REHEARSE_WORDS, id, args);

const Bar = styled.nav`
  ul {
    display: flex;
    flex-wrap: wrap;
    gap: 0.2rem 1rem;
  }
  a {
    display: inline-flex;
    align-items: center;
    min-height: 44px;
    color: ${color.shore};
  }
  a[aria-current='true'] {
    color: ${color.deepFern};
    font-weight: 700;
    text-decoration: none;
  }
`;

/** The languages in which a helper can rehearse; everything else that was chosen stays. */
export function Tongues({
  languages,
  current,
}: {
  languages: readonly { value: string; label: string }[];
  current: string;
}) {
  const [search] = useSearchParams();
  const withLanguage = (value: string): string => {
    const next = new URLSearchParams(search);
    next.set('lang', value);
    return `?${next}`;
  };
  return (
    <Bar aria-label="Language">
      <ul>
        {languages.map(({ value, label }) => (
          <li key={value}>
            <Link to={withLanguage(value)} lang={value} aria-current={value === current || undefined}>
              {label}
            </Link>
          </li>
        ))}
      </ul>
    </Bar>
  );
}
