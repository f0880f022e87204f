import type { Drawn } from '../calculator';

const SAG: Record<string, number> = { little: 20, more: 28, much: 40 };

/** Where the straightedge lies and where is pressed: mid-span, with the force that the limit names. */
export function BeltSpan({ drawn }: Drawn) {
  const sag = SAG[drawn?.sag ?? ''] ?? 20;
  return (
    <svg
      viewBox="0 0 360 130"
      width="360"
      role="img"
      aria-label={`A belt pressed at mid-span${drawn ? `, which ${drawn.gives}` : ''}`}
    >
      <g fill="none" stroke="var(--ink)" strokeWidth="2">
        <circle cx="46" cy="74" r="28" />
        <circle cx="314" cy="74" r="28" />
        <circle cx="46" cy="74" r="3" />
        <circle cx="314" cy="74" r="3" />
        <path d="M46 102H314" />
        <path d={`M46 46Q180 ${46 + sag * 2} 314 46`} stroke="var(--clay)" strokeWidth="3" />
        <path d="M46 46H314" strokeDasharray="5 4" />
        <path d="M30 38H330" stroke="var(--slate)" strokeWidth="4" />
        <path d={`M180 6V${40 + sag}M173 ${32 + sag}L180 ${42 + sag}L187 ${32 + sag}`} strokeWidth="2.5" />
      </g>
      <text x="196" y="22" fontSize="15" fill="var(--ink)">
        {drawn?.gives ?? 'press here'}
      </text>
    </svg>
  );
}
