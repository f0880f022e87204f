import { useRef } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { clockTime } from '../kit/format';
import { useWidth } from '../kit/useWidth';
import { isDone, isLeftOut, isReady, type Progress } from '../offline/job';
import type { Step, Told } from './told';

const Frame = styled.div`padding: 12px 20px 6px; svg { display: block; width: 100%; height: 132px; overflow: visible; }`;

const MINUTE = 60_000;
const EVERY = [5, 10, 15, 20, 30, 60, 120] as const;

type Props = { job: Schemas['Job']; told: Told[]; progress: Progress; at: number };

/** The job as a line in time: solid where hands are needed, hatched where it waits by itself, dashed ahead, a notch for now. */
export function JobRail({ job, told, progress, at }: Props) {
  const frame = useRef<HTMLDivElement>(null);
  const wide = Math.max(280, useWidth(frame) - 1);
  const begun = told.length > 0;
  const shifted = begun ? shiftOf(job.steps, told, progress, at) : 0;
  const last = Math.max(job.minutes, ...job.steps.map(({ begins, minutes }) => begins + minutes)) + shifted;
  const x = (minute: number) => (minute * wide) / Math.max(1, last);
  const start = begun ? Date.parse(told[0]?.at ?? '') : 0;
  const every = EVERY.find((one) => last / one <= wide / 90) ?? 240;
  const marks = Array.from({ length: Math.floor(last / every) + 1 }, (_, index) => index * every);
  const nowAt = begun ? Math.min(last, Math.max(0, (at - start) / MINUTE)) : 0;
  return (
    <Frame ref={frame}>
      <svg aria-hidden="true" style={{ font: '500 14px var(--body)' }}>
        <defs>
          <pattern id="waits" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="8" height="8" fill="var(--sheet)" />
            <rect width="3" height="8" fill="var(--straw)" />
          </pattern>
        </defs>
        {marks.map((minute) => (
          <g key={minute}>
            <line x1={x(minute)} x2={x(minute)} y1={22} y2={110} stroke="var(--rule)" />
            <text x={x(minute)} y={14} fill="var(--soft)" textAnchor={minute === 0 ? 'start' : 'middle'}>
              {begun ? clockTime(start + minute * MINUTE) : minute === 0 ? 'start' : `${minute} min`}
            </text>
          </g>
        ))}
        {job.steps.map((step) => {
          const by = told.find((one) => one.step === step.key && one.did === 'done');
          const end = by ? Math.max(0, (Date.parse(by.at) - start) / MINUTE) : null;
          const begins = end !== null ? Math.max(0, end - step.minutes) : Math.max(nowAt, step.begins + shifted);
          const ends = end ?? begins + step.minutes;
          const did = isDone(progress, step.key);
          return isLeftOut(progress, step.key) ? null : (
            <rect
              key={step.key}
              x={x(begins)}
              width={Math.max(1.5, x(ends) - x(begins) - 1)}
              y={step.attended ? 38 : 76}
              height={30}
              fill={step.attended ? (did ? 'var(--ink)' : 'var(--rule)') : 'url(#waits)'}
              stroke={did ? 'none' : 'var(--line)'}
              strokeDasharray={did ? undefined : '3 3'}
            >
              <title>{step.title}</title>
            </rect>
          );
        })}
        <line x1={0} x2={wide} y1={69} y2={69} stroke="var(--ink)" strokeWidth="2" />
        <text x={0} y={128} fill="var(--soft)">
          above your hands, below it waits by itself; dashed is still to come
        </text>
        {begun && !job.signed_off && (
          <g>
            <line x1={x(nowAt)} x2={x(nowAt)} y1={24} y2={118} stroke="var(--clay)" strokeWidth="2" />
            <path d={`M ${x(nowAt) - 8} 20 L ${x(nowAt) + 8} 20 L ${x(nowAt)} 34 Z`} fill="var(--ink)" />
          </g>
        )}
      </svg>
    </Frame>
  );
}

/** By how many minutes what is still to come begins later than planned. */
function shiftOf(steps: Step[], told: Told[], progress: Progress, at: number): number {
  const start = Date.parse(told[0]?.at ?? '');
  const next = steps.find(({ key }) => isReady(progress, key));
  return next ? (at - start) / MINUTE - next.begins : 0;
}
