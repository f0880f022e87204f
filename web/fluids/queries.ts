import { $api } from '../api/client';
import { of } from '../api/queries';

/** The page of capacities of a machine. */
export const compartmentsQuery = (machine: number) =>
  $api.queryOptions('get', '/machines/{machine}/compartments', of(machine));

/** One compartment and its life. */
export const compartmentQuery = (machine: number, spot: string) =>
  $api.queryOptions('get', '/machines/{machine}/compartments/{spot}', { params: { path: { machine, spot } } });
