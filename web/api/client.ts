import createClient from 'openapi-fetch';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];
export type Problem = Schemas['Problem'];

/** A request that was refused, with the server's own words. */
export class Refused extends Error {
  readonly problem: Problem;

  constructor(problem: Problem) {
    super(problem.detail);
    this.problem = problem;
  }

  /** Whether the same may be answered a moment later: nobody answered, or the yard is being put right. */
  get mayPass(): boolean {
    return this.problem.status === 0 || this.problem.status >= 500;
  }

  /** Messages by field. */
  get fields(): Record<string, string> {
    return Object.fromEntries(
      Object.entries(this.problem.errors ?? {}).map(([field, messages]) => [field, messages.join(' ')]),
    );
  }
}

/** Whether what was sent can hardly be right, and is taken with a reason. */
export const asksWhy = (problem?: Problem | null): boolean =>
  problem?.type === '/problems/implausible-reading' || problem?.type === '/problems/unlikely';

const UNREACHABLE: Problem = {
  type: '/problems/unreachable',
  title: 'No answer',
  status: 0,
  detail: 'The yard does not answer. What you typed is kept here; try again when there is a connection.',
};

const device = /Mobi/.test(navigator.userAgent) ? 'phone' : 'desk';

const client = createClient<paths>({ baseUrl: '/api' });
client.use({
  onRequest({ request }) {
    request.headers.set('Accept', 'application/json');
    if (request.method !== 'GET') {
      request.headers.set('Jardinier-Device', device);
    }
    return request;
  },
  onError: () => new Refused(UNREACHABLE),
});

export const api = client;

/** The answer of a request, or its refusal thrown. */
export async function answer<T>(request: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await request;
  if (!response.ok) {
    const problem = error as Problem | undefined;
    throw new Refused(problem?.detail ? problem : { ...UNREACHABLE, status: response.status });
  }
  return data as T;
}

/** A key under which one write is sent, however often it is tried. */
export function writeKey(): { 'Idempotency-Key': string } {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return { 'Idempotency-Key': Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('') };
}
