import { useEffect, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import styled from 'styled-components';
import { Actions, MainButton } from '../kit/Button';
import { Field } from '../kit/Field';
import { HandsHead, HandsPage, Question } from '../kit/Hands';

const View = styled.video`
  width: 100%; aspect-ratio: 4 / 3; object-fit: cover; background: var(--plate); border: 2px solid var(--ink); border-radius: 3px;
`;

const PAUSE = 220;

/** Looks for a label of the shelf through the device's camera; its code can be typed as well. */
export default function ScanPage() {
  const navigate = useNavigate();
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [typed, setTyped] = useState('');
  useEffect(() => {
    let left = false;
    let stream: MediaStream | undefined;
    const look = async () => {
      const camera = navigator.mediaDevices;
      if (!camera) throw new Error('no camera');
      const [detector, opened] = await Promise.all([
        openDetector(),
        camera.getUserMedia({ video: { facingMode: 'environment' } }),
      ]);
      stream = opened;
      const shown = video.current;
      if (left || !shown) return;
      shown.srcObject = opened;
      await shown.play();
      while (!left) {
        const [seen] = await detector.detect(shown);
        const code = seen && codeIn(seen.rawValue);
        if (code) {
          navigate(`/shelf/code/${code}`, { replace: true });
          return;
        }
        await new Promise((resolve) => setTimeout(resolve, PAUSE));
      }
    };
    look()
      .catch(() => {
        if (!left)
          setTrouble(
            'The camera cannot be used here. It needs the yard on this computer or over HTTPS, and your leave. Type the code instead.',
          );
      })
      .finally(() => left && stopAll(stream));
    return () => {
      left = true;
      stopAll(stream);
    };
  }, [navigate]);
  return (
    <HandsPage>
      <title>Scan a label</title>
      <HandsHead>
        <h1>Scan a label</h1>
      </HandsHead>
      <Question>
        {trouble ? (
          <p role="alert">{trouble}</p>
        ) : (
          <View ref={video} muted playsInline aria-label="What the camera sees" />
        )}
        <Field
          label="Or the code printed under it"
          value={typed}
          onChange={setTyped}
          autoComplete="off"
          placeholder="J7K2MQ"
        />
        <Actions>
          <MainButton
            isDisabled={typed.trim() === ''}
            onPress={() => navigate(`/shelf/code/${encodeURIComponent(typed.trim())}`)}
          >
            Open it
          </MainButton>
        </Actions>
      </Question>
    </HandsPage>
  );
}

type Detector = { detect: (of: HTMLVideoElement) => Promise<{ rawValue: string }[]> };

/** The browser's own where it has one; else one that comes with the application. */
async function openDetector(): Promise<Detector> {
  const own = (globalThis as { BarcodeDetector?: new (how: { formats: string[] }) => Detector }).BarcodeDetector;
  if (own) return new own({ formats: ['qr_code'] });
  const [{ BarcodeDetector, prepareZXingModule }, { default: wasm }] = await Promise.all([
    import('barcode-detector/ponyfill'),
    import('zxing-wasm/reader/zxing_reader.wasm?url'),
  ]);
  prepareZXingModule({ overrides: { locateFile: () => wasm } });
  return new BarcodeDetector({ formats: ['qr_code'] });
}

/** A label of this yard carries an address that ends in its code. */
const codeIn = (read: string): string | undefined => /\/shelf\/code\/([0-9A-Za-z-]{3,12})$/.exec(read)?.[1];

const stopAll = (stream?: MediaStream) => {
  for (const track of stream?.getTracks() ?? []) track.stop();
};
