import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import type { Schemas } from '../api/client';
import { changeAnswers } from '../offline/progress';
import type { Queued } from '../offline/queue';
import type { Answered } from '../offline/round';
import { type Kept, queue, type Written } from './queue';
import { changeOf, refetchTouched } from './touched';

export const useQueue = (): Queued<Schemas['Note']> => useSyncExternalStore(queue.watch, queue.now);

/** The notes of one kind that wait on this device or came back. */
export const useKeptNotes = (which: (kept: Kept) => boolean): Kept[] => useQueue().notes.filter(which);

/** Sends what this person keeps on this device, and reads again what follows from it. */
export function useSending(person: number): void {
  const queries = useQueryClient();
  useEffect(() => queue.open(person), [person]);
  // Whatever was answered: there is signal again.
  useEffect(
    () =>
      queries.getQueryCache().subscribe((event) => {
        if (event.type === 'updated' && event.action.type === 'success' && queue.now().waiting > 0) queue.send();
      }),
    [queries],
  );
  useEffect(
    () =>
      queue.onSent((sent) => {
        void judge(sent);
        for (const { kept } of sent) void refetchTouched(queries, changeOf(kept.note));
      }),
    [queries],
  );
}

/** The yard judges what was measured without signal: its verdict goes to the round in which it was said, shown or not. */
async function judge(sent: Written[]): Promise<void> {
  const acts = new Map(sent.flatMap(({ kept, result: { act } }) => (act ? [[kept.note.id, act] as const] : [])));
  if (acts.size === 0) return;
  await changeAnswers<Answered>((answer) => {
    const act = acts.get(answer.note);
    return act && act.verdict !== answer.verdict ? { ...answer, verdict: act.verdict, words: act.why } : answer;
  });
}
