import { useRef, useState } from 'react';
import { Refused } from '../offline/refused';
import { writeKey } from './client';

type Write<A extends unknown[]> = {
  /** Sends it; a second press while it is under way does nothing. */
  send: (...given: A) => Promise<void>;
  busy: boolean;
  refused: Refused | null;
  fields: Record<string, string>;
  forget: () => void;
};

/** One write. The same thing sent again after a lost answer keeps its key, so that nothing is written twice. */
export function useWrite<A extends unknown[], T>(
  write: (header: ReturnType<typeof writeKey>, ...given: A) => Promise<T>,
  after?: (result: T) => unknown,
): Write<A> {
  const [busy, setBusy] = useState(false);
  const [refused, setRefused] = useState<Refused | null>(null);
  const unanswered = useRef<{ given: string; header: ReturnType<typeof writeKey> } | null>(null);
  const send = async (...given: A) => {
    if (busy) return;
    setBusy(true);
    const written = JSON.stringify(given);
    const header = unanswered.current?.given === written ? unanswered.current.header : writeKey();
    unanswered.current = { given: written, header };
    try {
      const result = await write(header, ...given);
      unanswered.current = null;
      setRefused(null);
      await after?.(result);
    } catch (thrown) {
      if (!(thrown instanceof Refused)) throw thrown;
      if (thrown.problem.status !== 0) unanswered.current = null;
      setRefused(thrown);
    } finally {
      setBusy(false);
    }
  };
  return { send, busy, refused, fields: refused?.fields ?? {}, forget: () => setRefused(null) };
}
