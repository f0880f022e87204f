import { named, nameOf, type State } from './names';

/** What is known of a step of a job, by the names of the contract: on which others it hangs, and how long it takes. */
export type Step = {
  key: string;
  minutes: number;
  takes_its_time: boolean;
  after: string[];
  needs: string[];
  shut: string[];
  only_if: string[];
};

/** What somebody told of a step, and when. */
export type Told = { step: string; did: string; at: string };

export type StepState = State<Name>;

type Name = 'done' | 'failed' | 'barred' | 'spared' | 'ready' | 'waiting';

export type Progress = {
  states: Map<string, StepState>;
  /** By step that waits, those that it waits for. */
  waitsFor: Map<string, string[]>;
  /** By step that takes its time and has begun, when, in milliseconds. */
  began: Map<string, number>;
};

const SETTLED: readonly Name[] = ['done', 'failed', 'barred', 'spared'];
const NEVER: readonly Name[] = ['failed', 'barred', 'spared'];
const MINUTE = 60_000;

/** What has become of a step. */
export const stateOf = ({ states }: Pick<Progress, 'states'>, key: string): StepState =>
  states.get(key) ?? named('waiting');

const is = (progress: Pick<Progress, 'states'>, key: string, ...names: Name[]): boolean =>
  names.includes(nameOf(stateOf(progress, key)));

export const isSettled = (progress: Progress, key: string): boolean => is(progress, key, ...SETTLED);

export const isDone = (progress: Progress, key: string): boolean => is(progress, key, 'done');

/** That hands can do it now, or it goes on. */
export const isReady = (progress: Progress, key: string): boolean => is(progress, key, 'ready');

export const isWaiting = (progress: Progress, key: string): boolean => is(progress, key, 'waiting');

/** That it will not be done, and nobody told that it could not be. */
export const isLeftOut = (progress: Progress, key: string): boolean => is(progress, key, 'barred', 'spared');

/** That it goes on by itself, or was started and is not told over. */
export const isRunning = (progress: Progress, key: string): boolean =>
  isReady(progress, key) && progress.began.has(key);

/** When a step that takes its time is over; null where it has not begun. */
export const endOf = (step: Step, progress: Progress): number | null => {
  const began = progress.began.get(step.key);
  return began === undefined ? null : began + step.minutes * MINUTE;
};

/** How far a job has come: the graph of its steps is walked, with what was told of them and the time that has passed. */
export function progressOf(steps: readonly Step[], told: readonly Told[], now: number): Progress {
  const { settled, started } = taken(told);
  const done = new Set([...settled].filter(([, one]) => one.did === 'done').map(([key]) => key));
  const failed = new Set([...settled].filter(([, one]) => one.did === 'cannot').map(([key]) => key));
  const began = new Map<string, number>();
  for (;;) {
    const walk = walked(steps, done, failed);
    const ended = new Map<string, number>();
    let ripe = false;
    for (const step of steps) {
      const before = Math.max(0, ...step.after.map((key) => ended.get(key) ?? 0));
      const own = settled.get(step.key);
      const start = began.get(step.key);
      if (own) ended.set(step.key, Date.parse(own.at));
      else if (start !== undefined && is(walk, step.key, 'done')) ended.set(step.key, start + step.minutes * MINUTE);
      else if (is(walk, step.key, ...SETTLED)) ended.set(step.key, before);
      if (!is(walk, step.key, 'ready')) continue;
      const pressed = started.get(step.key);
      // A clock that was set back does not make a timer longer than its minutes.
      if (step.takes_its_time && before > 0) began.set(step.key, Math.min(pressed ?? before, now));
      else if (pressed !== undefined) began.set(step.key, Math.min(pressed, now));
      const end = endOf(step, { ...walk, began });
      if (step.takes_its_time && end !== null && end <= now) {
        done.add(step.key);
        ripe = true;
      }
    }
    if (!ripe) return { ...walk, began };
  }
}

/** What was told last of each step. */
function taken(told: readonly Told[]): { settled: Map<string, Told>; started: Map<string, number> } {
  const settled = new Map<string, Told>();
  const started = new Map<string, number>();
  for (const one of told) {
    if (one.did === 'done') {
      if (settled.get(one.step)?.did !== 'done') settled.set(one.step, one);
    } else if (one.did === 'cannot') settled.set(one.step, one);
    else if (one.did === 'started') started.set(one.step, Date.parse(one.at));
    else if (one.did === 'taken_back') {
      settled.delete(one.step);
      started.delete(one.step);
    }
  }
  return { settled, started };
}

function walked(steps: readonly Step[], done: Set<string>, failed: Set<string>): Pick<Progress, 'states' | 'waitsFor'> {
  const states = new Map<string, StepState>();
  const waitsFor = new Map<string, string[]>();
  const passed = new Map<string, boolean>();
  // The plan's order is that of the clock; here each step comes after those it waits for all the same.
  for (const step of steps) {
    const state = done.has(step.key) ? 'done' : failed.has(step.key) ? 'failed' : never(step, { states });
    const open = step.after.filter((key) => passed.get(key) !== true);
    states.set(step.key, named<Name>(state ?? (open.length === 0 ? 'ready' : 'waiting')));
    waitsFor.set(step.key, open);
    passed.set(step.key, state === 'done' || state === 'failed' || (state !== null && open.length === 0));
  }
  return { states, waitsFor };
}

/** What will never be done, whatever is still to come. */
function never(step: Step, so: Pick<Progress, 'states'>): Name | null {
  const isNever = (key: string) => is(so, key, ...NEVER);
  if (step.only_if.length > 0 && step.only_if.every(isNever)) return 'spared';
  if (step.needs.some(isNever)) return 'barred';
  return step.shut.some((key) => is(so, key, 'failed', 'barred')) ? 'barred' : null;
}

/** The step that one waits for first. */
export function firstBefore<S extends Step>(key: string, steps: readonly S[], progress: Progress): S | undefined {
  const [before] = progress.waitsFor.get(key) ?? [];
  if (before === undefined) return undefined;
  return isWaiting(progress, before) ? firstBefore(before, steps, progress) : steps.find((step) => step.key === before);
}

/** What could no longer be done if a step could not be. */
export function barredBy<S extends Step>(step: Step, steps: readonly S[], told: readonly Told[], now: number): S[] {
  const failing = { step: step.key, did: 'cannot', at: new Date(now).toISOString() };
  const before = progressOf(steps, told, now);
  const after = progressOf(steps, [...told, failing], now);
  return steps.filter(({ key }) => key !== step.key && is(after, key, 'barred') && !is(before, key, 'barred'));
}

/** What was started and is over; else the first that hands can do now; else what goes on by itself. */
export function nextOf<S extends Step>(steps: readonly S[], progress: Progress, at: number): S | undefined {
  const ready = steps.filter(({ key }) => isReady(progress, key));
  const over = ready.find((step) => (endOf(step, progress) ?? Number.POSITIVE_INFINITY) <= at);
  return over ?? ready.find(({ key }) => !progress.began.has(key)) ?? ready[0];
}
