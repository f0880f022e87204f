import { QueryCache, QueryClient, type QueryKey } from '@tanstack/react-query';
import { Answers } from '../offline/answers';
import { Refused } from '../offline/refused';
import { sessionQuery } from './queries';
import { hasShape } from './shape';

/** What is only read where it is asked for: who may come in is never kept on a device. */
const NEVER_KEPT = ['/tokens', '/sign-ins', '/people', '/computer', '/calendar-feeds', '/invitation'];

/** Where nobody answered what is shown, it is asked for again so often. */
const ASK_AGAIN_AFTER = 15_000;

const answers = new Answers({
  version: __VERSION__,
  hasShape,
  mayKeep: ([method, path]) => method === 'get' && !NEVER_KEPT.includes(String(path)),
});

export const queries: QueryClient = new QueryClient({
  defaultOptions: {
    queries: {
      networkMode: 'always',
      staleTime: 15_000,
      persister: answers.persist,
      // Silence has been waited for already.
      retry: (count, error) => count < 2 && error instanceof Refused && error.problem.status >= 500,
      refetchInterval: ({ state }) =>
        state.data !== undefined && state.error instanceof Refused ? ASK_AGAIN_AFTER : false,
    },
  },
  queryCache: new QueryCache({
    // What is only fetched ahead takes nobody away from what they do.
    onError: (error, { meta }) => {
      if (!meta?.ahead && error instanceof Refused && error.problem.status === 401)
        queries.invalidateQueries({ queryKey: sessionQuery.queryKey });
    },
  }),
});

/** Changes an answer as what was told here makes it, on the device too. It is as old as it was. */
export async function changeAnswer<T>(key: QueryKey, by: (before: T) => T): Promise<void> {
  const { data, dataUpdatedAt } = queries.getQueryState<T>(key) ?? {};
  if (data !== undefined) queries.setQueryData(key, by(data), { updatedAt: dataUpdatedAt });
  await answers.change(key, by);
}

/** Keeps what came another way than by asking. */
export const keepAnswer = (key: QueryKey): Promise<void> => answers.keep(key, queries);
