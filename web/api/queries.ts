import { infiniteQueryOptions, queryOptions } from '@tanstack/react-query';
import { kept } from '../kept/kept';
import { answer, api, type Schemas } from './client';

export type YardFilter = {
  class?: Schemas['MachineClass'];
  place?: string;
  state?: Schemas['MachineState'];
  name?: string;
};

export const sessionQuery = queryOptions({
  queryKey: ['session'],
  queryFn: () => kept('session', () => answer(api.GET('/session'))),
  staleTime: 60_000,
});

export const signInsQuery = queryOptions({
  queryKey: ['sign-ins'],
  queryFn: () => answer(api.GET('/sign-ins')),
});

export const yardQuery = queryOptions({
  queryKey: ['yard'],
  queryFn: () => kept('yard', () => answer(api.GET('/yard'))),
});

export const machinesQuery = (filter: YardFilter) =>
  infiniteQueryOptions({
    queryKey: ['machines', filter],
    queryFn: ({ pageParam }) =>
      kept(`machines ${JSON.stringify(filter)} ${pageParam}`, () =>
        answer(api.GET('/machines', { params: { query: { ...filter, cursor: pageParam ?? undefined } } })),
      ),
    initialPageParam: null as string | null,
    getNextPageParam: (page) => page.next_cursor,
  });

/** Every machine of the yard, or every one of a class, for choosing among them. */
export const allMachinesQuery = (filter: Pick<YardFilter, 'class'> = {}) =>
  queryOptions({
    queryKey: ['machine', 'all', filter],
    queryFn: async () => {
      const all: Schemas['YardLine'][] = [];
      let cursor: string | undefined;
      do {
        const page = await answer(api.GET('/machines', { params: { query: { ...filter, limit: 200, cursor } } }));
        all.push(...page.data);
        cursor = page.next_cursor ?? undefined;
      } while (cursor);
      return all;
    },
  });

export const machineQuery = (id: number) =>
  queryOptions({
    queryKey: ['machine', id],
    queryFn: () =>
      kept(`machine ${id}`, () => answer(api.GET('/machines/{machine}', { params: { path: { machine: id } } }))),
  });

/** The logbook of one machine, or of the whole yard. */
export const entriesQuery = (machine: number | null) =>
  infiniteQueryOptions({
    queryKey: ['entries', machine],
    queryFn: ({ pageParam }) => {
      const query = { limit: 30, cursor: pageParam ?? undefined };
      return answer(
        machine === null
          ? api.GET('/entries', { params: { query } })
          : api.GET('/machines/{machine}/entries', { params: { path: { machine }, query } }),
      );
    },
    initialPageParam: null as string | null,
    getNextPageParam: (page) => page.next_cursor,
  });

export const starterQuery = (machineClass: Schemas['MachineClass']) =>
  queryOptions({
    queryKey: ['starter', machineClass],
    queryFn: () => answer(api.GET('/starter-rulebooks', { params: { query: { class: machineClass } } })),
    staleTime: Number.POSITIVE_INFINITY,
  });

export const computerQuery = queryOptions({ queryKey: ['computer'], queryFn: () => answer(api.GET('/computer')) });

export const computerMorningQuery = queryOptions({
  queryKey: ['computer', 'morning'],
  queryFn: () => answer(api.GET('/computer/morning')),
});

export const peopleQuery = queryOptions({ queryKey: ['people'], queryFn: () => answer(api.GET('/people')) });

export const weeklyUseQuery = (machine: number) =>
  queryOptions({
    queryKey: ['machine', machine, 'use'],
    queryFn: () => answer(api.GET('/machines/{machine}/use', { params: { path: { machine } } })),
  });

export const chartQuery = (machine: number) =>
  queryOptions({
    queryKey: ['machine', machine, 'chart'],
    queryFn: () => answer(api.GET('/machines/{machine}/chart', { params: { path: { machine } } })),
  });

export const sharedRulebooksQuery = queryOptions({
  queryKey: ['shared-rulebooks'],
  queryFn: () => answer(api.GET('/shared-rulebooks')),
});

export const calendarFeedsQuery = queryOptions({
  queryKey: ['calendar-feeds'],
  queryFn: () => answer(api.GET('/calendar-feeds')),
});

/** Both ways of counting from a service at what the meters then showed; at nothing, as the rule stands now. */
export const consequencesQuery = (rule: number, at: { hours?: string; distance?: string; at?: string }) =>
  queryOptions({
    queryKey: ['machine', 'consequences', rule, at],
    queryFn: () => answer(api.GET('/rules/{rule}/consequences', { params: { path: { rule }, query: at } })),
  });

export const tokensQuery = queryOptions({ queryKey: ['tokens'], queryFn: () => answer(api.GET('/tokens')) });

/** The machines that this person walks round. */
export const walkaroundQuery = infiniteQueryOptions({
  queryKey: ['walkaround'],
  queryFn: ({ pageParam }) =>
    kept(`walkaround ${pageParam}`, () =>
      answer(api.GET('/walkaround', { params: { query: { limit: 100, cursor: pageParam ?? undefined } } })),
    ),
  initialPageParam: null as string | null,
  getNextPageParam: (page) => page.next_cursor,
});

export const morningQuery = queryOptions({
  queryKey: ['walkaround', 'morning'],
  queryFn: () => kept('morning', () => answer(api.GET('/walkaround/morning'))),
});

/** Everything that a walk round one machine needs. */
export const walkQuery = (machine: number) =>
  queryOptions({
    queryKey: ['walk', machine],
    queryFn: () =>
      kept(`walk ${machine}`, () => answer(api.GET('/machines/{machine}/walk', { params: { path: { machine } } }))),
  });

export const trendsQuery = (machine: number) =>
  queryOptions({
    queryKey: ['machine', machine, 'trends'],
    queryFn: () => answer(api.GET('/machines/{machine}/trends', { params: { path: { machine } } })),
  });

export const findingQuery = (machine: number, check: string) =>
  queryOptions({
    queryKey: ['machine', machine, 'finding', check],
    queryFn: () => answer(api.GET('/machines/{machine}/findings/{check}', { params: { path: { machine, check } } })),
  });

/** Every spot of a machine with what is told of it. */
export const plateQuery = (machine: number) =>
  queryOptions({
    queryKey: ['machine', machine, 'plate'],
    queryFn: () =>
      kept(`plate ${machine}`, () => answer(api.GET('/machines/{machine}/plate', { params: { path: { machine } } }))),
  });

/** All that is known of one spot. */
export const spotQuery = (machine: number, spot: string) =>
  queryOptions({
    queryKey: ['machine', machine, 'spot', spot],
    queryFn: () =>
      kept(`spot ${machine} ${spot}`, () =>
        answer(api.GET('/machines/{machine}/spots/{spot}', { params: { path: { machine, spot } } })),
      ),
  });
