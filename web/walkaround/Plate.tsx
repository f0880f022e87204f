import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { within } from '../kit/format';
import { PLATES, type Stroke } from './plates';

type Point = Schemas['Grease']['points'][number];

const Frame = styled.figure`
  position: relative; width: 100%; aspect-ratio: 200 / 116; background: var(--sheet); border: 1px solid var(--rule);
  svg { position: absolute; inset: 0; width: 100%; height: 100%; }
  svg * { vector-effect: non-scaling-stroke; }
`;
const Spot = styled.button<{ $look: 'done' | 'due' | 'never' | 'fresh' | 'over'; $here: boolean; $job: boolean }>`
  position: absolute; transform: translate(-50%, -50%); width: 34px; height: 34px; border-radius: 50%; display: grid;
  place-items: center; cursor: pointer; font-size: 15px; font-weight: 700; padding: 0; line-height: 1;
  border: 2.5px ${({ $job }) => ($job ? 'dashed' : 'solid')}
  ${({ $look }) => ($look === 'over' ? 'var(--clay)' : $look === 'due' ? 'var(--clay)' : 'var(--ink)')};
  background: ${({ $look }) => ($look === 'done' ? 'var(--ink)' : 'var(--sheet)')};
  color: ${({ $look }) => ($look === 'done' ? 'var(--paper)' : 'var(--ink)')};
  ${({ $look }) => $look === 'never' && 'background: repeating-linear-gradient(-45deg, var(--sheet) 0 4px, var(--hatch) 4px 6px);'}
  ${({ $here }) => $here && 'outline: 4px solid var(--hedge); outline-offset: 2px; z-index: 2;'}
  &::after { content: ''; position: absolute; inset: -7px; border-radius: 50%; }
`;
const Nose = styled.figcaption`
  position: absolute; left: 0; bottom: 0; font-size: 13px; color: var(--soft); background: var(--sheet);
  padding: 2px 7px;
`;

type Props = {
  of: Schemas['MachineClass'];
  points: Point[];
  done?: (point: Point) => boolean;
  here?: number | null;
  onPress: (point: Point) => void;
};

/** The machine from above with its grease points, in walking order; the list beside it is the same for those who prefer lists. */
export function Plate({ of, points, done, here, onPress }: Props) {
  return (
    <Frame>
      <svg viewBox="0 0 200 116" aria-hidden="true" fill="none" stroke="var(--line)" strokeWidth="2">
        {PLATES[of].map((stroke, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a drawing's strokes never change places
          <Drawn key={index} stroke={stroke} />
        ))}
      </svg>
      {points.map((point, index) => {
        const look = lookOf(point, done?.(point) ?? false);
        return (
          <Spot
            key={point.id}
            type="button"
            style={{ left: `${point.x}%`, top: `${point.y}%` }}
            $look={look}
            $here={here === point.id}
            $job={point.with !== null}
            aria-label={`${index + 1}, ${point.name}: ${WORDS[look]}${point.with ? `, with ${within(point.with)}` : ''}`}
            aria-current={here === point.id ? 'step' : undefined}
            onClick={() => onPress(point)}
          >
            {index + 1}
          </Spot>
        );
      })}
      <Nose>front</Nose>
    </Frame>
  );
}

const WORDS = { done: 'greased', due: 'due', never: 'never recorded', fresh: 'fresh', over: 'too much grease' };

function lookOf(point: Point, done: boolean): keyof typeof WORDS {
  if (done) return 'done';
  if (point.over_greased) return 'over';
  if (point.state === 'unknown') return 'never';
  return point.due ? 'due' : 'fresh';
}

const X = 2;
const Y = 1.16;

function Drawn({ stroke }: { stroke: Stroke }) {
  switch (stroke[0]) {
    case 'l':
      return <line x1={stroke[1] * X} y1={stroke[2] * Y} x2={stroke[3] * X} y2={stroke[4] * Y} />;
    case 'c':
      return <circle cx={stroke[1] * X} cy={stroke[2] * Y} r={stroke[3] * 1.4} />;
    case 'w':
      return (
        <rect
          x={stroke[1] * X}
          y={stroke[2] * Y}
          width={stroke[3] * X}
          height={stroke[4] * Y}
          rx="3"
          fill="var(--rule)"
        />
      );
    case 'r':
      return (
        <rect
          x={stroke[1] * X}
          y={stroke[2] * Y}
          width={stroke[3] * X}
          height={stroke[4] * Y}
          rx={stroke[5] ?? 0}
          fill="var(--paper)"
        />
      );
  }
}
