import { type Query, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { deviceNow } from '../offline/deviceTime';

/** What is younger is of now, in milliseconds. */
const OF_NOW = 60_000;
/** So long the yard may take to answer before anybody is told how old it is what they see. */
const SOON = 1_500;
const LOOK_EVERY = 1_000;

export type Age = { asOf: number; isAnswered: boolean };

/** How old the oldest is of what is shown and was not confirmed since; null where all of it is of now. */
export function useAge(): Age | null {
  const queries = useQueryClient();
  const [age, setAge] = useState<Age | null>(null);
  useEffect(() => {
    let since: number | null = null;
    const look = () => {
      const old = queries.getQueryCache().getAll().filter(isOld);
      since = old.length === 0 ? null : (since ?? deviceNow().getTime());
      const isTold = since !== null && deviceNow().getTime() - since >= SOON;
      const next = isTold
        ? {
            asOf: Math.min(...old.map(({ state }) => state.dataUpdatedAt)),
            isAnswered: old.every(({ state }) => state.error === null && state.fetchFailureCount === 0),
          }
        : null;
      setAge((before) => (before?.asOf === next?.asOf && before?.isAnswered === next?.isAnswered ? before : next));
    };
    const timer = setInterval(look, LOOK_EVERY);
    return () => clearInterval(timer);
  }, [queries]);
  return age;
}

/** Shown, older than of now, and asked for again without an answer yet. */
const isOld = (query: Query): boolean =>
  query.getObserversCount() > 0 &&
  query.state.data !== undefined &&
  query.state.dataUpdatedAt < deviceNow().getTime() - OF_NOW &&
  (query.state.error !== null || query.state.fetchStatus === 'fetching');
