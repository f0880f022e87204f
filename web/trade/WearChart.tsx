import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { count, instant } from '../kit/format';
import { Stamp } from './Stamp';

type Wear = Schemas['Trends']['wear'][number];

const Figure = styled.figure`
  padding: 14px 20px; display: flex; flex-direction: column; gap: 8px;
  svg { width: 100%; height: auto; max-height: 260px; display: block; }
  figcaption { display: flex; gap: 14px; align-items: center; flex-wrap: wrap; }
`;
const Behind = styled.details`
  font-size: 15px;
  summary { cursor: pointer; min-height: 32px; color: var(--hedge); font-weight: 600; }
  table { border-collapse: collapse; }
  th, td { padding: 4px 18px 4px 0; text-align: left; border-bottom: 1px solid var(--rule); font-weight: 450; }
  th { font-weight: 650; }
`;

const WIDTH = 760;
const HEIGHT = 220;
const LEFT = 56;
const FOOT = 30;

/** What was measured against hours, the line through it, and the band in which the next measurement falls four times in five. */
export function WearChart({ wear }: { wear: Wear }) {
  const points = wear.points.map(({ hours, value }) => ({ hours: Number(hours), value: Number(value) }));
  const limit = Number(wear.limit);
  const along = [...points.map(({ hours }) => hours), ...wear.line.map(({ hours }) => hours)];
  const up = [...points.map(({ value }) => value), limit, ...wear.line.map(({ value }) => value)];
  const [from, to] = [Math.min(...along), Math.max(...along)];
  const [low, high] = [Math.min(...up), Math.max(...up)];
  const room = (high - low || 1) * 0.15;
  const x = scaleLinear([from, to], [LEFT, WIDTH - 20]);
  const y = scaleLinear([low - room, high + room], [HEIGHT - FOOT, 10]);
  // Clear of the line: it falls away to the right, or rises from the left.
  const aside = wear.falls ? 8 : -8;
  const clip = (value: number) => Math.min(HEIGHT - FOOT, Math.max(4, y(value)));
  const line = wear.line.map(({ hours, value }) => `${x(hours)},${clip(value)}`).join(' ');
  const band = [
    ...wear.line.map(({ hours, high: top }) => `${x(hours)},${clip(top)}`),
    ...[...wear.line].reverse().map(({ hours, low: bottom }) => `${x(hours)},${clip(bottom)}`),
  ].join(' ');
  return (
    <Figure>
      <figcaption>
        <Stamp state={wear.verdict} /> {wear.why}
      </figcaption>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`${wear.title} against ${wear.along === 'h' ? 'hours' : wear.along}, limit ${wear.limit} ${wear.unit}. ${wear.why}`}
        fontSize="13"
        fill="var(--ink)"
      >
        {band && <polygon points={band} fill="var(--hatch)" opacity="0.28" />}
        {line && <polyline points={line} fill="none" stroke="var(--ink)" strokeWidth="1.5" strokeDasharray="6 4" />}
        <line x1={LEFT} x2={WIDTH - 10} y1={y(limit)} y2={y(limit)} stroke="var(--clay)" strokeWidth="2" />
        <text x={LEFT + 6} y={y(limit) - 5} fill="var(--clay)">
          limit {wear.limit} {wear.unit}
        </text>
        <line x1={LEFT} x2={WIDTH - 10} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT} stroke="var(--line)" />
        {x.ticks(5).map((hours) => (
          <g key={hours}>
            <line x1={x(hours)} x2={x(hours)} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT + 6} stroke="var(--line)" />
            <text x={x(hours)} y={HEIGHT - 8} textAnchor="middle">
              {count(hours)} {wear.along}
            </text>
          </g>
        ))}
        {points.map(({ hours, value }, index) => (
          <g key={`${hours} ${value}`}>
            <circle cx={x(hours)} cy={y(value)} r="5" fill="var(--sheet)" stroke="var(--ink)" strokeWidth="2" />
            {(index === 0 || index === points.length - 1) && (
              <text
                x={x(hours) + (index === 0 ? 0 : aside)}
                y={y(value) + (index === 0 && !wear.falls ? 22 : -10)}
                textAnchor={index === 0 || wear.falls ? 'start' : 'end'}
              >
                {count(value)} {wear.unit}
              </text>
            )}
          </g>
        ))}
      </svg>
      <Behind>
        <summary>The numbers behind it</summary>
        <table>
          <thead>
            <tr>
              <th>Measured</th>
              <th>At</th>
              <th>{wear.unit}</th>
            </tr>
          </thead>
          <tbody>
            {wear.points.map((point) => (
              <tr key={point.id}>
                <td>{instant(point.at, true)}</td>
                <td>
                  {count(Number(point.hours))} {wear.along}
                </td>
                <td>{point.value}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Behind>
    </Figure>
  );
}
