import type { Schemas } from '../api/client';
import { queue, struck } from './queue';

/** Takes back entries that were written just now, through the same queue; nothing where one of them cannot be struck. */
export const undoOf = (entries: Schemas['Entry'][]): (() => Promise<void>) | undefined =>
  entries.length === 0 || !entries.every((entry) => entry.may_strike)
    ? undefined
    : async () => {
        for (const { id, machine, machine_id, in_words } of entries)
          await queue.tell(struck(id, machine_id), `${machine ?? 'The yard'}: ${in_words}, taken back`);
      };
