import { Fragment } from 'react';
import styled from 'styled-components';
import { NUMBERED_PARTS, STEP_PARTS, type StepPart } from '~/core/games/kit/types';
import type { PhoneStep } from '~/core/pack/phone';
import type { FamilyMessage } from '~/core/words/family';
import type { Language } from '~/core/words/languages';
import { Sound } from '~/app/ui/Sound';
import { color } from '~/app/ui/theme';
import { GameDrawing } from './SheetView';

export const FamilySection = styled.section`
  margin-top: 1.5rem;
  .sketch {
    display: block;
    margin-top: 0.4rem;
  }
  audio {
    display: block;
    width: 100%;
    max-width: 18rem;
    margin-top: 0.4rem;
  }
  button[data-says] {
    display: block;
    min-height: 44px;
    margin-top: 0.3rem;
    padding: 0.2rem 1.2rem;
    font: inherit;
    font-size: 1.05rem;
    border: 1.5px solid ${color.fern};
    border-radius: 4px 16px 5px 12px;
    background: ${color.paper};
    color: ${color.deepFern};
    cursor: pointer;
  }
  ol,
  ul {
    margin-top: 0.4rem;
    display: grid;
    gap: 0.7rem;
  }
  li {
    display: grid;
    grid-template-columns: 2.4rem minmax(0, 1fr);
    gap: 0.6rem;
    align-items: start;
  }
  .number {
    display: grid;
    place-items: center;
    width: 2.3rem;
    height: 2.3rem;
    background: ${color.sprout};
    border-radius: 50% 50% 50% 6px;
    font-weight: 700;
    color: ${color.deepFern};
  }
  .show {
    display: block;
    font-size: 1rem;
    color: ${color.faint};
  }
`;
export const FamilyList = styled.ul`
  && li {
    grid-template-columns: 1rem minmax(0, 1fr);
  }
  li::before {
    content: '';
    width: 0.55rem;
    height: 0.55rem;
    margin-top: 0.6rem;
    border-radius: 50% 50% 50% 2px;
    background: ${color.fern};
  }
`;
/** The steps of a game as the family page has them. */
export function FamilySteps({
  steps,
  heard,
  car,
  marked,
  language,
  words,
}: {
  steps: readonly (PhoneStep & {
    /** Where somebody says it aloud. */
    voice?: string | undefined;
  })[];
  /** The language of the page. */
  language: Language;
  heard: readonly string[];
  car?: string | undefined;
  /** The message that is being worded. */
  marked?: string;
  words: (id: FamilyMessage) => string;
}) {
  // Numbers run on through getting ready, playing and finishing.
  const before = (part: StepPart): number =>
    steps.filter(
      (step) => NUMBERED_PARTS.has(step.part) && STEP_PARTS.indexOf(step.part) < STEP_PARTS.indexOf(part),
    ).length;
  const told = (step: (typeof steps)[number]) => (
    <>
      {/* A voice of the phone reads it in the language of the page only. */}
      <span
        lang={step.language === language ? undefined : step.language}
        data-say={step.language === language && !step.voice ? '' : undefined}
      >
        {step.text}
      </span>
      {step.voice && <Sound src={step.voice} label={`${words('saidAloud')}: ${step.text}`} />}
    </>
  );
  return STEP_PARTS.map((part) => {
    const own = steps.filter((step) => step.part === part);
    if (own.length === 0) return null;
    return (
      <Fragment key={part}>
        {part === 'say' && heard.length > 0 && (
          <FamilySection>
            <h2>{words('part.hear')}</h2>
            <FamilyList>
              {heard.map((text) => (
                <li key={text}>
                  <span>{text}</span>
                </li>
              ))}
            </FamilyList>
          </FamilySection>
        )}
        <FamilySection>
          <h2>{words(`part.${part}`)}</h2>
          {NUMBERED_PARTS.has(part) ? (
            <ol>
              {own.map((step, i) => (
                <li key={step.id + step.text} aria-current={step.id === marked || undefined}>
                  <span className="number">{before(part) + i + 1}</span>
                  <span>
                    {told(step)}
                    {step.show && <span className="show">{words(`show.${step.show}`)}</span>}
                    {step.sketch && (
                      <span className="sketch">
                        <GameDrawing shapes={step.sketch} width={150} />
                      </span>
                    )}
                  </span>
                </li>
              ))}
            </ol>
          ) : (
            <FamilyList>
              {own.map((step) => (
                <li key={step.id + step.text} aria-current={step.id === marked || undefined}>
                  <span>{told(step)}</span>
                </li>
              ))}
              {part === 'atHome' && car && (
                <li>
                  <span>{car}</span>
                </li>
              )}
            </FamilyList>
          )}
        </FamilySection>
      </Fragment>
    );
  });
}
