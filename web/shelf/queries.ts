import { $api, type Schemas } from '../api/client';

export const supplyQuery = (supply: number) =>
  $api.queryOptions('get', '/supplies/{supply}', { params: { path: { supply } } });

/** While it is being reckoned. */
const ASK_AGAIN = 5000;

export const ordersQuery = (preference: Schemas['Preference']) =>
  $api.queryOptions(
    'get',
    '/shelf/orders',
    { params: { query: { preference } } },
    {
      placeholderData: (before) => before,
      refetchInterval: ({ state }) => (state.data?.is_behind ? ASK_AGAIN : false),
    },
  );

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
  $api.queryOptions(
    'get',
    '/needs',
    { params: { query: { until, preference, 'machines[]': machines, 'without[]': without, 'rules[]': rules } } },
    { placeholderData: (before) => before },
  );

export const worksQuery = $api.queryOptions('get', '/works');

export const listsQuery = $api.queryOptions('get', '/lists');

export const listQuery = (list: number) => $api.queryOptions('get', '/lists/{list}', { params: { path: { list } } });
