import { useState } from 'react';
import type { Schemas } from '../api/client';
import { useTell } from '../kit/Undo';
import { Refused } from '../offline/refused';
import { queue } from './queue';
import { noteOf, type Told } from './told';
import { undoOf } from './undo';

type Telling = {
  /** A second press while it is under way does nothing. */
  tell: (told: Told, label: string) => Promise<void>;
  busy: boolean;
  refused: Refused | null;
  fields: Record<string, string>;
  forget: () => void;
};

type Words = (entry: Schemas['Entry'] | undefined, others?: Schemas['Entry'][]) => string;

/**
 * Tells one thing of the logbook through this device's queue. What the yard refuses comes back here, beside its fields. Without signal it waits in the
 * queue, and can be taken back from there.
 */
export function useNote(words: Words, after?: () => unknown): Telling {
  const say = useTell();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<Refused | null>(null);
  const tell = async (told: Told, label: string) => {
    if (busy) return;
    setBusy(true);
    const note = noteOf(told);
    try {
      const result = await queue.tell(note, label);
      setRefused(null);
      await after?.();
      if (result === 'waits') {
        say(`${label}: kept on this device until it can be sent.`, () => queue.takeBack(note.id));
      } else {
        const entries = [result.entry ?? [], result.others ?? []].flat();
        const doubts = entries.flatMap((entry) => entry.doubts.map(({ asks }) => asks));
        say([words(result.entry, result.others), ...doubts].join(' '), undoOf(entries));
      }
    } catch (thrown) {
      if (!(thrown instanceof Refused)) throw thrown;
      setRefused(thrown);
    } finally {
      setBusy(false);
    }
  };
  return { tell, busy, refused, fields: refused?.fields ?? {}, forget: () => setRefused(null) };
}
