import { startTransition, useEffect, useRef, useState } from 'react';
import { useFetcher } from '~/app/ui/sending';
import styled from 'styled-components';
import { MOST_SECONDS } from '~/core/words/invitation';
import { Sound } from '~/app/ui/Sound';
import { color, cut } from '~/app/ui/theme';
import type { action } from './reader';

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

/** Says a line aloud for families who would rather listen. Only where the phone can record. */
export function Recorder({
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
}) {
  const fetcher = useFetcher<typeof action>();
  const [can, setCan] = useState(false);
  const [problem, setProblem] = useState('');
  const [recording, setRecording] = useState<MediaRecorder>();
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(
    () => startTransition(() => setCan('MediaRecorder' in window && Boolean(navigator.mediaDevices))),
    [],
  );
  // Leaving the line ends what is being recorded.
  useEffect(() => () => recording?.stream.getTracks().forEach((track) => track.stop()), [recording]);
  if (!can && !voice) return null;
  const send = (sound: Blob): void => {
    const form = new FormData();
    for (const [field, value] of Object.entries({ intent: 'speak', line, message })) form.set(field, value);
    form.set('sound', new File([sound], 'line', { type: sound.type }));
    void fetcher.submit(form, { method: 'post', encType: 'multipart/form-data' });
  };
  const begin = async (): Promise<void> => {
    setProblem('');
    try {
      const stream = await navigator.mediaDevices.getUserMedia({ audio: true });
      const recorder = new MediaRecorder(stream, { audioBitsPerSecond: 32_000 });
      const pieces: Blob[] = [];
      recorder.ondataavailable = ({ data }) => pieces.push(data);
      recorder.onstop = () => {
        clearTimeout(timer.current);
        stream.getTracks().forEach((track) => track.stop());
        setRecording(undefined);
        send(new Blob(pieces, { type: recorder.mimeType }));
      };
      recorder.start();
      timer.current = setTimeout(
        () => recorder.state === 'recording' && recorder.stop(),
        MOST_SECONDS * 1000,
      );
      setRecording(recorder);
    } catch {
      setProblem(
        'This phone gives no microphone to this page. Allow it in the settings of the browser, or go on without.',
      );
    }
  };
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
      {can && (
        <button
          type="button"
          aria-pressed={Boolean(recording)}
          disabled={fetcher.state !== 'idle'}
          onClick={() => (recording ? recording.stop() : void begin())}
        >
          {recording
            ? 'Stop and keep it'
            : voice
              ? 'Say it aloud again'
              : `Say it aloud in ${name} (you need not)`}
        </button>
      )}
      {voice && !recording && (
        <button
          type="button"
          disabled={fetcher.state !== 'idle'}
          onClick={() =>
            void fetcher.submit({ intent: 'silence', line, message, voice: voice.id }, { method: 'post' })
          }
        >
          Take the recording away
        </button>
      )}
      <p role="status">{problem || fetcher.data?.problem}</p>
    </Frame>
  );
}
