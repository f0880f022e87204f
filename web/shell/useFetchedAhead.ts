import { type QueryClient, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import {
  machineQuery,
  machinesQuery,
  morningQuery,
  plateQuery,
  shelfQuery,
  walkaroundQuery,
  walkQuery,
  yardQuery,
} from '../api/queries';
import { jobQuery, jobsQuery } from '../bench/queries';
import { AHEAD, FETCHED_AHEAD } from '../offline/answers';

/** Whoever stays so long has what they came for, in milliseconds: what is fetched ahead stands in nobody's way. */
const SETTLED = 10_000;

/** How many machines are kept on a device for where there is no signal. */
const KEPT = 60;

/** Fetches what a walk, a job or a label is likely to open next, one after the other, so that it is there without signal. */
export function useFetchedAhead(): void {
  const queries = useQueryClient();
  useEffect(() => {
    const leaving = new AbortController();
    const timer = setTimeout(() => void fetchAhead(queries, leaving.signal), SETTLED);
    return () => {
      clearTimeout(timer);
      leaving.abort();
    };
  }, [queries]);
}

async function fetchAhead(queries: QueryClient, leaving: AbortSignal): Promise<void> {
  const ahead = { staleTime: FETCHED_AHEAD, meta: AHEAD };
  const reachable = async <T>(fetched: Promise<T>): Promise<T | null> => fetched.catch(() => null);
  const jobs = await reachable(queries.fetchQuery({ ...jobsQuery, ...ahead }));
  const walked = await reachable(queries.fetchInfiniteQuery({ ...walkaroundQuery, ...ahead }));
  const machines = walked?.pages.flatMap(({ data }) => data).slice(0, KEPT) ?? [];
  const likely = [
    () => queries.prefetchQuery({ ...yardQuery, ...ahead }),
    () => queries.prefetchInfiniteQuery({ ...machinesQuery({}), ...ahead }),
    () => queries.prefetchQuery({ ...morningQuery, ...ahead }),
    () => queries.prefetchQuery({ ...shelfQuery, ...ahead }),
    ...(jobs?.open.map(
      ({ id }) =>
        () =>
          queries.prefetchQuery({ ...jobQuery(id), ...ahead }),
    ) ?? []),
    ...machines.flatMap(({ id }) => [
      () => queries.prefetchQuery({ ...walkQuery(id), ...ahead }),
      () => queries.prefetchQuery({ ...machineQuery(id), ...ahead }),
      () => queries.prefetchQuery({ ...plateQuery(id), ...ahead }),
    ]),
  ];
  for (const fetchOne of likely) {
    if (leaving.aborted || !navigator.onLine) return;
    await fetchOne();
  }
}
