import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { Drawing } from './Drawing';
import { SpotFills, SpotShape } from './SpotShape';

const Frame = styled.div`
  position: relative; aspect-ratio: 200 / 116; background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px;
  touch-action: none; cursor: crosshair;
  > svg:first-child { position: absolute; inset: 0; width: 100%; height: 100%; }
  > span { position: absolute; transform: translate(-50%, -50%); pointer-events: none; }
`;
const Words = styled.p`font-size: 15px; color: var(--soft);`;

const STEPS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const FAR = 5;

const within = (value: number): number => Math.min(100, Math.max(0, Math.round(value)));

type Props = {
  of: Schemas['MachineClass'];
  kind: Schemas['SpotKind'];
  x: number;
  y: number;
  onPlace: (x: number, y: number) => void;
};

/** Where a spot stands on the plate: pressed there, or walked there with the arrow keys, in wide steps with Shift. */
export function PlacePicker({ of, kind, x, y, onPlace }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const press = (event: PointerEvent) => {
    if (event.type === 'pointermove' && event.buttons === 0) return;
    const box = frame.current?.getBoundingClientRect();
    if (!box) return;
    onPlace(
      within(((event.clientX - box.left) / box.width) * 100),
      within(((event.clientY - box.top) / box.height) * 100),
    );
  };
  const walk = (event: KeyboardEvent) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const wide = event.shiftKey ? FAR : 1;
    onPlace(within(x + step[0] * wide), within(y + step[1] * wide));
  };
  return (
    <div>
      <Frame
        ref={frame}
        role="application"
        tabIndex={0}
        aria-label="Where it stands on the plate"
        aria-describedby="plate-place"
        onPointerDown={press}
        onPointerMove={press}
        onKeyDown={walk}
      >
        <Drawing of={of} />
        <SpotFills />
        <span style={{ left: `${x}%`, top: `${y}%` }}>
          <SpotShape kind={kind} look="done" size={30} heavy />
        </span>
      </Frame>
      <Words id="plate-place" aria-live="polite">
        {x} of 100 from the front, {y} of 100 from the left. Press where it is, or walk it there with the arrow keys.
      </Words>
    </div>
  );
}
