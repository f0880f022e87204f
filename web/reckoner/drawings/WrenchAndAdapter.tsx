import { asDrawn } from '../../offline/numbers';
import type { Drawn, Values } from '../calculator';

/** The wrench with its adapter as they stand to each other: in line, at right angles, or between. */
export function WrenchAndAdapter({ values }: Drawn) {
  const adapter = (values.adapter as Values) ?? {};
  const angle = asDrawn(`${adapter.angle}`) ?? 0;
  const has = `${adapter.extension ?? ''}`.trim() !== '';
  const turn = Math.max(0, Math.min(180, angle));
  return (
    <svg
      viewBox="0 0 360 120"
      width="360"
      role="img"
      aria-label={has ? `Wrench with its adapter at ${turn} degrees` : 'Wrench without an adapter'}
    >
      <g stroke="var(--ink)" fill="none" strokeWidth="2">
        <rect x="14" y="72" width="70" height="16" rx="6" fill="var(--rule)" />
        <path d="M84 80H224" strokeWidth="6" />
        <rect x="220" y="68" width="24" height="24" rx="3" fill="var(--sheet)" />
        {has && (
          <g transform={`rotate(${-turn} 232 80)`}>
            <path d="M232 80H316" stroke="var(--hedge)" strokeWidth="8" />
            <circle cx="320" cy="80" r="11" fill="var(--sheet)" stroke="var(--hedge)" strokeWidth="4" />
          </g>
        )}
      </g>
      <text x="120" y="108" fontSize="15" fill="var(--ink)">
        L
      </text>
      {has && (
        <text x="272" y="108" fontSize="15" fill="var(--hedge)">
          E
        </text>
      )}
    </svg>
  );
}
