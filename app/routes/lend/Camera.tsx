import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import { Button } from '~/app/ui/Button';
import { Said } from '~/app/ui/Notices';
import { color, cut } from '~/app/ui/theme';

const Picture = styled.video`
  ${cut}
  width: min(100%, 26rem);
  aspect-ratio: 4 / 3;
  object-fit: cover;
  background: ${color.ink};
`;
/** The same label in sight is read once in so long. */
const AGAIN_MS = 2500;

/** Reads labels and cards with the camera of this device. What it sees is looked at here, and goes nowhere. */
export function Camera({ onRead }: { onRead: (text: string) => void }) {
  const [on, setOn] = useState(false);
  const [problem, setProblem] = useState(false);
  const video = useRef<HTMLVideoElement>(null);
  const latest = useRef(onRead);
  useEffect(() => {
    latest.current = onRead;
  });
  useEffect(() => {
    if (!on) return;
    let stop = (): void => undefined;
    let over = false;
    let last = { text: '', at: 0 };
    void import('@zxing/browser')
      .then(async ({ BrowserMultiFormatReader }) => {
        const reader = new BrowserMultiFormatReader();
        const controls = await reader.decodeFromVideoDevice(undefined, video.current!, (result) => {
          const text = result?.getText();
          if (!text || (text === last.text && Date.now() - last.at < AGAIN_MS)) return;
          last = { text, at: Date.now() };
          latest.current(text);
        });
        stop = () => controls.stop();
        if (over) stop();
      })
      .catch(() => {
        setProblem(true);
        setOn(false);
      });
    return () => {
      over = true;
      stop();
    };
  }, [on]);
  return (
    <>
      <Button
        quiet
        onPress={() => {
          setProblem(false);
          setOn(!on);
        }}
      >
        {on ? 'Put the camera away' : 'Read with the camera'}
      </Button>
      {on && <Picture ref={video} muted playsInline aria-label="What the camera sees" />}
      {problem && (
        <Said kind="mind" live>
          The camera could not be opened. Allow it in the browser, or type the tag.
        </Said>
      )}
    </>
  );
}
