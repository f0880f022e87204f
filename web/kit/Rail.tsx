import { type KeyboardEvent, useId, useRef, useState } from 'react';
import { Button, Dialog, DialogTrigger, Popover } from 'react-aria-components';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { QuietButton } from './Button';
import { count, dayAndMonth, daySpan, longDay, metered } from './format';
import { GAP, type PlacedStake, placeStakes, type RailScale, railScale, ticks } from './railLayout';
import { stateColour } from './Stamp';
import { useWidth } from './useWidth';
import { KIND_WORDS, STATE_WORDS } from './words';

const HEIGHT = 98;
const GROUND = 68;
const ROW_TOPS = [13, 37] as const;
const ALONE_TOP = 56;

const topOf = (place: PlacedStake): number => (place.row === null ? ALONE_TOP : ROW_TOPS[place.row]);

const Frame = styled.div`position: relative; height: ${HEIGHT}px; min-width: 0; user-select: none;`;
const Drawing = styled.svg`position: absolute; inset: 0; width: 100%; height: 100%; overflow: visible; pointer-events: none;`;
const StakeButton = styled(Button)`
  position: absolute; padding: 0 2px 0 4px; margin: 0; border: 0; background: none; cursor: pointer; text-align: left; font-size: 14.5px; line-height: 22px; white-space: nowrap;
  overflow: hidden; text-overflow: ellipsis; color: var(--stake);
  &[data-leftward='true'] { text-align: right; padding: 0 4px 0 2px; }
  &[data-hovered] { text-decoration: underline; text-underline-offset: 3px; }
  &:focus-visible { overflow: visible; z-index: 2; background: var(--sheet); }
  &::before { content: ''; position: absolute; inset: -6px 0; }
`;
const NowButton = styled(Button)`
  position: absolute; top: ${GROUND - 20}px; width: 28px; height: 34px; transform: translateX(-50%); border: 0; padding: 0; background: none; cursor: pointer; z-index: 1;
  &::before { content: ''; position: absolute; inset: -7px -10px; }
`;
const Plate = styled.div`
  position: absolute; left: 0; right: 0; top: 8px; height: 40px; display: flex; align-items: center; padding: 0 14px; overflow: hidden;
  background: repeating-linear-gradient(-45deg, var(--plate) 0 10px, var(--plate-hatch) 10px 16px);
  span { background: var(--plate); color: var(--on-plate); padding: 5px 10px; font-size: 14.5px; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; }
`;
const Leaf = styled(Popover)`background: var(--sheet); border: 2px solid var(--ink); border-radius: 3px; max-width: min(380px, 92vw);`;
const LeafInside = styled(Dialog)`
  padding: 12px 16px 8px; outline: none; font-size: 15px; display: flex; flex-direction: column; gap: 8px;
  h3 { font-size: 17px; } li { padding: 3px 0; border-top: 1px solid var(--rule); }
`;

type RailProps = {
  name: string;
  rail: Schemas['Rail'];
  stoodDown?: Schemas['YardLine']['stood_down'];
  onLogHours?: () => void;
  onRecord?: (ruleIds: number[]) => void;
};

