import type { Schemas } from '../api/client';

/** What was said of one thing in a round on this device. */
export type Answered = {
  note: string;
  said: Schemas['Said'] | 'read' | 'greased';
  /** Null where nobody can tell yet, or it was not looked at. */
  verdict: Schemas['Verdict'] | null;
  words: string;
  values?: Record<string, unknown>;
};
