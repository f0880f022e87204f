import { asDrawn } from '../../offline/numbers';
import type { Drawn } from '../calculator';

const TOP = 10;
const TALL = 150;

/** What goes in, as it would stand in a column: water above, concentrate below. */
export function MixColumn({ values, drawn }: Drawn) {
  const percent = Math.max(0, Math.min(100, asDrawn(`${values.percent}`) ?? 0));
  const concentrate = Math.round((TALL * percent) / 100);
  return (
    <svg
      viewBox="0 0 300 172"
      width="300"
      role="img"
      aria-label={`${percent} percent concentrate, the rest distilled water`}
    >
      <rect x="20" y={TOP} width="62" height={TALL - concentrate} fill="var(--slate)" opacity="0.35" />
      <rect x="20" y={TOP + TALL - concentrate} width="62" height={concentrate} fill="var(--hedge)" />
      <rect x="20" y={TOP} width="62" height={TALL} fill="none" stroke="var(--ink)" strokeWidth="2" />
      <text x="94" y={TOP + (TALL - concentrate) / 2 + 5} fontSize="15" fill="var(--ink)">
        water {drawn?.water}
      </text>
      <text x="94" y={TOP + TALL - concentrate / 2 + 5} fontSize="15" fill="var(--ink)">
        concentrate {drawn?.concentrate}
      </text>
    </svg>
  );
}
