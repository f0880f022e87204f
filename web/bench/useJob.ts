import { useQuery } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { changeAnswer } from '../api/kept';
import { usePerson } from '../api/usePerson';
import { byYard, now } from '../kit/clock';
import { type Kept, queue } from '../notes/queue';
import { noteOf } from '../notes/told';
import { useKeptNotes } from '../notes/useQueue';
import { progressOf } from '../offline/job';
import { jobQuery } from './queries';
import type { Step, Told } from './told';

export type Said = Schemas['StepSaid'];
type Did = Schemas['Did'];

const TICK = 1_000;

/** The present moment in milliseconds, each second anew: timers are drawn by it. */
export function useNow(): number {
  const [at, setAt] = useState(() => now().getTime());
  useEffect(() => {
    const tick = setInterval(() => setAt(now().getTime()), TICK);
    return () => clearInterval(tick);
  }, []);
  return at;
}

/** One job as it stands on this device: what the yard knows of its steps, and what was told here and waits to be sent. */
export function useJob(id: string) {
  const person = usePerson();
  const asked = useQuery(jobQuery(id));
  const job = asked.data;
  const waiting = useKeptNotes((kept) => kept.note.kind === 'step' && kept.note.job === id);
  const at = useNow();
  const told = job ? merged(job.told, waiting, person.name) : [];
  const tell = async (step: Step, did: Did, said: Said = {}) => {
    if (!job) return null;
    const note = noteOf({ kind: 'step', machine_id: job.machine_id, job: id, step: step.key, did, ...said });
    await queue.keep(note, `${job.machine}: ${step.title}`);
    return note.id;
  };
  return {
    asked,
    job,
    told,
    at,
    tell,
    progress: job ? progressOf(job.steps, told, at) : null,
    refused: waiting.filter((kept) => kept.problem),
  };
}

/** What the yard has written down stands with the job on this device from then on, shown or not. */
export const keepTold = (by: string): (() => void) =>
  queue.onSent((sent) => {
    for (const { kept } of sent) {
      if (kept.note.kind !== 'step' || !kept.note.job) continue;
      const key = jobQuery(kept.note.job).queryKey;
      void changeAnswer<Schemas['Job']>(key, (job) => ({ ...job, told: merged(job.told, [kept], by) }));
    }
  });

/** What the yard knows, and what waits here, each once and in the order in which it happened. */
function merged(known: readonly Told[], waiting: readonly Pick<Kept, 'note' | 'problem'>[], by: string): Told[] {
  const ids = new Set(known.map((one) => one.id));
  const own = waiting.flatMap(({ note, problem }): Told[] =>
    problem || note.kind !== 'step' || ids.has(note.id)
      ? []
      : [{ id: note.id, step: note.step, did: note.did, said: saidOf(note), at: byYard(note.at).toISOString(), by }],
  );
  return [...known, ...own].sort((one, other) => Date.parse(one.at) - Date.parse(other.at));
}

const ENVELOPE = new Set(['id', 'kind', 'at', 'on', 'machine_id', 'job', 'step', 'did']);

const saidOf = (note: object): Told['said'] =>
  Object.fromEntries(Object.entries(note).filter(([name]) => !ENVELOPE.has(name)));
