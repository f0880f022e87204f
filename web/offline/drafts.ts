import { useCallback, useEffect, useState } from 'react';
import { fromPocket, intoPocket, namesInPocket, outOfPocket } from './pocket';
import { whose } from './whose';

const DRAFTS = 'draft.';

/** Forgets everything that was begun on this device and not sent. */
export function forgetDrafts(): void {
  for (const name of namesInPocket(DRAFTS)) outOfPocket(name);
}

/** State that survives a reload and a flat battery, until it is cleared. It belongs to who began it. */
export function useDraft<T>(name: string, initial: T): [T, (change: T | ((draft: T) => T)) => void, () => void] {
  const key = `${DRAFTS}${whose() ?? ''}.${name}`;
  const [draft, setDraft] = useState<T>(() => {
    try {
      const kept = fromPocket(key);
      return kept === null ? initial : whole(JSON.parse(kept) as T, initial);
    } catch {
      return initial;
    }
  });
  useEffect(() => {
    if (draft === initial) outOfPocket(key);
    else intoPocket(key, JSON.stringify(draft));
  }, [draft, initial, key]);
  const clear = useCallback(() => {
    outOfPocket(key);
    setDraft(initial);
  }, [key, initial]);
  return [draft, setDraft, clear];
}

/** What was kept by an earlier version of a form may lack fields that it has now. */
const whole = <T>(kept: T, initial: T): T =>
  typeof initial === 'object' && initial !== null && !Array.isArray(initial) ? { ...initial, ...kept } : kept;
