import styled from 'styled-components';
import type { Schemas } from '../api/client';

const HEIGHT = 58;
const BOARD = 53;
const GAP = 5;
const LARGEST = 60;

const Drawn = styled.svg`display: block; max-width: 100%; height: ${HEIGHT}px; overflow: visible;`;

type Vessel = { container: Schemas['Container']; x: number; width: number; height: number };

/** The containers of a fluid as they stand on their board, each with what is left in it. */
export function Plank({ of, name }: { of: Schemas['Container'][]; name: string }) {
  const vessels = standing(of);
  const last = vessels[vessels.length - 1];
  const width = last ? last.x + last.width + GAP : 60;
  return (
    <Drawn viewBox={`0 0 ${width} ${HEIGHT}`} width={width} role="img" aria-label={inWords(of, name)}>
      <defs>
        <pattern id="past" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <line x1="0" x2="0" y1="0" y2="6" stroke="var(--clay)" strokeWidth="2.4" />
        </pattern>
      </defs>
      {vessels.map(({ container, x, width: wide, height }) => {
        const full = Math.round((height - 2) * container.share_left);
        return (
          <g key={container.id}>
            <rect
              x={x + wide * 0.3}
              y={BOARD - height - 4}
              width={wide * 0.4}
              height={4}
              fill="none"
              stroke={container.below_nothing ? 'var(--clay)' : 'var(--ink)'}
              strokeWidth="1.5"
            />
            <rect
              x={x + 1}
              y={BOARD - 1 - full}
              width={wide - 2}
              height={full}
              fill={container.is_over ? 'url(#past)' : container.opened_on ? 'var(--straw)' : 'var(--hedge)'}
            />
            <rect
              x={x}
              y={BOARD - height}
              width={wide}
              height={height}
              fill="none"
              stroke={container.below_nothing || container.is_over ? 'var(--clay)' : 'var(--ink)'}
              strokeWidth="1.8"
              strokeDasharray={container.below_nothing ? '4 3' : undefined}
            />
          </g>
        );
      })}
      <path d={`M0 ${BOARD + 1.5}H${width}`} stroke="var(--ink)" strokeWidth="3" />
    </Drawn>
  );
}

/** The larger it is, the larger it is drawn, though never so much that the small ones are lost. */
function standing(containers: Schemas['Container'][]): Vessel[] {
  let x = GAP;
  return containers.map((container) => {
    const bulk = Math.cbrt(Math.min(container.litres, LARGEST) / LARGEST);
    const vessel = { container, x, width: Math.round(12 + bulk * 26), height: Math.round(15 + bulk * 32) };
    x += vessel.width + GAP;
    return vessel;
  });
}

const inWords = (containers: Schemas['Container'][], name: string): string =>
  containers.length === 0
    ? `No ${name} stands here`
    : containers
        .map(
          ({ size, left, opened_on: opened, is_over: over }) =>
            `${size}${opened ? `, open, ${left.display} left` : ', full'}${over ? ', past its time' : ''}`,
        )
        .join('; ');
