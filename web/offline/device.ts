import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { KeptNote } from './note';
import type { Progress } from './progress';

/** What this device keeps while the yard is out of reach. */
interface Kept extends DBSchema {
  notes: { key: number; value: KeptNote };
  answers: { key: string; value: unknown };
  rounds: { key: string; value: Progress };
}

type Store = 'notes' | 'answers' | 'rounds';
type Value<S extends Store> = Kept[S]['value'];
type Key<S extends Store> = Kept[S]['key'];

/** What is asked of a place that keeps things: the device, or this page alone. */
interface Place {
  get<S extends Store>(store: S, key: Key<S>): Promise<Value<S> | undefined>;
  all<S extends Store>(store: S): Promise<[Key<S>, Value<S>][]>;
  add(note: Omit<KeptNote, 'seq'>): Promise<void>;
  /** In one transaction, from what is kept at that moment; what comes back as nothing is deleted. */
  change<S extends Store>(
    store: S,
    key: Key<S>,
    by: (before: Value<S> | undefined) => Value<S> | undefined,
  ): Promise<Value<S> | undefined>;
  clear(store: Store): Promise<void>;
}

const PATIENCE = 4_000;

let opened: Promise<Place> | null = null;
let inPageOnly = false;

/** Asks something that must not be lost: of a device that fails twice, from there on of this page. */
export async function withDevice<T>(ask: (place: Place) => Promise<T>): Promise<T> {
  const of = async (place: () => Promise<Place>) => ask(await place());
  return of(place)
    .catch(async (thrown: unknown) => {
      // What was read can be read again; what was written cannot, and has the room first.
      if (isFull(thrown)) await (await place()).clear('answers');
      return of(place);
    })
    .catch(() => of(keepInPage));
}

/** Whether all that is kept is lost with this page. */
export const keptInPageOnly = (): boolean => inPageOnly;

/** Opens the device anew, as a page does that is opened anew. */
export async function reopen(): Promise<void> {
  const before = await opened;
  if (before instanceof OnDevice) before.close();
  opened = null;
  inPageOnly = false;
}

const isFull = (thrown: unknown): boolean => thrown instanceof DOMException && thrown.name === 'QuotaExceededError';

function place(): Promise<Place> {
  opened ??= Promise.race([openOnDevice(), givenUp()]).catch(keepInPage);
  return opened;
}

/** What the device holds already is found when the page is opened anew. */
function keepInPage(): Promise<Place> {
  inPageOnly = true;
  opened = Promise.resolve(new InPage());
  return opened;
}

const STORES = ['notes', 'answers', 'rounds'] as const;
/** Each change of what is kept here raises it; nothing of an earlier one is read as though it were of this. */
const VERSION = 2;

async function openOnDevice(): Promise<Place> {
  const database = await openDB<Kept>('jardinier', VERSION, {
    async upgrade(db, before, _after, transaction) {
      if (before === 0) {
        db.createObjectStore('notes', { keyPath: 'seq', autoIncrement: true });
        db.createObjectStore('answers');
        db.createObjectStore('rounds');
        return;
      }
      await transaction.objectStore('answers').clear();
      for await (const cursor of transaction.objectStore('notes')) {
        const { written, refused, ...rest } = cursor.value as KeptNote & {
          written?: boolean;
          refused?: KeptNote['problem'];
        };
        if (refused) rest.problem = refused;
        await cursor.update({ ...rest, tried: true, state: refused ? 'refused' : written ? 'written' : 'waiting' });
      }
    },
    // A newer program in another tab brings what is kept up to date: it is not kept waiting.
    blocking(_before, _after, event) {
      (event.target as IDBDatabase).close();
      opened = null;
    },
    // The browser may close it, for want of room or because somebody cleared what it keeps.
    terminated() {
      opened = null;
    },
  });
  return new OnDevice(database);
}

const givenUp = (): Promise<never> =>
  new Promise((_, reject) => setTimeout(() => reject(new Error('What this device keeps cannot be opened.')), PATIENCE));

class OnDevice implements Place {
  readonly #database: IDBPDatabase<Kept>;

  constructor(database: IDBPDatabase<Kept>) {
    this.#database = database;
  }

  async get<S extends Store>(store: S, key: Key<S>): Promise<Value<S> | undefined> {
    return this.#database.get(store, key);
  }

  async all<S extends Store>(store: S): Promise<[Key<S>, Value<S>][]> {
    const reading = this.#database.transaction(store);
    const [keys, values] = await Promise.all([reading.store.getAllKeys(), reading.store.getAll()]);
    return keys.map((key, index) => [key, values[index] as Value<S>]);
  }

  async add(note: Omit<KeptNote, 'seq'>): Promise<void> {
    await this.#database.add('notes', note as KeptNote);
  }

  async change<S extends Store>(
    store: S,
    key: Key<S>,
    by: (before: Value<S> | undefined) => Value<S> | undefined,
  ): Promise<Value<S> | undefined> {
    const changing = this.#database.transaction(store, 'readwrite');
    const after = by(await changing.store.get(key));
    await (after === undefined
      ? changing.store.delete(key)
      : changing.store.put(after, store === 'notes' ? undefined : key));
    await changing.done;
    return after;
  }

  async clear(store: Store): Promise<void> {
    await this.#database.clear(store);
  }

  close(): void {
    this.#database.close();
  }
}

/** The same for as long as the page is open. */
class InPage implements Place {
  readonly #stores = new Map<Store, Map<unknown, unknown>>(STORES.map((name) => [name, new Map()]));
  #last = 0;

  #of<S extends Store>(store: S): Map<Key<S>, Value<S>> {
    return this.#stores.get(store) as Map<Key<S>, Value<S>>;
  }

  async get<S extends Store>(store: S, key: Key<S>): Promise<Value<S> | undefined> {
    return structuredClone(this.#of(store).get(key));
  }

  async all<S extends Store>(store: S): Promise<[Key<S>, Value<S>][]> {
    return structuredClone([...this.#of(store)]);
  }

  async add(note: Omit<KeptNote, 'seq'>): Promise<void> {
    this.#last += 1;
    this.#of('notes').set(this.#last, structuredClone({ ...note, seq: this.#last }));
  }

  async change<S extends Store>(
    store: S,
    key: Key<S>,
    by: (before: Value<S> | undefined) => Value<S> | undefined,
  ): Promise<Value<S> | undefined> {
    const after = by(await this.get(store, key));
    if (after === undefined) this.#of(store).delete(key);
    else this.#of(store).set(key, structuredClone(after));
    return after;
  }

  async clear(store: Store): Promise<void> {
    this.#of(store).clear();
  }
}
