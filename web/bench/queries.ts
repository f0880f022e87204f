import { $api } from '../api/client';
import { of } from '../api/queries';

export const jobsQuery = $api.queryOptions('get', '/jobs');

/** A job with all that its steps need, kept so that it can be worked without signal. */
export const jobQuery = (job: string) => $api.queryOptions('get', '/jobs/{job}', { params: { path: { job } } });

export const choicesQuery = (machine: number) =>
  $api.queryOptions('get', '/machines/{machine}/job-choices', of(machine));
