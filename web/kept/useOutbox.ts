import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useSyncExternalStore } from 'react';
import { type Outbox, onSent, openOutbox, outboxNow, watchOutbox } from './outbox';

export const useOutbox = (): Outbox => useSyncExternalStore(watchOutbox, outboxNow);

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
