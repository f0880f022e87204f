import { type KeyboardEvent, useId, useRef, useState } from 'react';
import { Button, DialogTrigger } from 'react-aria-components';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { count, metered } from '../kit/format';
import { useWidth } from '../kit/useWidth';
import { hardest, isFine } from '../offline/states';
import {
  type PlacedStake,
  placeStakes,
  type RailMark,
  type RailMeasure,
  type RailScale,
  railMeasure,
  railScale,
  ticks,
} from './railLayout';
import { StakeLeaf } from './StakeLeaf';
import { inkOf } from './Stamp';
import { spokenMark, spokenRail, stakeWords } from './stakeWords';

const Frame = styled.div`position: relative; min-width: 0; user-select: none;`;
const Drawing = styled.svg`
  position: absolute; inset: 0; width: 100%; height: 100%; overflow: visible; pointer-events: none;
`;
const StakeButton = styled(Button)`
  position: absolute; padding: 0 2px 0 4px; margin: 0; border: 0; background: none; cursor: pointer; text-align: left;
  font-size: 14.5px; line-height: 22px; white-space: nowrap;
  overflow: hidden; text-overflow: ellipsis; color: var(--stake); display: flex; align-items: flex-start;
  span { overflow: hidden; text-overflow: ellipsis; background: var(--sheet); }
  &[data-leftward='true'] { justify-content: flex-end; padding: 0 4px 0 2px; }
  &[data-several='true'] { justify-content: center; padding: 0; span { border-bottom: 2px solid var(--stake); line-height: 17px; padding: 0 3px; } }
  &[data-hovered] { text-decoration: underline; text-underline-offset: 3px; }
  &:focus-visible { overflow: visible; z-index: 2; span { overflow: visible; } }
`;
const NowButton = styled(Button)`
  position: absolute; width: 28px; height: 28px; transform: translateX(-50%); border: 0; padding: 0; background: none;
  cursor: pointer;
`;
const Plate = styled.div`
  position: absolute; left: 0; right: 0; top: 8px; height: 40px; display: flex; align-items: center; padding: 0 14px;
  overflow: hidden;
  background: repeating-linear-gradient(-45deg, var(--plate) 0 10px, var(--plate-hatch) 10px 16px);
  span { background: var(--plate); color: var(--on-plate); padding: 5px 10px; font-size: 14.5px; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
`;

type RailProps = {
  name: string;
  rail: Schemas['Rail'];
  stoodDown?: Schemas['YardLine']['stood_down'];
  onLogHours?: () => void;
  onRecord?: (ruleIds: number[]) => void;
  onLead?: (ruleIds: number[]) => void;
};

/** A machine's ruler: what has been run in ink, now a notch, ahead a stake for every point. Stakes that would crowd each other share one mark. */
export function Rail({ name, rail, stoodDown, onLogHours, onRecord, onLead }: RailProps) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const [current, setCurrent] = useState(0);
  const pattern = useId();
  const measure = railMeasure(width);
  const { ground } = measure;
  const scale = railScale(rail, width);
  const marks =
    width === 0 || stoodDown ? [] : placeStakes(rail.stakes, scale, measure, (stake) => stakeWords(stake, rail));
  const nowX = scale.toX(scale.now);
  const walk = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    const buttons = [...(frame.current?.querySelectorAll<HTMLElement>('[data-stakes]') ?? [])];
    if (!step || buttons.length === 0 || !(event.target as HTMLElement).matches('[data-stakes]')) return;
    event.preventDefault();
    const next = Math.min(buttons.length - 1, Math.max(0, buttons.indexOf(event.target as HTMLElement) + step));
    setCurrent(next);
    buttons[next]?.focus();
  };
  return (
    <Frame
      ref={frame}
      role="group"
      aria-label={spokenRail(name, rail)}
      onKeyDown={walk}
      style={{ height: measure.height }}
    >
      {width > 0 && (
        <Drawing aria-hidden="true">
          <defs>
            <pattern id={pattern} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="2" height="5" fill="var(--hatch)" />
            </pattern>
          </defs>
          {rail.unit !== 'day' &&
            ticks(scale).map(({ x, value, labelled }) => (
              <g key={value} opacity={x <= nowX ? 1 : 0.6}>
                <line
                  x1={x}
                  x2={x}
                  y1={ground}
                  y2={ground + (labelled ? 11 : 5)}
                  stroke="var(--ink)"
                  strokeWidth={labelled ? 1.6 : 0.8}
                />
                {labelled && x > 12 && x < width - 14 && (
                  <text x={x} y={ground + 25} fontSize="12.5" fill="var(--soft)" textAnchor="middle">
                    {count(value)}
                  </text>
                )}
              </g>
            ))}
          <line x1="0" x2={nowX} y1={ground} y2={ground} stroke="var(--ink)" strokeWidth="4" />
          <line x1={nowX} x2="100%" y1={ground} y2={ground} stroke="var(--ink)" strokeWidth="1.2" />
          {marks.flatMap((mark) =>
            mark.stakes.map((place) => (
              <StakeDrawing
                key={keyOf(place)}
                place={place}
                top={lineTop(mark, measure)}
                ground={ground}
                nowX={nowX}
                earlyX={scale.toX(Number(place.stake.early_from))}
                pattern={pattern}
              />
            )),
          )}
          {marks.map((mark) => (
            <Band key={markKey(mark)} mark={mark} scale={scale} ground={ground} />
          ))}
          <path d={`M${nowX - 8} ${ground + 14}h16l-8 -12z`} fill="var(--ink)" />
        </Drawing>
      )}
      {stoodDown && (
        <Plate>
          <span>{stoodDown.because}</span>
        </Plate>
      )}
      {marks.map((mark, index) => {
        const isFresh = mark.stakes.every(({ stake }) => isFine(stake.state));
        const state = hardest(mark.stakes.map(({ stake }) => stake.state));
        return (
          <DialogTrigger key={markKey(mark)}>
            <StakeButton
              data-stakes={mark.stakes.length}
              data-several={mark.stakes.length > 1}
              data-leftward={mark.leftward}
              excludeFromTabOrder={index !== Math.min(current, marks.length - 1)}
              aria-label={spokenMark(mark, rail)}
              style={{
                left: mark.left,
                top: topOf(mark, measure),
                width: mark.width,
                height: mark.row === null ? ground - measure.bareRow : measure.target,
                ['--stake' as string]: state && inkOf(state),
                fontWeight: isFresh ? 450 : 650,
              }}
            >
              {mark.text && <span>{mark.text}</span>}
            </StakeButton>
            <StakeLeaf mark={mark} rail={rail} onRecord={onRecord} onLead={onLead} />
          </DialogTrigger>
        );
      })}
      {onLogHours && width > 0 && rail.unit !== 'day' && measure.target < 48 && (
        <NowButton
          style={{ left: nowX, top: ground }}
          aria-label={`Log hours for ${name}, now ${metered(rail.now, rail.unit)}`}
          onPress={onLogHours}
        />
      )}
    </Frame>
  );
}

