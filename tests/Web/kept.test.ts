import { QueryClient, type QueryFunction } from '@tanstack/react-query';
import { openDB } from 'idb';
import { describe, expect, it, vi } from 'vitest';
import { Answers } from '../../web/offline/answers';
import { keptInPageOnly, withDevice } from '../../web/offline/device';
import { forgetDrafts } from '../../web/offline/drafts';
import { forgetWhatWasRead } from '../../web/offline/forget';
import type { KeptNote } from '../../web/offline/note';
import { fromPocket, intoPocket, namesInPocket, pocketIsRefused } from '../../web/offline/pocket';
import { changeAnswers } from '../../web/offline/progress';
import { PATIENCE, reach, sendBytes } from '../../web/offline/reach';
import { Refused, UNREACHABLE } from '../../web/offline/refused';
import { becomes, whose } from '../../web/offline/whose';
import { eventually, pageEnds } from './device';

const HOUR = 3_600_000;
const KEY = ['get', '/yard'];

/** A page that asks as the application does. */
function page(ask: QueryFunction<unknown>, version = 'one') {
  const answers = new Answers({
    version,
    hasShape: (_key, answer) => typeof answer === 'object' && answer !== null && 'name' in answer,
    mayKeep: ([, path]) => path !== '/people',
  });
  const queries = new QueryClient({
    defaultOptions: { queries: { persister: answers.persist, networkMode: 'always', retry: false, staleTime: 15_000 } },
  });
  const read = (key = KEY) => queries.fetchQuery({ queryKey: key, queryFn: ask });
  const shown = () => queries.getQueryState<{ name: string }>(KEY);
  return { answers, queries, read, shown };
}

const silent = () => Promise.reject(new Refused(UNREACHABLE));
const kept = async () => (await withDevice((device) => device.all('answers'))).map(([name]) => name);
const isKept = (many: number) => eventually(async () => expect(await kept()).toHaveLength(many));

describe("an answer of the yard's", () => {
  it('is shown at once as old as it is, and asked for anew behind that', async () => {
    await page(async () => ({ name: 'Coldbrook' })).read();
    await isKept(1);
    const before = Date.now();
    vi.useFakeTimers({ now: before + 26 * HOUR, toFake: ['Date'] });
    let answered = (_: unknown) => {};
    const later = page(
      () =>
        new Promise((resolve) => {
          answered = resolve;
        }),
    );
    expect(await later.read()).toEqual({ name: 'Coldbrook' });
    await eventually(() => expect(later.shown()?.fetchStatus).toBe('fetching'));
    expect(later.shown()?.dataUpdatedAt).toBeLessThanOrEqual(before);
    answered({ name: 'Coldbrook House' });
    await eventually(() => expect(later.shown()?.data).toEqual({ name: 'Coldbrook House' }));
    expect(later.shown()?.dataUpdatedAt).toBeGreaterThan(before + 25 * HOUR);
  });

  it.each([0, 500, 502, 503])('stays where the yard answers %i, with its age', async (status) => {
    await page(async () => ({ name: 'Coldbrook' })).read();
    await isKept(1);
    const asked = Date.now();
    vi.useFakeTimers({ now: asked + 7 * 24 * HOUR, toFake: ['Date'] });
    const later = page(() => Promise.reject(new Refused({ ...UNREACHABLE, status })));
    expect(await later.read()).toEqual({ name: 'Coldbrook' });
    await eventually(() => expect(later.shown()?.errorUpdateCount).toBe(1));
    expect(later.shown()?.data).toEqual({ name: 'Coldbrook' });
    expect(later.shown()?.dataUpdatedAt).toBeLessThanOrEqual(asked);
  });

  it('is forgotten after a month in a drawer', async () => {
    await page(async () => ({ name: 'Coldbrook' })).read();
    await isKept(1);
    vi.useFakeTimers({ now: Date.now() + 31 * 24 * HOUR, toFake: ['Date'] });
    await expect(page(silent).read()).rejects.toThrow(Refused);
  });

  it('of an earlier version of the program is not read', async () => {
    await page(async () => ({ name: 'Coldbrook' }), 'one').read();
    await isKept(1);
    await expect(page(silent, 'two').read()).rejects.toThrow(Refused);
  });

  it('of another shape is not read', async () => {
    const odd = page(async () => ({ title: 'Coldbrook' }));
    await odd.read();
    await isKept(1);
    await expect(page(silent).read()).rejects.toThrow(Refused);
  });

  it("of one person is not another's", async () => {
    becomes(5);
    await page(async () => ({ name: 'Of five' })).read();
    await isKept(1);
    becomes(6);
    await expect(page(silent).read()).rejects.toThrow(Refused);
    becomes(5);
    expect(await page(silent).read()).toEqual({ name: 'Of five' });
  });

  it('that says who may come in is never kept', async () => {
    const people = page(async () => ({ name: 'x' }));
    await people.read(['get', '/people']);
    await people.read();
    await isKept(1);
    expect(await kept()).toEqual(['nobody-["get","/yard"]']);
  });

  it('is changed where it lies by what was told here, and is as old as it was', async () => {
    const before = page(async () => ({ name: 'Coldbrook' }));
    await before.read();
    await isKept(1);
    const at = before.shown()?.dataUpdatedAt;
    await before.answers.change<{ name: string }>(KEY, ({ name }) => ({ name: `${name}, told` }));
    vi.useFakeTimers({ now: Date.now() + HOUR, toFake: ['Date'] });
    const later = page(silent);
    expect(await later.read()).toEqual({ name: 'Coldbrook, told' });
    await eventually(() => expect(later.shown()?.dataUpdatedAt).toBe(at));
  });
});

