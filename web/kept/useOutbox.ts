import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { type Outbox, onSent, openOutbox, outboxNow, watchOutbox } from './outbox';
import type { KeptNote } from './store';

export const useOutbox = (): Outbox => useSyncExternalStore(watchOutbox, outboxNow);

/** The notes of one kind that wait on this device or came back. */
export const useKeptNotes = (which: (kept: KeptNote) => boolean): KeptNote[] => useOutbox().notes.filter(which);

/** Sends what this person keeps on this device, and reads again what follows from it. */
export function useSending(person: number): void {
  const queries = useQueryClient();
  useEffect(() => openOutbox(person), [person]);
  useEffect(
    () =>
      onSent(() => {
        for (const key of ['walkaround', 'walk', 'machines', 'machine', 'yard', 'entries', 'shelf'])
          queries.invalidateQueries({ queryKey: [key] });
      }),
    [queries],
  );
}
