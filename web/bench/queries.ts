import { queryOptions } from '@tanstack/react-query';
import { answer, api } from '../api/client';
import { kept } from '../kept/kept';

export const jobsQuery = queryOptions({
  queryKey: ['jobs'],
  queryFn: () => kept('jobs', () => answer(api.GET('/jobs'))),
});

/** A job with all that its steps need, kept so that it can be worked without signal. */
export const jobQuery = (job: string) =>
  queryOptions({
    queryKey: ['jobs', job],
    queryFn: () => kept(`job ${job}`, () => answer(api.GET('/jobs/{job}', { params: { path: { job } } }))),
  });

export const choicesQuery = (machine: number) =>
  queryOptions({
    queryKey: ['machine', machine, 'job-choices'],
    queryFn: () => answer(api.GET('/machines/{machine}/job-choices', { params: { path: { machine } } })),
  });
