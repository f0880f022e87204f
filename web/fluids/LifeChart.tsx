import { scaleLinear } from 'd3-scale';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { count, instant } from '../kit/format';
import { Soft } from '../kit/Sheet';
import { usePhone } from '../kit/usePhone';

type Drawn = Schemas['FluidDrawn'];

const Figure = styled.figure`padding: 4px 0; svg { width: 100%; height: auto; max-height: 250px; display: block; }`;

const WIDTH = { desk: 860, phone: 390 };
const HEIGHT = 200;
const LEFT = 56;
const FOOT = 30;
const HEAD = 22;

/** What was added since the fluid was new, over the hours: a step for each pour, back to nothing at each change. */
export function LifeChart({ drawn, name }: { drawn: Drawn; name: string }) {
  const { points, changes, unit } = drawn;
  const along = [...points.map(({ hours }) => hours), ...(drawn.now === null ? [] : [drawn.now])];
  const width = usePhone() ? WIDTH.phone : WIDTH.desk;
  if (points.every(({ added }) => added === 0)) return null;
  const [from, to] = [Math.min(...along), Math.max(...along)];
  const top = Math.max(...points.map(({ added }) => added), 0.1);
  const x = scaleLinear([from, to], [LEFT, width - 20]);
  const y = scaleLinear([0, top], [HEIGHT - FOOT, HEAD]);
  const end = { hours: to, added: points[points.length - 1]?.added ?? 0 };
  const path = [...points, end]
    .map(({ hours, added }, index) =>
      index === 0 ? `M${x(hours)},${y(added)}` : `H${x(hours).toFixed(1)}V${y(added).toFixed(1)}`,
    )
    .join('');
  const last = changes[changes.length - 1];
  return (
    <Figure>
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        role="img"
        aria-label={`${name}: added since it was new, in ${unit}, over the hours. ${
          last ? `Changed ${changes.length} times, last ${instant(last.at, true)}.` : 'Never changed.'
        }`}
        fontSize="13"
        fill="var(--ink)"
      >
        <line x1={LEFT} x2={width - 10} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT} stroke="var(--line)" />
        <line x1={LEFT} x2={width - 10} y1={y(top)} y2={y(top)} stroke="var(--rule)" />
        <text x={LEFT - 6} y={y(top) + 4} textAnchor="end">
          {count(top)} {unit}
        </text>
        {x.ticks(width === WIDTH.phone ? 3 : 5).map((hours) => (
          <g key={hours}>
            <line x1={x(hours)} x2={x(hours)} y1={HEIGHT - FOOT} y2={HEIGHT - FOOT + 6} stroke="var(--line)" />
            <text x={x(hours)} y={HEIGHT - 8} textAnchor="middle">
              {count(hours)} h
            </text>
          </g>
        ))}
        {changes.map(({ hours, at }) => (
          <g key={`${hours} ${at}`}>
            <line x1={x(hours)} x2={x(hours)} y1={8} y2={HEIGHT - FOOT} stroke="var(--hedge)" strokeDasharray="2 4" />
            <path d={`M${x(hours)},4 l6,9 a6,6 0 1 1 -12,0 z`} fill="var(--hedge)" />
          </g>
        ))}
        <path d={path} fill="none" stroke="var(--ink)" strokeWidth="2" />
      </svg>
      <figcaption>
        <Soft>Added since it was new. A drop stands where it was changed.</Soft>
      </figcaption>
    </Figure>
  );
}
