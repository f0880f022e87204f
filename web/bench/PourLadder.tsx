import { shownMl } from '../offline/amounts';

type Props = {
  /** In all, by the book. */
  total: number;
  /** In already, each pour a layer. */
  pours: number[];
  /** To be poured now. */
  now: number;
  marks?: { at: number; label: string }[];
};

const TOP = 12;
const TALL = 180;
const LEFT = 118;
const WIDE = 96;

/** The compartment as a column: what is in, layer by layer, what goes in now, and what is left. */
export function PourLadder({ total, pours, now, marks = [] }: Props) {
  const most = Math.max(total, pours.reduce((sum, one) => sum + one, 0) + now) || 1;
  const tall = (ml: number) => (ml * TALL) / most;
  const bottom = TOP + TALL;
  let inside = 0;
  const layers = pours.map((ml, index) => {
    inside += ml;
    return { key: index, ml, y: bottom - tall(inside), height: tall(ml) };
  });
  const pourY = bottom - tall(inside + now);
  const left = Math.max(0, total - inside - now);
  return (
    <svg
      viewBox={`0 0 350 ${TOP + TALL + 14}`}
      role="img"
      aria-label={`${shownMl(inside)} is in, pour ${shownMl(now)} now, ${shownMl(left)} is left after that.`}
      style={{ width: '100%', maxWidth: 420, font: '500 16px var(--body)' }}
    >
      <rect x={LEFT} y={TOP} width={WIDE} height={TALL} fill="var(--sheet)" />
      {layers.map(({ key, ml, y, height }) => (
        <g key={key}>
          <rect x={LEFT} y={y} width={WIDE} height={height} fill="var(--layer)" stroke="var(--straw)" strokeWidth="1" />
          {height > 20 && (
            <text x={LEFT + WIDE / 2} y={y + height / 2 + 6} textAnchor="middle" fill="var(--ink)">
              {shownMl(ml)}
            </text>
          )}
        </g>
      ))}
      {now > 0 && (
        <>
          <rect
            x={LEFT + 2}
            y={pourY}
            width={WIDE - 4}
            height={tall(now)}
            fill="var(--pour)"
            stroke="var(--straw)"
            strokeWidth="2"
            strokeDasharray="4 4"
          />
          <text
            x={LEFT - 14}
            y={pourY + Math.max(18, tall(now) / 2)}
            textAnchor="end"
            fontWeight="700"
            fill="var(--ink)"
          >
            pour now
          </text>
          <text
            x={LEFT + WIDE / 2}
            y={pourY + tall(now) / 2 + 7}
            textAnchor="middle"
            fontWeight="700"
            fontSize="19"
            fill="var(--ink)"
          >
            {shownMl(now)}
          </text>
        </>
      )}
      <rect x={LEFT} y={TOP} width={WIDE} height={TALL} fill="none" stroke="var(--ink)" strokeWidth="3" />
      {marks.map(({ at, label }) => (
        <g key={label}>
          <line
            x1={LEFT - 18}
            x2={LEFT + WIDE + 18}
            y1={bottom - tall(at)}
            y2={bottom - tall(at)}
            stroke="var(--ink)"
            strokeWidth="2"
          />
          <text x={LEFT + WIDE + 24} y={bottom - tall(at) + 5} fill="var(--ink)">
            {label}
          </text>
        </g>
      ))}
      {left > 0 && (
        <text x={LEFT + WIDE + 24} y={Math.max(TOP + 60, pourY + 26)} fill="var(--soft)">
          <tspan x={LEFT + WIDE + 24}>then {shownMl(left)}</tspan>
          <tspan x={LEFT + WIDE + 24} dy="21">
            is left
          </tspan>
        </text>
      )}
      {inside > 0 && (
        <text x={LEFT - 14} y={bottom - 8} textAnchor="end" fill="var(--soft)">
          in already
        </text>
      )}
    </svg>
  );
}
