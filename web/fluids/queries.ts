import { queryOptions } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { kept } from '../kept/kept';

/** The page of capacities of a machine. */
export const compartmentsQuery = (machine: number) =>
  queryOptions({
    queryKey: ['machine', machine, 'compartments'],
    queryFn: () =>
      kept(`compartments ${machine}`, () =>
        answer(api.GET('/machines/{machine}/compartments', { params: { path: { machine } } })),
      ),
  });

/** One compartment and its life. */
export const compartmentQuery = (machine: number, spot: string) =>
  queryOptions({
    queryKey: ['machine', machine, 'compartments', spot],
    queryFn: () =>
      kept(`compartment ${machine} ${spot}`, () =>
        answer(api.GET('/machines/{machine}/compartments/{spot}', { params: { path: { machine, spot } } })),
      ),
  });
