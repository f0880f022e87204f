import type { Schemas } from '../api/client';
import { KIND_WORDS } from './words';

/** Our own drawn marks for what is done, on a field of 16 by 16. */
const STROKES: Record<Schemas['TaskKind'], { path: string; filled?: boolean }> = {
  replace: { path: 'M4 2.5h8v2.5H4zM4.5 7.5h7v6h-7z', filled: true },
  inspect: { path: 'M1.5 8C4 4 12 4 14.5 8 12 12 4 12 1.5 8zM8 6.2v3.6' },
  clean: { path: 'M8 1.5v5M4.5 6.5h7v2.5h-7zM5 9v5M8 9v5M11 9v5' },
  adjust: { path: 'M2.5 8h11M5.5 5 2.5 8l3 3M10.5 5l3 3-3 3' },
  lubricate: { path: 'M8 2c3 4 4.2 5.8 4.2 8A4.2 4.2 0 0 1 3.8 10C3.8 7.8 5 6 8 2z' },
  check_level: { path: 'M5 2v12h6V2M5 9h6M7 11.5h2' },
  sample: { path: 'M6 2h4M7 2v4l-3.5 7.5h9L9 6V2' },
  run: { path: 'M2 11a6 6 0 0 1 12 0M8 11l3-4.5M2 14h12' },
};

/** The mark and, for those who hear the page, its word. */
export function Mark({ kind, size = 18 }: { kind: Schemas['TaskKind']; size?: number }) {
  const { path, filled } = STROKES[kind];
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 16 16"
      role="img"
      aria-label={KIND_WORDS[kind]}
      style={{ flex: 'none', verticalAlign: '-3px' }}
    >
      <path
        d={path}
        fill={filled ? 'currentColor' : 'none'}
        fillOpacity={filled ? 0.9 : undefined}
        stroke="currentColor"
        strokeWidth="1.7"
        strokeLinejoin="round"
        strokeLinecap="round"
      />
    </svg>
  );
}
