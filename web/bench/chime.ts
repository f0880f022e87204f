import { useEffect, useRef, useState } from 'react';
import { fromPocket, intoPocket } from '../offline/pocket';

const KEPT = 'chime';

/** Two short notes, and a buzz where the device can. */
function ring(): void {
  navigator.vibrate?.([200, 100, 200]);
  const audio = new AudioContext();
  for (const [begin, pitch] of [
    [0, 660],
    [0.25, 880],
  ] as const) {
    const tone = audio.createOscillator();
    const loud = audio.createGain();
    tone.frequency.value = pitch;
    loud.gain.setValueAtTime(0.25, audio.currentTime + begin);
    loud.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + begin + 0.22);
    tone.connect(loud).connect(audio.destination);
    tone.start(audio.currentTime + begin);
    tone.stop(audio.currentTime + begin + 0.25);
  }
}

/** Whether timers are heard on this device, and that each is heard once when its time is over. */
export function useChime(over: string[]): { heard: boolean; hear: (heard: boolean) => void } {
  const [heard, setHeard] = useState(() => fromPocket(KEPT) === 'yes');
  const known = useRef<Set<string> | null>(null);
  const names = over.join(' ');
  useEffect(() => {
    const now = names.split(' ').filter(Boolean);
    const before = known.current;
    known.current = new Set(now);
    if (heard && before && now.some((key) => !before.has(key))) ring();
  }, [names, heard]);
  return {
    heard,
    hear: (next) => {
      intoPocket(KEPT, next ? 'yes' : 'no');
      setHeard(next);
    },
  };
}
