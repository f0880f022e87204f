import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { afterEach, beforeEach, vi } from 'vitest';
import { reopen } from '../../web/offline/device';

/** A browser as far as the phone's core asks for one: what it keeps between pages, and its events. */
class Pocket implements Storage {
  readonly #kept = new Map<string, string>();
  [name: string]: unknown;
  get length(): number {
    return this.#kept.size;
  }
  key = (index: number) => [...this.#kept.keys()][index] ?? null;
  getItem = (name: string) => this.#kept.get(name) ?? null;
  setItem(name: string, value: string): void {
    this.#kept.set(name, value);
    Object.defineProperty(this, name, { value, enumerable: true, configurable: true });
  }
  removeItem(name: string): void {
    this.#kept.delete(name);
    delete this[name];
  }
  clear(): void {
    for (const name of [...this.#kept.keys()]) this.removeItem(name);
  }
}

/** Who asks for a lock waits until those before let go of it. */
class Locks {
  readonly #last = new Map<string, Promise<unknown>>();
  request(name: string, does: () => Promise<unknown>): Promise<unknown> {
    const done = (this.#last.get(name) ?? Promise.resolve()).then(does);
    this.#last.set(
      name,
      done.catch(() => undefined),
    );
    return done;
  }
}

const closings: (() => void)[] = [];

/** What is closed when the page ends. */
export const atEnd = (close: () => void): number => closings.push(close);

/** The page ends, whatever it was doing, and another is opened on the same device. */
export async function pageEnds(): Promise<void> {
  for (const close of closings.splice(0)) close();
  vi.stubGlobal('navigator', { locks: new Locks(), onLine: true });
  await reopen();
}

/** A busy machine takes its time. */
export const eventually = <T>(holds: () => T | Promise<T>): Promise<T> => vi.waitFor(holds, { timeout: 20_000 });

beforeEach(async () => {
  await pageEnds();
  vi.stubGlobal('indexedDB', new IDBFactory());
  vi.stubGlobal('localStorage', new Pocket());
  vi.stubGlobal('window', new EventTarget());
  vi.stubGlobal('document', new EventTarget());
});

afterEach(() => {
  for (const close of closings.splice(0)) close();
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
