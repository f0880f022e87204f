import { useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { Schemas } from '../api/client';
import { noteOf } from '../kept/note';
import { tellNote } from '../kept/outbox';
import { useTell } from '../kit/Undo';

/** After something was written: everything that follows from it is read again, and what was written can be taken back. */
export function useAfterWrite() {
  const queries = useQueryClient();
  const tell = useTell();
  const refresh = useCallback(async () => {
    await Promise.all(
      ['machines', 'machine', 'yard', 'entries', 'shared-rulebooks', 'walkaround', 'walk', 'shelf'].map((key) =>
        queries.invalidateQueries({ queryKey: [key] }),
      ),
    );
  }, [queries]);
  const told = useCallback(
    async (text: string, ...entries: Schemas['Entry'][]) => {
      tell(
        text,
        entries.length > 0 && entries.every((entry) => entry.may_strike)
          ? async () => {
              for (const entry of entries) await takeBack(entry);
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

/** Takes back what was written just now, through the same queue. */
const takeBack = (entry: Schemas['Entry']) =>
  tellNote(
    noteOf({ kind: 'strike', machine_id: entry.machine_id, entry: entry.id, because: 'Taken back at once.' }),
    `${entry.machine ?? 'The yard'}: ${entry.in_words}, taken back`,
  );
