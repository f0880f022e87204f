import createClient, { type Middleware } from 'openapi-fetch';
import createQueryClient from 'openapi-react-query';
import { deviceNow } from '../offline/deviceTime';
import { PATIENCE, reach, sendBytes } from '../offline/reach';
import { type Problem, Refused, UNREACHABLE } from '../offline/refused';
import { heardClock } from './clock';
import type { components, paths } from './schema';

export type Schemas = components['schemas'];

/** Whether what was sent can hardly be right, and is taken with a reason. */
export const asksWhy = (problem?: Problem | null): boolean =>
  problem?.type === '/problems/implausible-reading' || problem?.type === '/problems/unlikely';

const DEVICE = { 'Jardinier-Device': /Mobi/.test(navigator.userAgent) ? 'phone' : 'desk' } as const;

const asked = new WeakMap<Request, number>();

const throwing: Middleware = {
  onRequest({ request }) {
    request.headers.set('Accept', 'application/json');
    if (request.method !== 'GET') for (const [name, value] of Object.entries(DEVICE)) request.headers.set(name, value);
    asked.set(request, deviceNow().getTime());
    return request;
  },
  async onResponse({ request, response }) {
    heardClock(response.headers.get('Jardinier-Clock'), asked.get(request) ?? 0, deviceNow().getTime());
    if (!response.ok) throw refusal(response.status, await response.text(), response.headers.get('Retry-After'));
  },
};

function refusal(status: number, body: string, retryAfter: string | null): Refused {
  try {
    const problem = JSON.parse(body) as Problem;
    return new Refused(problem.detail ? problem : { ...UNREACHABLE, status }, retryAfter);
  } catch {
    return new Refused({ ...UNREACHABLE, status }, retryAfter);
  }
}

/** What is posted only because it is long, and changes nothing. */
const READ_BY_POST = /\/(verdict|preview|will-it-do|spot-suggestions|typing)$|\/reckon\//;

const isRead = ({ method, url }: Request): boolean => method === 'GET' || READ_BY_POST.test(url);

/** Every request throws `Refused` where it is refused or nobody answers. */
export const api = createClient<paths>({
  baseUrl: '/api',
  fetch: (request) => reach(request, isRead(request) ? PATIENCE.read : PATIENCE.write),
});
api.use(throwing);

/** The same as queries, whose keys are method, path and parameters. */
export const $api = createQueryClient(api);

/** What was answered. */
export const answer = async <T>(request: Promise<{ data?: T }>): Promise<T> => (await request).data as T;

/** All that the yard says of a refusal. */
export const problemOf = ({ problem }: Refused): Schemas['Problem'] => problem;

/** Sends a picture for as long as its bytes move. */
export async function sendPhoto(machine: number, form: FormData): Promise<void> {
  const headers = { Accept: 'application/json', ...DEVICE };
  const { status, body, retryAfter } = await sendBytes(`/api/machines/${machine}/photos`, form, headers);
  if (status < 200 || status > 299) throw refusal(status, body, retryAfter);
}

/** A key under which one write is sent, however often it is tried. */
export function writeKey(): { 'Idempotency-Key': string } {
  const bytes = crypto.getRandomValues(new Uint8Array(16));
  return { 'Idempotency-Key': Array.from(bytes, (byte) => byte.toString(16).padStart(2, '0')).join('') };
}