describe('a device', () => {
  const note: Omit<KeptNote, 'seq'> = {
    person: 5,
    note: { id: 'a', at: '', kind: 'remark' },
    label: '',
    photos: [],
    state: 'waiting',
    tried: false,
    attended: false,
  };

  it('that is full makes room for what was written by forgetting what was read', async () => {
    await withDevice((device) => device.change('answers', 'much', () => 'read'));
    const put = IDBObjectStore.prototype.add;
    const add = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementationOnce(() => {
      throw new DOMException('', 'QuotaExceededError');
    });
    await withDevice((device) => device.add(note));
    add.mockRestore();
    expect(put).toBeDefined();
    expect(await kept()).toEqual([]);
    expect(await withDevice((device) => device.all('notes'))).toHaveLength(1);
    expect(keptInPageOnly()).toBe(false);
  });

  it('that keeps nothing leaves it to the page, which says so', async () => {
    await pageEnds();
    vi.stubGlobal('indexedDB', {
      open: () => {
        throw new DOMException('', 'SecurityError');
      },
    });
    await withDevice((device) => device.add(note));
    expect((await withDevice((device) => device.all('notes'))).map(([, { label }]) => label)).toEqual(['']);
    expect(keptInPageOnly()).toBe(true);
  });

  it('that never answers leaves it to the page after four seconds', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    await pageEnds();
    vi.stubGlobal('indexedDB', { open: () => Object.assign(new EventTarget(), {}) });
    const added = withDevice((device) => device.add(note));
    await vi.advanceTimersByTimeAsync(4_100);
    await added;
    expect(keptInPageOnly()).toBe(true);
  });

  it('of the first version brings its notes along, and what came back as what came back', async () => {
    const old = await openDB('jardinier', 1, {
      upgrade(db) {
        db.createObjectStore('notes', { keyPath: 'seq', autoIncrement: true });
        db.createObjectStore('answers');
        db.createObjectStore('rounds');
      },
    });
    const base = { person: 5, label: '', photos: [] };
    await old.add('notes', { ...base, note: { id: 'waits' }, written: false });
    await old.add('notes', { ...base, note: { id: 'shows' }, written: true });
    await old.add('notes', { ...base, note: { id: 'back' }, written: false, refused: { status: 422 } });
    await old.put('answers', { name: 'old' }, 'yard');
    old.close();
    const notes = await withDevice((device) => device.all('notes'));
    expect(
      notes.map(
        ([
          ,
          {
            note: { id },
            state,
            tried,
            problem,
          },
        ]) => [id, state, tried, problem?.status],
      ),
    ).toEqual([
      ['waits', 'waiting', true, undefined],
      ['shows', 'written', true, undefined],
      ['back', 'refused', true, 422],
    ]);
    expect(await kept()).toEqual([]);
  });

  it('forgets what was read and begun, and keeps what was written and not sent', async () => {
    await withDevice((device) => device.add(note));
    await withDevice((device) => device.change('answers', 'yard', () => 'read'));
    await withDevice((device) =>
      device.change('rounds', 'r', () => ({ started_at: '', day: '', answers: {}, ended: false })),
    );
    intoPocket('draft.5.service', '"half"');
    await forgetWhatWasRead();
    expect(await kept()).toEqual([]);
    expect(await withDevice((device) => device.all('rounds'))).toEqual([]);
    expect(namesInPocket('draft.')).toEqual([]);
    expect(await withDevice((device) => device.all('notes'))).toHaveLength(1);
  });
});

describe('a round', () => {
  it('takes each verdict that comes, however many come at once', async () => {
    const round = {
      started_at: '',
      day: '2026-03-29',
      answers: { battery: { note: 'a' }, play: { note: 'b' } },
      ended: false,
    };
    await withDevice((device) => device.change('rounds', '5 1 daily', () => round));
    const verdict = (of: string, says: string) =>
      changeAnswers<{ note: string; verdict?: string }>((answer) =>
        answer.note === of ? { ...answer, verdict: says } : answer,
      );
    await Promise.all([verdict('a', 'act'), verdict('b', 'fit')]);
    expect((await withDevice((device) => device.get('rounds', '5 1 daily')))?.answers).toEqual({
      battery: { note: 'a', verdict: 'act' },
      play: { note: 'b', verdict: 'fit' },
    });
  });
});

