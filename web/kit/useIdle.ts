import { useEffect, useState } from 'react';
import { whenIdle } from './whenIdle';

/** Whether the page has been shown and has nothing more pressing to do. */
export function useIdle(): boolean {
  const [idle, setIdle] = useState(false);
  useEffect(() => whenIdle(() => setIdle(true)), []);
  return idle;
}