/** A machine's ruler: what has been run in ink, now a notch, ahead a stake for every point. */
export function Rail({ name, rail, stoodDown, onLogHours, onRecord }: RailProps) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const [current, setCurrent] = useState(0);
  const pattern = useId();
  const scale = railScale(rail, Math.max(width, 1));
  const words = (stake: Schemas['Stake']) => [stake.label, stakeDay(stake, rail)].filter(Boolean).join(', ');
  const placed = width === 0 || stoodDown ? [] : placeStakes(rail.stakes, scale, words);
  const nowX = scale.toX(scale.now);
  const walk = (event: KeyboardEvent) => {
    const step = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    const buttons = [...(frame.current?.querySelectorAll<HTMLElement>('[data-stake]') ?? [])];
    if (!step || buttons.length === 0 || !(event.target as HTMLElement).matches('[data-stake]')) return;
    event.preventDefault();
    const next = Math.min(buttons.length - 1, Math.max(0, buttons.indexOf(event.target as HTMLElement) + step));
    setCurrent(next);
    buttons[next]?.focus();
  };
  return (
    <Frame ref={frame} role="group" aria-label={spoken(name, rail)} onKeyDown={walk}>
      <Drawing aria-hidden="true">
        <defs>
          <pattern id={pattern} width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="2" height="5" fill="var(--hatch)" />
          </pattern>
        </defs>
        {rail.unit !== 'day' &&
          ticks(scale).map(({ x, value, labelled }) => (
            <g key={value} opacity={x <= nowX ? 1 : 0.6}>
              <line x1={x} x2={x} y1={GROUND} y2={GROUND + (labelled ? 11 : 5)} stroke="var(--ink)" strokeWidth={labelled ? 1.6 : 0.8} />
              {labelled && x > 12 && x < width - 14 && (
                <text x={x} y={GROUND + 25} fontSize="12.5" fill="var(--soft)" textAnchor="middle">
                  {count(value)}
                </text>
              )}
            </g>
          ))}
        <line x1="0" x2={nowX} y1={GROUND} y2={GROUND} stroke="var(--ink)" strokeWidth="4" />
        <line x1={nowX} x2="100%" y1={GROUND} y2={GROUND} stroke="var(--ink)" strokeWidth="1.2" />
        {placed.map((place) => (
          <StakeDrawing key={keyOf(place)} place={place} nowX={nowX} earlyX={scale.toX(Number(place.stake.early_from))} pattern={pattern} />
        ))}
        {placed.map((place) => (
          <Band key={keyOf(place)} place={place} scale={scale} />
        ))}
        <path d={`M${nowX - 8} ${GROUND - 13}h16l-8 12z`} fill="var(--ink)" />
      </Drawing>
      {stoodDown && (
        <Plate>
          <span>{stoodDown.because}</span>
        </Plate>
      )}
      {placed.map((place, index) => (
        <DialogTrigger key={keyOf(place)}>
          <StakeButton
            data-stake
            data-leftward={place.leftward}
            excludeFromTabOrder={index !== Math.min(current, placed.length - 1)}
            aria-label={`${words(place.stake)}, ${STATE_WORDS[place.stake.state]}`}
            style={{
              left: place.leftward ? place.x - place.room - GAP : place.room ? place.x + GAP : place.x - 7,
              top: topOf(place) - 3,
              width: place.room || 14,
              height: place.room ? 24 : GROUND - ALONE_TOP,
              background: place.room ? 'var(--sheet)' : undefined,
              ['--stake' as string]: stateColour(place.stake.state),
              fontWeight: place.stake.state === 'fresh' ? 450 : 650,
            }}
          >
            {place.room > 0 && (place.cut ? place.stake.label : words(place.stake))}
          </StakeButton>
          <Leaf>
            <LeafInside aria-label={words(place.stake)}>
              {({ close }) => (
                <>
                  <h3>{stakeTitle(place.stake, rail)}</h3>
                  {place.stake.when && place.stake.when.p10 !== place.stake.when.p90 && (
                    <p>
                      Eight times in ten between {dayAndMonth(place.stake.when.p10)} and {longDay(place.stake.when.p90)}.
                    </p>
                  )}
                  <ul>
                    {place.stake.tasks.map((task) => (
                      <li key={task.rule_id}>
                        {task.task}, {KIND_WORDS[task.kind]}
                      </li>
                    ))}
                  </ul>
                  {onRecord && (
                    <QuietButton
                      onPress={() => {
                        close();
                        onRecord(place.stake.tasks.flatMap((task) => task.rule_id ?? []));
                      }}
                    >
                      Record it done
                    </QuietButton>
                  )}
                </>
              )}
            </LeafInside>
          </Leaf>
        </DialogTrigger>
      ))}
      {onLogHours && width > 0 && rail.unit !== 'day' && (
        <NowButton style={{ left: nowX }} aria-label={`Log hours for ${name}, now ${metered(rail.now, rail.unit)}`} onPress={onLogHours} />
      )}
    </Frame>
  );
}

function StakeDrawing({ place, nowX, earlyX, pattern }: { place: PlacedStake; nowX: number; earlyX: number; pattern: string }) {
  const { stake, x, before } = place;
  const colour = stateColour(stake.state);
  const thickness = stake.again ? 1.4 : stake.weight > 3 ? 4.5 : stake.weight > 1 ? 3.4 : 2.4;
  return (
    <g>
      {!stake.by_date && !stake.again && earlyX < x && x > nowX && (
        <rect x={Math.max(0, earlyX)} y={GROUND - 9} width={x - Math.max(0, earlyX)} height="9" fill={`url(#${pattern})`} />
      )}
      {x < nowX && stake.state !== 'fresh' && <rect x={x} y={GROUND - 6} width={nowX - x} height="6" fill={colour} />}
      <line x1={x} x2={x} y1={GROUND} y2={topOf(place)} stroke={colour} strokeWidth={thickness} strokeDasharray={stake.by_date ? '4 3' : undefined} />
      {before && <path d={`M${x + 9} ${GROUND - 12}l-8 5 8 5z`} fill={colour} />}
    </g>
  );
}

/** The likely days laid under the ruler: from where it will stand on the first of them to where on the last. */
function Band({ place, scale }: { place: PlacedStake; scale: RailScale }) {
  const { band } = place.stake;
  if (!band || place.row === null) return null;
  const from = Math.max(scale.toX(scale.now), scale.toX(Number(band[0])));
  const to = Math.min(scale.width, scale.toX(Number(band[1])));
  const y = GROUND + 4 + place.row * 4;
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

const keyOf = ({ stake }: PlacedStake): string => `${stake.at} ${stake.by_date} ${stake.tasks.map((task) => task.rule_id).join()}`;

function stakeDay(stake: Schemas['Stake'], rail: Schemas['Rail']): string {
  if (!stake.when || stake.state === 'past') return '';
  return stake.by_date || rail.unit === 'day' || stake.again ? dayAndMonth(stake.when.p50) : daySpan(stake.when.p10, stake.when.p90);
}

function stakeTitle(stake: Schemas['Stake'], rail: Schemas['Rail']): string {
  const at = stake.by_date || rail.unit === 'day' ? 'By date' : `At ${metered(stake.at, rail.unit)}`;
  const day = stake.when && stake.state !== 'past' ? dayAndMonth(stake.when.p50) : '';
  return day ? `${at}, ${stake.when?.p10 === stake.when?.p90 ? '' : 'about '}${day}` : at;
}

function spoken(name: string, rail: Schemas['Rail']): string {
  const next = rail.stakes[0];
  const now = rail.unit === 'day' ? name : `${name} stands at ${metered(rail.now, rail.unit)}`;
  return next ? `${now}. First point: ${next.label}, ${STATE_WORDS[next.state]}.` : `${now}. No point in sight.`;
}
