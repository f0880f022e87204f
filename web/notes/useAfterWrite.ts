import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { Schemas } from '../api/client';
import { useTell } from '../kit/Undo';
import { type Change, refetchTouched } from './touched';
import { undoOf } from './undo';

/** After something was written: what it may have changed is read again, and what was written can be taken back. */
export function useAfterWrite(change: Change) {
  const queries = useQueryClient();
  const tell = useTell();
  const { machine, topics } = change;
  const refresh = useCallback(() => refetchTouched(queries, { machine, topics }), [queries, machine, topics]);
  const told = useCallback(
    async (text: string, ...entries: Schemas['Entry'][]) => {
      tell(text, undoOf(entries));
      await refresh();
    },
    [tell, refresh],
  );
  const toldWith = useCallback(
    async (text: string, undo: () => Promise<unknown>) => {
      tell(text, async () => {
        await undo();
        await refresh();
      });
      await refresh();
    },
    [tell, refresh],
  );
  return { told, toldWith, refresh };
}
