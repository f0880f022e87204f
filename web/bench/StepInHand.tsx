import { useEffect, useRef, useState } from 'react';
import styled from 'styled-components';
import type { Schemas } from '../api/client';
import { longDay, metered, today, within } from '../kit/format';
import { MainPress, Press, Presses, PressRow, Question } from '../kit/Hands';
import { Caution, Soft } from '../kit/Sheet';
import { Tick } from '../kit/Tick';
import { endOf, isReady, type Progress, type StepState, stateOf } from '../offline/job';
import { type NameOf, of } from '../offline/states';
import { AddedStep } from './asks/AddedStep';
import { ComparedStep } from './asks/ComparedStep';
import { FittedStep } from './asks/FittedStep';
import { GreasedStep } from './asks/GreasedStep';
import { JudgedStep } from './asks/JudgedStep';
import { LevelStep } from './asks/LevelStep';
import { MeasuredStep } from './asks/MeasuredStep';
import { PourStep } from './asks/PourStep';
import { RanOutStep } from './asks/RanOutStep';
import { TightenedStep } from './asks/TightenedStep';
import { TopUpStep } from './asks/TopUpStep';
import { SpotOnPlate } from './SpotOnPlate';
import { clockOf } from './Timers';
import type { Step, Told } from './told';
import type { Said } from './useJob';
import { useSpace } from './useSpace';

const Large = styled.strong`font: 700 44px/1.1 var(--body); font-variant-numeric: tabular-nums;`;
const Facts = styled.dl`
  display: grid; grid-template-columns: auto minmax(0, 1fr); gap: 4px 14px; font-size: 17px;
  dt { color: var(--soft); } dd { font-weight: 600; }
`;
const What = styled.div<{ $beside: boolean }>`
  display: grid; gap: 14px; align-items: start; grid-template-columns: minmax(0, 1fr) ${({ $beside }) => ($beside ? '156px' : '')};
`;
const Written = styled.div`
  border: 2px solid var(--ink); background: var(--sheet); padding: 10px 16px; font: 600 18px/1.4 var(--slab);
`;
const Pieces = styled.div`border: 1px solid var(--rule); background: var(--sheet); padding: 2px 14px;`;

/** What is handed to whatever asks at a step. */
export type Asking = {
  step: Step;
  asks: NonNullable<Step['asks']>;
  told: Told[];
  job: Schemas['Job'];
  at: number;
  /** Whether what must be read and counted is. */
  ready: boolean;
  onPoured: (said: Said) => Promise<unknown>;
  onDone: (said?: Said) => void;
  onCannot: () => void;
};

type Props = Omit<Asking, 'asks' | 'ready'> & {
  progress: Progress;
  waitsFor?: Step;
  onStart: (said: Said) => void;
  onTakeBack: () => void;
};

