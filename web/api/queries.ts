import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { $api, answer, api, type Schemas } from './client';

export type YardFilter = {
  class?: Schemas['MachineClass'];
  place?: string;
  state?: Schemas['MachineState'];
  name?: string;
};

/** A list that comes page by page. */
const PAGES = {
  initialPageParam: null as string | null,
  getNextPageParam: (page: { next_cursor: string | null }) => page.next_cursor,
};

/** One machine in an address. */
export const of = (machine: number) => ({ params: { path: { machine } } });

export const sessionQuery = $api.queryOptions('get', '/session', undefined, { staleTime: 60_000 });

export const signInsQuery = $api.queryOptions('get', '/sign-ins');

export const yardQuery = $api.queryOptions('get', '/yard');

export const machinesQuery = (filter: YardFilter) =>
  infiniteQueryOptions({
    queryKey: ['get', '/machines', { params: { query: filter } }],
    queryFn: ({ pageParam, signal }) =>
      answer(api.GET('/machines', { params: { query: { ...filter, cursor: pageParam ?? undefined } }, signal })),
    ...PAGES,
  });

/** Every machine of the yard, or every one of a class, for choosing among them. */
export const allMachinesQuery = (filter: Pick<YardFilter, 'class'> = {}) =>
  queryOptions({
    queryKey: ['get', '/machines', 'all', filter],
    queryFn: async ({ signal }) => {
      const all: Schemas['YardLine'][] = [];
      let cursor: string | undefined;
      do {
        const query = { ...filter, limit: 200, cursor };
        const page = await answer(api.GET('/machines', { params: { query }, signal }));
        all.push(...page.data);
        cursor = page.next_cursor ?? undefined;
      } while (cursor);
      return all;
    },
  });

export const machineQuery = (machine: number) => $api.queryOptions('get', '/machines/{machine}', of(machine));

/** The logbook of one machine, or of the whole yard. */
export function useEntries(machine: number | null) {
  const query = { limit: 30 };
  const of = { params: { path: { machine: machine ?? 0 }, query } };
  const yard = $api.useInfiniteQuery('get', '/entries', { params: { query } }, { ...PAGES, enabled: machine === null });
  const one = $api.useInfiniteQuery('get', '/machines/{machine}/entries', of, { ...PAGES, enabled: machine !== null });
  return machine === null ? yard : one;
}

export const starterQuery = (machineClass: Schemas['MachineClass']) =>
  $api.queryOptions(
    'get',
    '/starter-rulebooks',
    { params: { query: { class: machineClass } } },
    { staleTime: Number.POSITIVE_INFINITY },
  );

export const computerQuery = $api.queryOptions('get', '/computer');

export const computerMorningQuery = $api.queryOptions('get', '/computer/morning');

export const peopleQuery = $api.queryOptions('get', '/people');

export const weeklyUseQuery = (machine: number) => $api.queryOptions('get', '/machines/{machine}/use', of(machine));

export const chartQuery = (machine: number) => $api.queryOptions('get', '/machines/{machine}/chart', of(machine));

export const sharedRulebooksQuery = $api.queryOptions('get', '/shared-rulebooks');

export const calendarFeedsQuery = $api.queryOptions('get', '/calendar-feeds');

/** Both ways of counting from a service at what the meters then showed; at nothing, as the rule stands now. */
export const consequencesQuery = (rule: number, at: { hours?: string; distance?: string; at?: string }) =>
  $api.queryOptions('get', '/rules/{rule}/consequences', { params: { path: { rule }, query: at } });

export const tokensQuery = $api.queryOptions('get', '/tokens');

/** The machines that this person walks round. */
export const walkaroundQuery = infiniteQueryOptions({
  queryKey: ['get', '/walkaround'],
  queryFn: ({ pageParam, signal }) =>
    answer(api.GET('/walkaround', { params: { query: { limit: 100, cursor: pageParam ?? undefined } }, signal })),
  ...PAGES,
});

export const morningQuery = $api.queryOptions('get', '/walkaround/morning');

/** Everything that a walk round one machine needs. */
export const walkQuery = (machine: number) => $api.queryOptions('get', '/machines/{machine}/walk', of(machine));

export const trendsQuery = (machine: number) => $api.queryOptions('get', '/machines/{machine}/trends', of(machine));

export const findingQuery = (machine: number, check: string) =>
  $api.queryOptions('get', '/machines/{machine}/findings/{check}', { params: { path: { machine, check } } });

/** Every spot of a machine with what is told of it. */
export const plateQuery = (machine: number) => $api.queryOptions('get', '/machines/{machine}/plate', of(machine));

/** All that is known of one spot. */
export const spotQuery = (machine: number, spot: string) =>
  $api.queryOptions('get', '/machines/{machine}/spots/{spot}', { params: { path: { machine, spot } } });

/** What is kept, how much of it there is, and what waits for collection. */
export const shelfQuery = $api.queryOptions('get', '/shelf');
