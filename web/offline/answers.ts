import { hashKey, type Query, type QueryClient, type QueryFunction, type QueryKey } from '@tanstack/react-query';
import { experimental_createQueryPersister, type PersistedQuery } from '@tanstack/react-query-persist-client';
import { withDevice } from './device';
import { whose } from './whose';

/** As long as a phone may lie in a drawer and still know the machines. */
const KEPT = 30 * 24 * 60 * 60 * 1000;

/** What the application says of its answers. */
type Kind = {
  /** Another version of the program reads none of what this one keeps. */
  version: string;
  /** Whether an answer has the shape in which this program reads it. */
  hasShape: (key: QueryKey, answer: unknown) => boolean;
  /** Whether it may lie on a device. */
  mayKeep: (key: QueryKey) => boolean;
};

/** Answers that the yard gave, kept on the device: of each person apart, and of this version of the program alone. */
export class Answers {
  readonly #kind: Kind;
  #of: {
    person: number | null;
    persister: ReturnType<typeof experimental_createQueryPersister<PersistedQuery>>;
  } | null = null;

  constructor(kind: Kind) {
    this.#kind = kind;
  }

  /** What is kept is shown at once, as old as it is; behind it the yard is asked. */
  readonly persist = async <T>(
    ask: (context: QueryContext) => T | Promise<T>,
    context: QueryContext,
    query: Query,
  ): Promise<T> => {
    let isAsked = false;
    const answer = await this.#persister().persisterFn(
      (given) => {
        isAsked = true;
        return ask(given);
      },
      context,
      query,
    );
    // Once it stands with its age. Where nobody answers then, what is kept stays.
    if (!isAsked) setTimeout(() => isOld(query) && void query.fetch().catch(() => undefined), 0);
    return answer;
  };

  /** Keeps what came another way than by asking. */
  keep(key: QueryKey, queries: QueryClient): Promise<void> {
    return this.#persister().persistQueryByKey(key, queries);
  }

  /** Changes what is kept of an answer, as old as it is. */
  async change<T>(key: QueryKey, by: (before: T) => T): Promise<void> {
    await withDevice((device) =>
      device.change('answers', `${prefixOf(whose())}-${hashKey(key)}`, (kept) => {
        const { state, ...rest } = (kept ?? {}) as PersistedQuery;
        return state?.data === undefined ? kept : { ...rest, state: { ...state, data: by(state.data as T) } };
      }),
    );
  }

  #persister() {
    const person = whose();
    if (this.#of?.person !== person) this.#of = { person, persister: this.#persisterOf(person) };
    return this.#of.persister;
  }

  #persisterOf(person: number | null) {
    const { version, hasShape, mayKeep } = this.#kind;
    return experimental_createQueryPersister<PersistedQuery>({
      storage: {
        getItem: (name) => withDevice((device) => device.get('answers', name)) as Promise<PersistedQuery | undefined>,
        setItem: (name, kept) => withDevice((device) => device.change('answers', name, () => kept)),
        removeItem: async (name) => {
          await withDevice((device) => device.change('answers', name, () => undefined));
        },
      },
      serialize: ({ state: { data, dataUpdatedAt }, ...rest }) =>
        ({ ...rest, state: { data, dataUpdatedAt } }) as PersistedQuery,
      deserialize: (kept) => {
        if (!hasShape(kept.queryKey, kept.state.data)) throw new Error('Of another shape.');
        return kept;
      },
      buster: version,
      maxAge: KEPT,
      prefix: prefixOf(person),
      filters: { predicate: ({ queryKey }) => mayKeep(queryKey) },
      // Asked anew above: there nothing is thrown where nobody answers.
      refetchOnRestore: false,
    });
  }
}

/** What was only fetched ahead may be so old, in milliseconds. */
export const FETCHED_AHEAD = 12 * 60 * 60 * 1000;

/** Marks a query that nobody looks at yet: it is fetched so that it is there without signal. */
export const AHEAD = { ahead: true } as const;

const isOld = (query: Query): boolean => query.meta?.ahead !== true || query.isStaleByTime(FETCHED_AHEAD);

const prefixOf = (person: number | null): string => `${person ?? 'nobody'}`;

type QueryContext = Parameters<QueryFunction<unknown, QueryKey>>[0];
