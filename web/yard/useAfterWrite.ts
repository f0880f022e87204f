import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import { answer, api, type Schemas, writeKey } from '../api/client';
import { useTell } from '../kit/Undo';

/** After something was written: everything that follows from it is read again, and the entry can be taken back. */
export function useAfterWrite() {
  const queries = useQueryClient();
  const tell = useTell();
  const refresh = useCallback(async () => {
    await Promise.all(
      ['machines', 'machine', 'yard', 'entries', 'shared-rulebooks', 'walkaround', 'walk'].map((key) =>
        queries.invalidateQueries({ queryKey: [key] }),
      ),
    );
  }, [queries]);
  const told = useCallback(
    async (text: string, entry?: Schemas['Entry']) => {
      tell(
        text,
        entry?.may_strike
          ? async () => {
              await strikeEntry(entry.id, 'Taken back at once.');
              await refresh();
            }
          : undefined,
      );
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

export const strikeEntry = (entry: number, because: string) =>
  answer(api.POST('/entries/{entry}/strike', { params: { path: { entry }, header: writeKey() }, body: { because } }));