/** One step: what, where, with what, what can hurt, and what is asked. */
export function StepInHand({ progress, waitsFor, onStart, onTakeBack, ...given }: Props) {
  const { step, told, job } = given;
  const isAtHand = isReady(progress, step.key);
  const heading = useRef<HTMLHeadingElement>(null);
  useEffect(() => {
    heading.current?.focus();
    window.scrollTo(0, 0);
  }, []);
  const [read, setRead] = useState<string[]>([]);
  const [counted, setCounted] = useState<string[]>([]);
  // Once a job; what can hurt most each time, but not twice at one step.
  const isKnown = (id: string, everyTime: boolean) =>
    told.some(
      ({ said, step: at }) => ((said.cautions as string[]) ?? []).includes(id) && (!everyTime || at === step.key),
    );
  const cautions = step.cautions.map((one) => ({ ...one, fresh: !isKnown(one.id, one.every_time) }));
  const unread = cautions.filter(({ id, fresh }) => fresh && !read.includes(id));
  const ready = unread.length === 0 && step.pieces.every((piece) => counted.includes(piece));
  const acknowledged = read.length > 0 ? { cautions: read } : {};
  const withRead = (said: Said = {}) => given.onDone({ ...said, ...acknowledged });
  return (
    <>
      <Question style={{ flex: step.asks && isAtHand ? 'none' : 1 }}>
        <h2 ref={heading} tabIndex={-1}>
          {step.title}
        </h2>
        <What $beside={step.asks !== null && step.spot !== null}>
          <p>{step.says}</p>
          {step.asks !== null && step.spot && (
            <SpotOnPlate of={job.class as Schemas['MachineClass']} spot={step.spot} small />
          )}
        </What>
        {step.act === 'label' && <WhatToWrite job={job} />}
        <Tools step={step} lacking={job.lacking.find(({ step: key }) => key === step.key)?.number} />
        {step.asks === null && step.spot && <SpotOnPlate of={job.class as Schemas['MachineClass']} spot={step.spot} />}
        {step.pieces.length > 0 && (
          <Pieces>
            {step.pieces.map((piece) => (
              <Tick
                key={piece}
                checked={counted.includes(piece)}
                onChange={(on) => setCounted(on ? [...counted, piece] : counted.filter((one) => one !== piece))}
              >
                {piece}
              </Tick>
            ))}
          </Pieces>
        )}
        {isAtHand &&
          cautions.map(({ id, says, fresh }) =>
            fresh ? (
              <Caution as="div" key={id}>
                <Tick
                  checked={read.includes(id)}
                  onChange={(on) => setRead(on ? [...read, id] : read.filter((one) => one !== id))}
                >
                  {says}
                </Tick>
              </Caution>
            ) : (
              <Caution key={id}>{says}</Caution>
            ),
          )}
      </Question>
      {!isAtHand ? (
        <NotNow state={stateOf(progress, step.key)} waitsFor={waitsFor} onTakeBack={onTakeBack} />
      ) : (
        <Asked {...given} ready={ready} onDone={withRead} progress={progress} onStart={() => onStart(acknowledged)} />
      )}
    </>
  );
}

/** What is written on a new filter, before it is fitted. */
function WhatToWrite({ job }: { job: Schemas['Job'] }) {
  const [meter] = job.meters;
  return (
    <Written>
      {job.machine} · {longDay(today())}
      {meter && ` · ${metered(meter.value, meter.unit)}`}
    </Written>
  );
}

function Tools({ step, lacking }: { step: Step; lacking?: string }) {
  const facts: [string, string][] = [
    ['Tool', step.tool],
    ['Part', step.part?.number ?? ''],
    ['Way round', step.part?.orientation ?? ''],
    ...renewed(step.renewed),
    ['Torque', step.torque?.target ?? ''],
    ['For', step.names.length > 1 ? step.names.join(', ') : ''],
  ];
  const known = facts.filter(([, value]) => value !== '');
  return (
    <>
      {known.length > 0 && (
        <Facts>
          {known.map(([name, value]) => (
            <div key={name} style={{ display: 'contents' }}>
              <dt>{name}</dt>
              <dd>{value}</dd>
            </div>
          ))}
        </Facts>
      )}
      {lacking && (
        <Caution>
          By the book the shelf has no {lacking} any more: another machine has had it. Look before anything is opened.
        </Caution>
      )}
    </>
  );
}

/** Whether a new one goes on, and how often the old one was used again. */
function renewed(of: Step['renewed']): [string, string][] {
  if (!of) return [];
  const which = of.usually_reused ? 'the old one if it is sound' : 'new';
  const times = of.times_reused;
  const before = times === 0 ? '' : `; the old one was used again ${times === 1 ? 'once' : `${times} times`}`;
  return [of.what === 'seal' ? ['Seal', `${of.number}, ${which}${before}`] : ['Plug', `${which}${before}`]];
}

