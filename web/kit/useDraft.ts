import { useCallback, useEffect, useState } from 'react';

const PREFIX = 'jardinier.draft.';

/** Forgets everything that was begun on this device and not sent. */
export function forgetDrafts(): void {
  for (const key of Object.keys(localStorage)) if (key.startsWith(PREFIX)) localStorage.removeItem(key);
}

/** State that survives a reload and a flat battery, until it is cleared. */
export function useDraft<T>(name: string, initial: T): [T, (change: T | ((draft: T) => T)) => void, () => void] {
  const key = `${PREFIX}${name}`;
  const [draft, setDraft] = useState<T>(() => {
    try {
      const kept = localStorage.getItem(key);
      return kept === null ? initial : whole(JSON.parse(kept) as T, initial);
    } catch {
      return initial;
    }
  });
  useEffect(() => {
    if (draft === initial) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(draft));
  }, [draft, initial, key]);
  const clear = useCallback(() => {
    localStorage.removeItem(key);
    setDraft(initial);
  }, [key, initial]);
  return [draft, setDraft, clear];
}

/** What was kept by an earlier version of a form may lack fields that it has now. */
const whole = <T>(kept: T, initial: T): T =>
  typeof initial === 'object' && initial !== null && !Array.isArray(initial) ? { ...initial, ...kept } : kept;
