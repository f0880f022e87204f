import type { Schemas } from '../api/client';
import { KIND_WORDS } from './words';

/** Our own drawn marks for what is done, on a field of 16 by 16. */
const STROKES: Record<Schemas['TaskKind'], { path: string; filled?: boolean }> = {
  replace: { path: 'M3 5.5h10l-1 8.5H4zM5.5 5.5V3h5v2.5', filled: true },
  inspect: { path: 'M1.5 8C4 4 12 4 14.5 8 12 12 4 12 1.5 8zM8 6.2v3.6' },
  clean: { path: 'M3 13.5c3-2 7-2 10 0M8 2.5v6M5 5.5 8 8.5l3-3' },
  adjust: { path: 'M2.5 8h11M5.5 5 2.5 8l3 3M10.5 5l3 3-3 3' },
  lubricate: { path: 'M8 2c3 4 4.2 5.8 4.2 8A4.2 4.2 0 0 1 3.800 10C3.800 7.800 5 6 8 2z' },
  check_level: { path: 'M5 2v12h6V2M5 9h6M7 11.500h2' },
  sample: { path: 'M6 2h4M7 2v4l-3.500 7.500h9L9 6V2' },
};

/** The mark and, for those who hear the page, its word. */
export function Mark({ kind, size = 18 }: { kind: Schemas['TaskKind']; size?: number }) {
  const { path, filled } = STROKES[kind];
  return (
    <svg width={size} height={size} viewBox="0 0 16 16" role="img" aria-label={KIND_WORDS[kind]} style={{ flex: 'none', verticalAlign: '-3px' }}>
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