/** What is said of a step that hands cannot be at, and how it comes back into hand. */
const NOT_NOW: Record<NameOf<StepState>, { says: string; back?: string }> = {
  done: { says: 'Done.', back: 'Not done after all' },
  failed: { says: 'It could not be done.', back: 'It can be done now' },
  barred: { says: 'It cannot be done: something that it needs could not be.' },
  spared: { says: 'It is not called for.' },
  waiting: { says: 'Not yet.' },
  ready: { says: '' },
};

function NotNow({ state, waitsFor, onTakeBack }: { state: StepState; waitsFor?: Step; onTakeBack: () => void }) {
  const { says, back } = of(state, NOT_NOW);
  return (
    <Presses>
      <p role="status">{waitsFor ? `Not yet. First: ${within(waitsFor.title)}.` : says}</p>
      {back && (
        <PressRow>
          <Press onPress={onTakeBack}>{back}</Press>
        </PressRow>
      )}
    </Presses>
  );
}

type AskedProps = Omit<Asking, 'asks'> & { progress: Progress; onStart: () => void };

function Asked({ progress, onStart, ...asking }: AskedProps) {
  const { step } = asking;
  if (step.takes_its_time || !step.attended)
    return <TimedStep {...asking} end={endOf(step, progress)} onStart={onStart} />;
  if (step.act === 'compare') return <ComparedStep {...asking} />;
  if (step.asks === null) return <PlainStep {...asking} />;
  const asks = { ...asking, asks: step.asks };
  switch (step.asks.kind) {
    case 'pour':
    case 'prefill':
      return <PourStep {...asks} />;
    case 'added':
      return <AddedStep {...asks} />;
    case 'top_up':
      return <TopUpStep {...asks} />;
    case 'level':
      return <LevelStep {...asks} />;
    case 'ran_out':
      return <RanOutStep {...asks} />;
    case 'measured':
      return <MeasuredStep {...asks} />;
    case 'judged':
      return <JudgedStep {...asks} />;
    case 'fitted':
      return <FittedStep {...asks} />;
    case 'tightened':
      return <TightenedStep {...asks} />;
    case 'greased':
      return <GreasedStep {...asks} />;
  }
}

/** Nothing but done. */
function PlainStep({ step, ready, onDone, onCannot }: Omit<Asking, 'asks'>) {
  useSpace(ready ? () => onDone() : undefined);
  return (
    <Presses>
      <MainPress isDisabled={!ready} onPress={() => onDone()}>
        {ready ? 'Done' : step.pieces.length > 0 ? 'Count and read first' : 'Read what can hurt first'}
      </MainPress>
      <PressRow>
        <Press onPress={onCannot}>Cannot do this</Press>
      </PressRow>
    </Presses>
  );
}

/** Something that is started, takes its minutes, and is over. */
function TimedStep({
  step,
  at,
  ready,
  end,
  onStart,
  onDone,
  onCannot,
}: Omit<Asking, 'asks'> & { end: number | null; onStart: () => void }) {
  const over = end !== null && end <= at;
  const early = step.act === 'warm' || step.act === 'drain';
  const main = end === null ? onStart : () => onDone();
  const may = ready && (end === null || over);
  useSpace(may ? main : undefined);
  return (
    <>
      {end !== null && (
        <Question style={{ flex: 1, paddingTop: 0 }}>
          <Large role="timer">{over ? 'over' : clockOf(end - at)}</Large>
          {!over && <Soft>It goes on by itself. Other work meanwhile: “All steps” shows what can be done.</Soft>}
        </Question>
      )}
      <Presses>
        <MainPress isDisabled={!may} onPress={main}>
          {end === null
            ? ready
              ? `Start, ${step.minutes} min`
              : 'Read what can hurt first'
            : over
              ? 'Done, it stands'
              : 'Not over yet'}
        </MainPress>
        <PressRow>
          {early && !over && (
            <Press onPress={() => onDone()}>{step.act === 'warm' ? 'It is warm already' : 'Long enough'}</Press>
          )}
          <Press onPress={onCannot}>Cannot do this</Press>
        </PressRow>
      </Presses>
    </>
  );
}
