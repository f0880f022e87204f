import type { Schemas } from '../api/client';

/** Our own outlines, on a field of 24 by 24: a drop holds fluid, a square opens, a diamond is a part, a ring takes grease, a lens is looked at. */
const OUTLINES: Record<Schemas['SpotKind'], string> = {
  compartment: 'M12 1.5C17 8 20 11.5 20 15.5a8 7.5 0 0 1-16 0C4 11.5 7 8 12 1.5z',
  opening: 'M4 4h16v16H4z',
  part: 'M12 1.5 22.5 12 12 22.5 1.5 12z',
  grease_point: 'M12 3a9 9 0 0 1 0 18 9 9 0 0 1 0-18z',
  plain: 'M1 12C6 4 18 4 23 12 18 20 6 20 1 12z',
};

export type SpotLook = 'empty' | 'half' | 'full' | 'down' | 'hatched' | 'done';

const FILLS: Record<SpotLook, string> = {
  empty: 'var(--sheet)',
  half: 'url(#plate-half)',
  full: 'var(--clay)',
  down: 'var(--plate)',
  hatched: 'url(#plate-hatched)',
  done: 'var(--ink)',
};

type Props = { kind: Schemas['SpotKind']; look: SpotLook; size?: number; heavy?: boolean; dashed?: boolean };

export function SpotShape({ kind, look, size = 24, heavy = false, dashed = false }: Props) {
  return (
    <svg width={size} height={size} viewBox="-2 -2 28 28" aria-hidden="true" style={{ flex: 'none', display: 'block' }}>
      <path
        d={OUTLINES[kind]}
        fill={FILLS[look]}
        stroke="var(--ink)"
        strokeWidth={heavy ? 3.4 : 2}
        strokeDasharray={dashed ? '4 2.5' : undefined}
        strokeLinejoin="round"
      />
    </svg>
  );
}

/** What the shapes of a page are filled with; stands once in it. */
export function SpotFills() {
  return (
    <svg width="0" height="0" aria-hidden="true" style={{ position: 'absolute' }}>
      <defs>
        <linearGradient id="plate-half" x1="0" y1="0" x2="0" y2="1">
          <stop offset="50%" stopColor="var(--sheet)" />
          <stop offset="50%" stopColor="var(--hatch)" />
        </linearGradient>
        <pattern id="plate-hatched" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="5" height="5" fill="var(--sheet)" />
          <rect width="2" height="5" fill="var(--line)" />
        </pattern>
      </defs>
    </svg>
  );
}
