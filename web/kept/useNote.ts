import { useState } from 'react';
import { Refused, type Schemas } from '../api/client';
import { useAfterWrite } from '../yard/useAfterWrite';
import { noteOf, type Told } from './note';
import { dropNote, tellNote } from './outbox';

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
  const { told: sayTold, toldWith } = useAfterWrite();
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<Refused | null>(null);
  const tell = async (told: Told, label: string) => {
    if (busy) return;
    setBusy(true);
    const note = noteOf(told);
    try {
      const result = await tellNote(note, label);
      setRefused(null);
      await after?.();
      if (result === 'waits') {
        await toldWith(`${label}: kept on this device until it can be sent.`, () => dropNote(note.id));
      } else {
        const entries = [result.entry ?? [], result.others ?? []].flat();
        const doubts = entries.flatMap((entry) => entry.doubts.map(({ asks }) => asks));
        await sayTold([words(result.entry, result.others), ...doubts].join(' '), ...entries);
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
