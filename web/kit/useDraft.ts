import { useCallback, useEffect, useState } from 'react';

/** State that survives a reload and a flat battery, until it is cleared. */
export function useDraft<T>(name: string, initial: T): [T, (change: T | ((draft: T) => T)) => void, () => void] {
  const key = `jardinier.draft.${name}`;
  const [draft, setDraft] = useState<T>(() => {
    try {
      const kept = localStorage.getItem(key);
      return kept === null ? initial : (JSON.parse(kept) as T);
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