type StakeDrawingProps = {
  place: PlacedStake;
  top: number;
  ground: number;
  nowX: number;
  earlyX: number;
  pattern: string;
};

function StakeDrawing({ place: { stake, x, before }, top, ground, nowX, earlyX, pattern }: StakeDrawingProps) {
  const colour = inkOf(stake.state);
  const thickness = stake.again ? 1.4 : stake.weight > 3 ? 4.5 : stake.weight > 1 ? 3.4 : 2.4;
  return (
    <g>
      {!stake.by_date && !stake.again && earlyX < x && x > nowX && (
        <rect
          x={Math.max(0, earlyX)}
          y={ground - 9}
          width={x - Math.max(0, earlyX)}
          height="9"
          fill={`url(#${pattern})`}
        />
      )}
      {x < nowX && !isFine(stake.state) && <rect x={x} y={ground - 6} width={nowX - x} height="6" fill={colour} />}
      <line
        x1={x}
        x2={x}
        y1={ground}
        y2={top}
        stroke={colour}
        strokeWidth={thickness}
        strokeDasharray={stake.by_date ? '4 3' : undefined}
      />
      {before && <path d={`M${x + 9} ${ground - 12}l-8 5 8 5z`} fill={colour} />}
    </g>
  );
}

/** The likely days laid under the ruler: from where it will stand on the first of them to where on the last. */
function Band({ mark, scale, ground }: { mark: RailMark; scale: RailScale; ground: number }) {
  const band = mark.row === null ? null : mark.stakes[0]?.stake.band;
  if (!band || mark.row === null) return null;
  const from = Math.max(scale.toX(scale.now), scale.toX(Number(band[0])));
  const to = Math.min(scale.width, scale.toX(Number(band[1])));
  const y = ground + 4 + mark.row * 4;
  if (to - from < 3) return null;
  return (
    <path
      d={`M${from} ${y - 2}v4M${from} ${y}H${to}${to < scale.width ? 'm0 -2v4' : ''}`}
      stroke="var(--slate)"
      strokeWidth="2"
      fill="none"
      opacity="0.75"
    />
  );
}

const topOf = ({ row }: RailMark, { labelRows, bareRow }: RailMeasure): number =>
  row === null ? bareRow : (labelRows[row] ?? bareRow);

/** How high its stakes reach: beside the label, or up to what is written over them. */
function lineTop(mark: RailMark, measure: RailMeasure): number {
  if (mark.row !== null) return topOf(mark, measure) + 3;
  return mark.text === '' ? measure.ground - 14 : measure.bareRow + 19;
}

const keyOf = ({ stake }: PlacedStake): string =>
  `${stake.at} ${stake.by_date} ${stake.tasks.map((task) => task.rule_id).join()}`;

const markKey = ({ stakes }: RailMark): string => stakes.map(keyOf).join('; ');
