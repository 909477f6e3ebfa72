import styled from 'styled-components';
import { MOST_SECONDS } from '~/core/words/invitation';
import { FormKey } from '~/app/ui/sending';
import { Sound } from '~/app/ui/Sound';
import { color, cut } from '~/app/ui/theme';

const Frame = styled.div`
  display: grid;
  gap: 0.5rem;
  button {
    ${cut}
    min-height: 48px;
    padding: 0.3rem 1rem;
    font: inherit;
    cursor: pointer;
    border: 1.5px solid ${color.faint};
    background: ${color.sheet};
    color: ${color.ink};
  }
  button[aria-pressed='true'] {
    background: ${color.clayLight};
    border-color: ${color.clay};
    font-weight: 700;
  }
  audio {
    width: 100%;
  }
`;

/** Says a line aloud for families who would rather listen, by `record.js`: only where the phone can record. */
export const Recorder = ({
  line,
  message,
  name,
  voice,
}: {
  line: string;
  message: string;
  /** The language, in English. */
  name: string;
  voice: { id: string; src: string; letOut: boolean } | undefined;
}) => {
  const about = (intent: string) => (
    <>
      <FormKey />
      <input type="hidden" name="intent" value={intent} />
      <input type="hidden" name="line" value={line} />
      <input type="hidden" name="message" value={message} />
    </>
  );
  const say = voice ? 'Say it aloud again' : `Say it aloud in ${name} (you need not)`;
  return (
    <Frame>
      {voice && (
        <>
          <Sound src={voice.src} label="The line as you said it aloud" />
          <small>
            {voice.letOut
              ? 'Families can hear it.'
              : 'Kept. The school listens to it, and then families can hear it.'}
          </small>
        </>
      )}
      <form method="post" encType="multipart/form-data" hidden data-records={MOST_SECONDS}>
        {about('speak')}
        <input type="file" name="sound" hidden />
        <button type="button" aria-pressed="false" data-stop="Stop and keep it" style={{ width: '100%' }}>
          {say}
        </button>
        <p
          role="status"
          data-none="This phone gives no microphone to this page. Allow it in the settings of the browser, or go on without."
        />
      </form>
      {voice && (
        <form method="post">
          {about('silence')}
          <input type="hidden" name="voice" value={voice.id} />
          <button type="submit" style={{ width: '100%' }}>
            Take the recording away
          </button>
        </form>
      )}
    </Frame>
  );
};
