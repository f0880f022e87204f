import { CUT_OFF, Refused, UNREACHABLE } from './refused';

/** How long somebody waits for the first byte of an answer, in milliseconds. */
export const PATIENCE = { read: 6_000, write: 20_000 } as const;

/** How often long work is asked after. */
const ASKED_AFTER = 6;

/**
 * A fetch that gives up where nobody answers, however long the signal seems to be there. What comes slowly once it has begun is waited for. Work that may
 * take long has a key of its own, and is asked after under it: it is done once, however often it is asked for.
 */
export async function reach(request: Request, patience: number): Promise<Response> {
  const isLongWork = request.method === 'POST' && request.headers.has('Idempotency-Key');
  for (let left = isLongWork ? ASKED_AFTER : 1; ; left--) {
    try {
      return await reachOnce(left > 1 ? request.clone() : request, patience);
    } catch (thrown) {
      if (!(thrown instanceof Silence) || left === 1) throw thrown;
    }
  }
}

/** Nobody answered, and nobody said that there is nobody. */
class Silence extends Refused {}

async function reachOnce(request: Request, patience: number): Promise<Response> {
  const giveUp = new AbortController();
  let isSilent = false;
  const timer = setTimeout(() => {
    isSilent = true;
    giveUp.abort();
  }, patience);
  const leave = () => giveUp.abort();
  request.signal.addEventListener('abort', leave);
  try {
    return await fetch(request, { signal: giveUp.signal });
  } catch (thrown) {
    if (request.signal.aborted) throw thrown;
    if (isSilent) throw new Silence(UNREACHABLE);
    throw new Refused(navigator.onLine ? UNREACHABLE : { ...UNREACHABLE, type: CUT_OFF });
  } finally {
    clearTimeout(timer);
    request.signal.removeEventListener('abort', leave);
  }
}

/**
 * Sends bytes for as long as any of them move.
 *
 * @returns status, body and what the answer says of when to ask again
 */
export function sendBytes(
  address: string,
  body: FormData,
  headers: Record<string, string>,
): Promise<{ status: number; body: string; retryAfter: string | null }> {
  return new Promise((resolve, reject) => {
    const request = new XMLHttpRequest();
    let stall: ReturnType<typeof setTimeout>;
    const moved = () => {
      clearTimeout(stall);
      stall = setTimeout(() => request.abort(), PATIENCE.write);
    };
    request.open('POST', address);
    for (const [name, value] of Object.entries(headers)) request.setRequestHeader(name, value);
    request.upload.onprogress = moved;
    request.onprogress = moved;
    request.onload = () =>
      resolve({
        status: request.status,
        body: request.responseText,
        retryAfter: request.getResponseHeader('Retry-After'),
      });
    request.onloadend = () => {
      clearTimeout(stall);
      reject(new Refused(UNREACHABLE));
    };
    moved();
    request.send(body);
  });
}
