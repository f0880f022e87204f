import { asDrawn } from '../../offline/numbers';
import type { Drawn, Values } from '../calculator';

const HEIGHT = 170;
const ADD = 130;
const FULL = 50;

const at = (level: number): number => Math.max(10, Math.min(HEIGHT - 6, ADD - level * (ADD - FULL)));

/** The stick with its marks and where it was read, the last reading filled. */
export function StickColumn({ values }: Drawn) {
  const levels = ((values.marks as Values[]) ?? [])
    .map(({ level }) => asDrawn(`${level}`))
    .filter((level) => level !== null);
  const last = levels[levels.length - 1];
  return (
    <svg viewBox={`0 0 220 ${HEIGHT}`} width="220" role="img" aria-label={stickWords(levels)}>
      <rect
        x="40"
        y="6"
        width="26"
        height={HEIGHT - 12}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth="2"
        rx="4"
      />
      {last !== undefined && (
        <rect x="42" y={at(last)} width="22" height={HEIGHT - 8 - at(last)} fill="var(--straw)" opacity="0.75" />
      )}
      {levels.slice(0, -1).map((level, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: readings are known by their place alone
        <path key={index} d={`M40 ${at(level)}H66`} stroke="var(--slate)" strokeWidth="2" strokeDasharray="4 3" />
      ))}
      <path d={`M34 ${FULL}H72M34 ${ADD}H72`} stroke="var(--ink)" strokeWidth="3" />
      <text x="80" y={FULL + 5} fontSize="15" fill="var(--ink)">
        full
      </text>
      <text x="80" y={ADD + 5} fontSize="15" fill="var(--ink)">
        add
      </text>
    </svg>
  );
}

const stickWords = (levels: number[]): string =>
  levels.length === 0
    ? 'A stick, not read yet'
    : `A stick read at ${levels.join(', then ')}; 0 is the add mark, 1 the full mark`;
