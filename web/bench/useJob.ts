import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Schemas } from '../api/client';
import { keep } from '../kept/kept';
import { noteOf } from '../kept/note';
import { keepNote, onSent } from '../kept/outbox';
import type { KeptNote } from '../kept/store';
import { useKeptNotes } from '../kept/useOutbox';
import { now } from '../kit/clock';
import { usePerson } from '../shell/Shell';
import { progressOf, type Step, type Told } from './progress';
import { jobQuery } from './queries';

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
  const queries = useQueryClient();
  const person = usePerson();
  const asked = useQuery(jobQuery(id));
  const job = asked.data;
  const waiting = useKeptNotes((kept) => kept.note.kind === 'step' && kept.note.job === id);
  const at = useNow();
  const told = job ? merged(job.told, waiting, person.name) : [];
  useEffect(
    () =>
      onSent((sent) => {
        const mine = sent.flatMap(({ note }) => (note.kind === 'step' && note.job === id ? [note] : []));
        const known = queries.getQueryData(jobQuery(id).queryKey);
        if (mine.length === 0 || !known) return;
        const after = {
          ...known,
          told: merged(
            known.told,
            mine.map((note) => ({ note })),
            person.name,
          ),
        };
        queries.setQueryData(jobQuery(id).queryKey, after);
        void keep(`job ${id}`, after);
      }),
    [id, queries, person.name],
  );
  const tell = async (step: Step, did: Did, said: Said = {}) => {
    if (!job) return null;
    const note = noteOf({ kind: 'step', machine_id: job.machine_id, job: id, step: step.key, did, ...said });
    await keepNote(note, `${job.machine}: ${step.title}`);
    return note.id;
  };
  return {
    asked,
    job,
    told,
    at,
    tell,
    progress: job ? progressOf(job.steps, told, at) : null,
    refused: waiting.filter((kept) => kept.refused),
  };
}

/** What the yard knows, and what waits here, each once and in the order in which it happened. */
function merged(known: readonly Told[], waiting: readonly Pick<KeptNote, 'note' | 'refused'>[], by: string): Told[] {
  const ids = new Set(known.map((one) => one.id));
  const own = waiting.flatMap(({ note, refused }): Told[] =>
    refused || note.kind !== 'step' || ids.has(note.id)
      ? []
      : [{ id: note.id, step: note.step, did: note.did, said: saidOf(note), at: note.at, by }],
  );
  return [...known, ...own].sort((one, other) => Date.parse(one.at) - Date.parse(other.at));
}

const ENVELOPE = new Set(['id', 'kind', 'at', 'on', 'machine_id', 'job', 'step', 'did']);

const saidOf = (note: object): Told['said'] =>
  Object.fromEntries(Object.entries(note).filter(([name]) => !ENVELOPE.has(name)));