describe('a pocket', () => {
  it("that the browser refuses is the page's own", () => {
    vi.stubGlobal('localStorage', {
      get getItem() {
        throw new DOMException('', 'SecurityError');
      },
      get setItem() {
        throw new DOMException('', 'SecurityError');
      },
    });
    intoPocket('scheme', 'shed');
    becomes(7);
    expect([fromPocket('scheme'), whose(), pocketIsRefused()]).toEqual(['shed', 7, true]);
    forgetDrafts();
  });

  it('that is full keeps what it cannot hold as long as the page is open', () => {
    intoPocket('draft.5.a', 'before');
    const set = vi.spyOn(localStorage, 'setItem').mockImplementation(() => {
      throw new DOMException('', 'QuotaExceededError');
    });
    intoPocket('draft.5.a', 'longer');
    set.mockRestore();
    expect(fromPocket('draft.5.a')).toBe('longer');
  });
});

describe('a request', () => {
  const waiting = (signal: AbortSignal) =>
    new Promise<Response>((_, reject) =>
      signal.addEventListener('abort', () => reject(new DOMException('', 'AbortError'))),
    );

  it.each([
    ['GET', PATIENCE.read],
    ['POST', PATIENCE.write],
  ])('that nobody answers is given up: %s after %i ms', async (method, after) => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    vi.stubGlobal('fetch', (_: Request, { signal }: { signal: AbortSignal }) => waiting(signal));
    const asked = reach(new Request('http://yard.test/api/yard', { method }), after);
    const thrown = vi.fn();
    asked.catch(thrown);
    await vi.advanceTimersByTimeAsync(after - 10);
    expect(thrown).not.toHaveBeenCalled();
    await vi.advanceTimersByTimeAsync(20);
    await expect(asked).rejects.toMatchObject({ problem: { status: 0 } });
  });

  it('for long work is asked after under its own key, until it is answered', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    const asked: (string | null)[] = [];
    vi.stubGlobal('fetch', async (request: Request, { signal }: { signal: AbortSignal }) => {
      asked.push(`${request.headers.get('Idempotency-Key')} ${await request.text()}`);
      return asked.length < 3 ? waiting(signal) : new Response('{"done":true}');
    });
    const post = new Request('http://yard.test/api/jobs', {
      method: 'POST',
      headers: { 'Idempotency-Key': 'k' },
      body: 'lay it out',
    });
    const response = reach(post, PATIENCE.write);
    await vi.advanceTimersByTimeAsync(40_100);
    expect(await (await response).json()).toEqual({ done: true });
    expect(asked).toEqual(['k lay it out', 'k lay it out', 'k lay it out']);
  });

  it('that is answered slowly once it has begun is waited for', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    vi.stubGlobal('fetch', async () => new Response('{}'));
    const response = await reach(new Request('http://yard.test/api/yard'), PATIENCE.read);
    await vi.advanceTimersByTimeAsync(60_000);
    expect(await response.text()).toBe('{}');
  });

  it('that nobody wants any more ends, and is not called silence', async () => {
    vi.stubGlobal('fetch', (_: Request, { signal }: { signal: AbortSignal }) => waiting(signal));
    const leave = new AbortController();
    const asked = reach(new Request('http://yard.test/api/yard', { signal: leave.signal }), PATIENCE.read);
    leave.abort();
    await expect(asked).rejects.toMatchObject({ name: 'AbortError' });
  });
});

describe('a picture on its way', () => {
  /** As much of a request as moves bytes. */
  class Moving {
    static last: Moving;
    upload: { onprogress?: () => void } = {};
    onload?: () => void;
    onloadend?: () => void;
    status = 201;
    responseText = '{}';
    open = vi.fn();
    send = vi.fn();
    setRequestHeader = vi.fn();
    getResponseHeader = () => null;
    abort = vi.fn(() => this.onloadend?.());
    constructor() {
      Moving.last = this;
    }
  }

  it('is waited for as long as bytes move, however slowly, and given up when none does', async () => {
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    vi.stubGlobal('XMLHttpRequest', Moving);
    const slow = sendBytes('/api/x', new FormData(), {});
    for (let second = 0; second < 120; second += 15) {
      await vi.advanceTimersByTimeAsync(15_000);
      Moving.last.upload.onprogress?.();
    }
    expect(Moving.last.abort).not.toHaveBeenCalled();
    Moving.last.onload?.();
    expect((await slow).status).toBe(201);

    const stuck = sendBytes('/api/x', new FormData(), {});
    stuck.catch(() => undefined);
    await vi.advanceTimersByTimeAsync(20_100);
    await expect(stuck).rejects.toMatchObject({ problem: { status: 0 } });
  });
});
