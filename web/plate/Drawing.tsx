import type { Schemas } from '../api/client';
import { DRAWINGS, type Stroke } from './drawings';

const X = 2;
const Y = 1.16;

/** A class of machine seen from above, nose to the left; what it is laid over tells the rest. */
export function Drawing({ of }: { of: Schemas['MachineClass'] }) {
  return (
    <svg viewBox="0 0 200 116" aria-hidden="true" fill="none" stroke="var(--line)" strokeWidth="2">
      {DRAWINGS[of].map((stroke, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a drawing's strokes never change places
        <Drawn key={index} stroke={stroke} />
      ))}
    </svg>
  );
}

function Drawn({ stroke }: { stroke: Stroke }) {
  switch (stroke[0]) {
    case 'l':
      return <line x1={stroke[1] * X} y1={stroke[2] * Y} x2={stroke[3] * X} y2={stroke[4] * Y} />;
    case 'c':
      return <circle cx={stroke[1] * X} cy={stroke[2] * Y} r={stroke[3] * 1.4} />;
    case 'w':
      return (
        <rect
          x={stroke[1] * X}
          y={stroke[2] * Y}
          width={stroke[3] * X}
          height={stroke[4] * Y}
          rx="3"
          fill="var(--rule)"
        />
      );
    case 'r':
      return (
        <rect
          x={stroke[1] * X}
          y={stroke[2] * Y}
          width={stroke[3] * X}
          height={stroke[4] * Y}
          rx={stroke[5] ?? 0}
          fill="var(--paper)"
        />
      );
  }
}
