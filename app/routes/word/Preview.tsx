import { useEffect, useState } from 'react';
import { useFetcher } from '~/app/ui/sending';
import styled from 'styled-components';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { faultsOfLine } from '~/core/words/line';
import { count } from '~/core/words/numbers';
import { FamilySteps } from '~/app/game/FamilySteps';
import { SheetView } from '~/app/game/SheetView';
import { Button } from '~/app/ui/Button';
import { Faint, Row, Stack } from '~/app/ui/Page';
import { familyWords } from '~/app/routes/play/FamilyPage';
import { color } from '~/app/ui/theme';
import type { action } from './line';

/** The sheets are laid out when nothing was typed for so long. */
const PAUSE_MS = 600;

const LEFT_OUT = {
  standIns: 'what can stand in for printed parts',
  coaching: 'what can be said and heard in a play',
};

const Pages = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(17rem, 1fr));
  gap: 1rem;
  align-items: start;
`;
/** As wide as a small phone. */
const Phone = styled.div`
  width: 360px;
  max-width: 100%;
  max-height: 640px;
  overflow-y: auto;
  padding: 0 1.1rem 1.5rem;
  background: ${color.paper};
  border: 2px solid ${color.deepFern};
  border-radius: 18px 26px 16px 22px;
  font-size: 1.19rem;
  line-height: 1.5;
  h3 {
    font-size: 2rem;
    margin-top: 1rem;
  }
  h2 {
    font-size: 1.4rem;
    color: ${color.deepFern};
  }
  [aria-current] {
    background: ${color.strawLight};
  }
`;

/**
 * What becomes of the sheet and of the family page with a line as it is typed: says by itself which sheet would run
 * over, and shows both where it is asked.
 */
export function Preview({
  of,
  id,
  english,
  target,
  message,
  was,
  gameId,
  kitId,
}: {
  /** What the line is worded in. */
  of: string;
  id: string;
  english: string;
  target: Language;
  message: string;
  was: string;
  /** Which of the games and kits that say it is shown first. */
  gameId?: string;
  kitId?: string | undefined;
}) {
  const fetcher = useFetcher<typeof action>();
  const { submit } = fetcher;
  const [seen, setSeen] = useState(false);
  const sound = faultsOfLine(message, english, target).length === 0;
  const asked = sound && (seen || message !== was);
  useEffect(() => {
    if (!asked) return;
    const timer = setTimeout(
      () =>
        void submit(
          {
            intent: 'see',
            message,
            ...(gameId ? { game: gameId } : {}),
            ...(kitId ? { kit: kitId } : {}),
            ...(seen ? { pages: '1' } : {}),
          },
          { method: 'post', action: `/word/${of}/${id}?language=${target}` },
        ),
      seen && message === was ? 0 : PAUSE_MS,
    );
    return () => clearTimeout(timer);
  }, [asked, seen, message, was, gameId, kitId, of, id, target, submit]);
  const fit = asked ? fetcher.data?.fit : undefined;
  return (
    <Stack $gap="0.6rem">
      <div aria-live="polite">
        {fit?.over.map((one) => (
          <p key={one.of}>
            <b>Too long for its sheet:</b>{' '}
            {one.leavesOut
              ? `${one.of} would leave out ${LEFT_OUT[one.leavesOut]} to make room in ${one.language}.`
              : `${one.of} would take ${count(one.pages, 'page')} in ${one.language}, and its instructions should take ${one.most} at most.`}{' '}
            Say it in fewer words.
          </p>
        ))}
      </div>
      <Row>
        <Button type="button" quiet isDisabled={!sound} onPress={() => setSeen(!seen)}>
          {seen ? 'Hide the sheet and the phone' : 'See it on the sheet and the phone'}
        </Button>
      </Row>
      {seen && fit?.pages && (
        <Stack $gap="0.6rem">
          <Faint>
            The instructions of {fit.of}, and its page on a phone, as they would be. Nothing is saved yet.
          </Faint>
          <Pages>
            {fit.pages.map((page, i) => (
              <SheetView key={i} sheet={page} label={`Page ${i + 1} of ${fit.of}`} />
            ))}
            <Phone
              lang={target}
              dir={aboutLanguage(target).direction}
              role="region"
              aria-label="The page on a phone"
              tabIndex={0}
            >
              <h3>{fit.phone.name}</h3>
              <p>{fit.phone.goal}</p>
              <FamilySteps
                steps={fit.phone.steps}
                heard={[]}
                marked={id}
                language={target}
                words={familyWords(fit.phone.reading)}
              />
            </Phone>
          </Pages>
        </Stack>
      )}
    </Stack>
  );
}
