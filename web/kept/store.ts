import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Problem, Schemas } from '../api/client';

/** A note that waits on this device, with its pictures. */
export type KeptNote = {
  seq?: number;
  person: number;
  note: Schemas['Note'];
  /** What it says, for whoever looks at what waits. */
  label: string;
  photos: { id: string; blob: Blob }[];
  /** Written down by the yard already; only its pictures still wait. */
  written: boolean;
  refused?: Problem;
};

/** How far somebody has come with a round on this device. */
export type Progress = {
  started_at: string;
  day: string;
  answers: Record<string, Answered>;
  ended: boolean;
};

export type Answered = {
  note: string;
  said: Schemas['Said'] | 'read' | 'greased';
  /** Null where nobody can tell yet, or it was not looked at. */
  verdict: Schemas['Verdict'] | null;
  words: string;
  values?: Record<string, unknown>;
};

interface Kept extends DBSchema {
  notes: { key: number; value: KeptNote };
  answers: { key: string; value: unknown };
  rounds: { key: string; value: Progress };
}

/** What is asked of a store, on the device or in this page alone. */
type Store = Pick<IDBPDatabase<Kept>, 'get' | 'getAll' | 'add' | 'put' | 'delete' | 'clear'>;

const PATIENCE = 4_000;

let opened: Promise<Store> | null = null;
let inPageOnly = false;

/** What this device keeps while it is out of reach. Where the browser keeps nothing, or does not answer, this page keeps it as long as it is open. */
export function store(): Promise<Store> {
  opened ??= Promise.race([openOnDevice(), givenUp()]).catch(keepInPage);
  return opened;
}

/** Asks something that must not be lost: of a device that fails twice, from there on of this page. */
export async function withStore<T>(ask: (store: Store) => Promise<T>): Promise<T> {
  const of = async (place: () => Promise<Store>) => ask(await place());
  return of(store)
    .catch(() => of(store))
    .catch(() => of(keepInPage));
}

/** Whether all that is kept is lost with this page. */
export const keptInPageOnly = (): boolean => inPageOnly;

/** What the device holds already is found when the page is opened anew. */
function keepInPage(): Promise<Store> {
  inPageOnly = true;
  opened = Promise.resolve(new PageStore() as unknown as Store);
  return opened;
}

function openOnDevice(): Promise<Store> {
  return openDB<Kept>('jardinier', 1, {
    upgrade(db) {
      db.createObjectStore('notes', { keyPath: 'seq', autoIncrement: true });
      db.createObjectStore('answers');
      db.createObjectStore('rounds');
    },
    // The browser may close it, for want of room or because somebody cleared what it keeps.
    terminated() {
      opened = null;
    },
  });
}

const givenUp = (): Promise<never> =>
  new Promise((_, reject) => setTimeout(() => reject(new Error('What this device keeps cannot be opened.')), PATIENCE));

/** The same for as long as the page is open. */
class PageStore {
  readonly #stores = new Map<string, Map<unknown, unknown>>();
  #last = 0;

  #of(name: string): Map<unknown, unknown> {
    const found = this.#stores.get(name) ?? new Map();
    this.#stores.set(name, found);
    return found;
  }

  async get(name: string, key: unknown): Promise<unknown> {
    return structuredClone(this.#of(name).get(key));
  }

  async getAll(name: string): Promise<unknown[]> {
    return [...this.#of(name).values()].map((value) => structuredClone(value));
  }

  async add(name: string, value: object): Promise<number> {
    this.#last += 1;
    this.#of(name).set(this.#last, structuredClone({ ...value, seq: this.#last }));
    return this.#last;
  }

  async put(name: string, value: object, key: unknown = (value as KeptNote).seq): Promise<void> {
    this.#of(name).set(key, structuredClone(value));
  }

  async delete(name: string, key: unknown): Promise<void> {
    this.#of(name).delete(key);
  }

  async clear(name: string): Promise<void> {
    this.#of(name).clear();
  }
}

export function newId(): string {
  // Written out, because `crypto.randomUUID` is missing where a yard is served without a certificate.
  const random = () => crypto.getRandomValues(new Uint8Array(1))[0] ?? 0;
  return '10000000-1000-4000-8000-100000000000'.replace(/[018]/g, (digit) =>
    (Number(digit) ^ (random() & (15 >> (Number(digit) / 4)))).toString(16),
  );
}
