import { queryOptions } from '@tanstack/react-query';
import { answer, api, type Schemas } from '../api/client';
import { kept } from '../kept/kept';

/** What is kept, how much of it there is, and what waits for collection. */
export const shelfQuery = queryOptions({
  queryKey: ['shelf'],
  queryFn: () => kept('shelf', () => answer(api.GET('/shelf'))),
});

export const supplyQuery = (id: number) =>
  queryOptions({
    queryKey: ['shelf', 'supply', id],
    queryFn: () =>
      kept(`supply ${id}`, () => answer(api.GET('/supplies/{supply}', { params: { path: { supply: id } } }))),
  });

/** While it is being reckoned. */
const ASK_AGAIN = 5000;

export const ordersQuery = (preference: Schemas['Preference']) =>
  queryOptions({
    queryKey: ['shelf', 'orders', preference],
    queryFn: () => answer(api.GET('/shelf/orders', { params: { query: { preference } } })),
    placeholderData: (before) => before,
    refetchInterval: ({ state }) => (state.data?.is_behind ? ASK_AGAIN : false),
  });

export type Asked = {
  until: string;
  machines: number[];
  /** Rules that are due by then and left out. */
  without: number[];
  /** Rules besides what is due. */
  rules: number[];
  preference: Schemas['Preference'];
};

/** What all that is due by a day needs, but for some, and some besides. */
export const needsQuery = ({ until, machines, without, rules, preference }: Asked) =>
  queryOptions({
    queryKey: ['shelf', 'needs', until, machines, without, rules, preference],
    queryFn: () =>
      answer(
        api.GET('/needs', {
          params: {
            query: { until, preference, 'machines[]': machines, 'without[]': without, 'rules[]': rules },
          },
          querySerializer: (query) =>
            Object.entries(query)
              .flatMap(([name, value]) => [value ?? []].flat().map((one) => `${name}=${encodeURIComponent(one)}`))
              .join('&'),
        }),
      ),
    placeholderData: (before) => before,
  });

export const worksQuery = queryOptions({
  queryKey: ['shelf', 'works'],
  queryFn: () => answer(api.GET('/works')),
});

export const listsQuery = queryOptions({
  queryKey: ['shelf', 'lists'],
  queryFn: () => kept('lists', () => answer(api.GET('/lists'))),
});

export const listQuery = (id: number) =>
  queryOptions({
    queryKey: ['shelf', 'list', id],
    queryFn: () => kept(`list ${id}`, () => answer(api.GET('/lists/{list}', { params: { path: { list: id } } }))),
  });
