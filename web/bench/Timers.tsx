import styled from 'styled-components';
import { endOf, type Progress } from '../offline/job';
import type { Step } from './told';

const Strips = styled.ul`display: grid; gap: 6px; padding: 10px 0 0;`;
const Strip = styled.li`
  display: grid; grid-template-columns: minmax(0, 1fr) auto; gap: 2px 14px; align-items: baseline; padding: 7px 12px 9px;
  background: var(--sheet); border: 1px solid var(--rule); border-left: 5px solid var(--straw); font-size: 16px;
  strong { font-size: 21px; font-variant-numeric: tabular-nums; }
  i { grid-column: 1 / -1; height: 5px; background: var(--rule); overflow: hidden; }
  i::after { content: ''; display: block; height: 100%; width: var(--share); background: var(--straw); }
`;

const SECOND = 1_000;

/** `6:20`, `1:05:00`; nothing left is `0:00`. */
export function clockOf(milliseconds: number): string {
  const seconds = Math.max(0, Math.ceil(milliseconds / SECOND));
  const minutes = Math.floor(seconds / 60);
  const two = (part: number) => String(part).padStart(2, '0');
  return minutes < 60
    ? `${minutes}:${two(seconds % 60)}`
    : `${Math.floor(minutes / 60)}:${two(minutes % 60)}:${two(seconds % 60)}`;
}

/** What goes on by itself now, with how long it still takes. */
export function Timers({ running, progress, at }: { running: Step[]; progress: Progress; at: number }) {
  if (running.length === 0) return null;
  return (
    <Strips aria-label="What takes its time">
      {running.map((step) => {
        const end = endOf(step, progress) ?? at;
        const began = progress.began.get(step.key) ?? at;
        const share = end === began ? 100 : Math.min(100, ((at - began) * 100) / (end - began));
        return (
          <Strip key={step.key} style={{ '--share': `${share}%` } as React.CSSProperties}>
            <span>{step.title}</span>
            <strong>{end <= at ? 'over' : clockOf(end - at)}</strong>
            <i aria-hidden="true" />
          </Strip>
        );
      })}
    </Strips>
  );
}
