import { keptInPageOnly, withDevice } from './device';
import {
  after,
  cameBack,
  isOver,
  type KeptNote,
  laneOf,
  type Note,
  type NoteEvent,
  type NoteResult,
  newId,
} from './note';
import { CUT_OFF, Refused } from './refused';

/** Where notes go. All of it throws `Refused`. */
export type Yard<N extends Note, R extends NoteResult> = {
  /** Sends notes in the order given, of this person and no other. */
  write: (notes: N[], attended: string[], person: number) => Promise<R[]>;
  sendPhoto: (note: N, photo: { id: string; blob: Blob }) => Promise<unknown>;
  /** What strikes all that a note wrote, the first of it told under the id given. */
  strikes: (kept: KeptNote<N>, result: R, id: string) => { note: N; label: string }[];
};

export type Sent<N extends Note, R extends NoteResult> = { kept: KeptNote<N>; result: R };

export type Queued<N extends Note> = {
  /** How many are still to be sent, whole or their pictures. */
  waiting: number;
  refused: KeptNote<N>[];
  /** Everything that is kept, those that came back too. */
  notes: KeptNote<N>[];
  /** All of it is lost with this page, because the browser keeps nothing. */
  inPageOnly: boolean;
};

const AT_ONCE = 100;
const LARGEST_AT_ONCE = 200_000;
const TRY_AGAIN_AFTER = 5_000;
const TRY_AGAIN_AT_LEAST_EVERY = 15_000;
/** Whoever waits for an answer longer than this is told that it is kept. */
const PATIENCE = 8_000;

/** What came between the device and the yard, not what was sent: the rest need not be tried now. */
const BETWEEN = [0, 401, 408, 425, 429, 502, 503, 504];

/** What became of a note, for whoever waits for that: its answer, that nobody answered yet, or that nothing of it stands. */
type Heard = { id: string; result: NoteResult } | { id: string; waits: true } | { id: string; takenBack: true };

type News<N extends Note, R extends NoteResult> = { heard: Heard[]; sent: Sent<N, R>[] };

/**
 * The notes of one device on their way to the yard: each exactly once, those of one machine in the order in which they were written, and what is refused back
 * to its writer without keeping anything else waiting. All tabs of a device share it; one of them sends.
 */
export class Queue<N extends Note, R extends NoteResult> {
  readonly #yard: Yard<N, R>;
  readonly #tabs = new BroadcastChannel('jardinier-notes');
  readonly #watchers = new Set<() => void>();
  readonly #receivers = new Set<(sent: Sent<N, R>[]) => void>();
  readonly #listeners = new Set<(heard: Heard) => void>();
  /** What was written lately and may still be taken back, by the id of its note. */
  readonly #lately = new Map<string, Sent<N, R>>();
  #state: Queued<N> = { waiting: 0, refused: [], notes: [], inPageOnly: false };
  #person: number | null = null;
  #again: ReturnType<typeof setTimeout> | undefined;
  #sending = false;
  #silences = 0;

  constructor(yard: Yard<N, R>) {
    this.#yard = yard;
    this.#tabs.addEventListener('message', ({ data }: MessageEvent<News<N, R>>) => {
      this.#take(data);
      void this.#look();
    });
  }

  readonly now = (): Queued<N> => this.#state;

  readonly watch = (watcher: () => void): (() => void) => {
    this.#watchers.add(watcher);
    return () => this.#watchers.delete(watcher);
  };

  /** Is told what the yard has written down, whichever tab sent it. */
  onSent(receiver: (sent: Sent<N, R>[]) => void): () => void {
    this.#receivers.add(receiver);
    return () => this.#receivers.delete(receiver);
  }

  /** From here on this person's notes are sent; another's wait until they sign in here again. */
  open(person: number): () => void {
    this.#person = person;
    const send = () => this.send();
    const stay = (event: BeforeUnloadEvent) =>
      this.#state.inPageOnly && this.#state.waiting > 0 && event.preventDefault();
    window.addEventListener('beforeunload', stay);
    window.addEventListener('online', send);
    document.addEventListener('visibilitychange', send);
    void this.#look().then(send);
    return () => {
      this.#person = null;
      clearTimeout(this.#again);
      window.removeEventListener('beforeunload', stay);
      window.removeEventListener('online', send);
      document.removeEventListener('visibilitychange', send);
    };
  }

  /** Keeps a note on this device, and sends it as soon as there is signal. */
  async keep(note: N, label: string, photos: KeptNote['photos'] = []): Promise<void> {
    await this.#add(note, label, { photos });
    this.send();
  }

  /**
   * Keeps a note and waits for what the yard says of it: what became of it, or that it waits for signal.
   *
   * @throws Refused what the yard refuses; it is not kept then, because whoever typed it still sees it
   */
  async tell(note: N, label: string): Promise<R | 'waits'> {
    const answer = this.#listen((heard) => {
      if (heard.id !== note.id || 'takenBack' in heard) return undefined;
      return 'result' in heard ? heard.result : 'waits';
    });
    await this.#add(note, label, { attended: true });
    this.send();
    const result = await Promise.race([answer.heard, inVain(PATIENCE)]);
    answer.leave();
    if (result === 'waits') {
      await this.#changeById(note.id, { did: 'leave' });
      return 'waits';
    }
    await this.#throwIfRefused(result);
    return result as R;
  }

  /**
   * Takes back what was written here. What never left the device is gone at once; what may have been written is struck after the yard has answered.
   *
   * @returns once nothing of it stands any more
   * @throws Refused what cannot be struck
   */
  async takeBack(id: string): Promise<void> {
    const struckBy = newId();
    const end = this.#listen((heard) => {
      if ('takenBack' in heard) return heard.id === id ? null : undefined;
      return heard.id === struckBy && 'result' in heard ? heard.result : undefined;
    });
    const kept = await this.#changeById(id, { did: 'take back', struckBy });
    const written = this.#lately.get(id);
    const isGone = kept ? kept.state === 'cancelled' : !written || !(await this.#strike(written, struckBy));
    this.send();
    const struck = isGone ? null : await end.heard;
    end.leave();
    if (struck) await this.#throwIfRefused(struck);
  }

  /** Throws away what came back. */
  async drop(id: string): Promise<void> {
    await this.#changeById(id, { did: 'throw away' });
  }

  /** Sends what came back once more, put right. */
  async sendAgain(id: string, note: N): Promise<void> {
    await this.#changeById(id, { did: 'send again', note });
    this.send();
  }

  /** Tries now, where nothing is under way. */
  send(): void {
    void this.#send();
  }

  async #send(): Promise<void> {
    if (this.#sending || this.#person === null) return;
    this.#sending = true;
    clearTimeout(this.#again);
    let wait: number | null = TRY_AGAIN_AFTER;
    try {
      const pass = () => this.#sendAll();
      wait = await (navigator.locks ? navigator.locks.request('jardinier-notes', pass) : pass());
    } finally {
      this.#sending = false;
      await this.#look();
      this.#silences = wait === null ? 0 : this.#silences + 1;
      const longer = Math.min(TRY_AGAIN_AFTER * 2 ** (this.#silences - 1), TRY_AGAIN_AT_LEAST_EVERY);
      // What was noted while the last of the others were sent goes at once.
      if (this.#state.waiting > 0 && this.#person !== null)
        this.#again = setTimeout(() => this.send(), wait === null ? 0 : Math.max(wait, longer));
    }
  }

  /**
   * One pass over all that waits. A machine of which something could not be sent is left until the next.
   *
   * @returns null where all of it went, else after how many milliseconds it may be tried again
   */
  async #sendAll(): Promise<number | null> {
    const held = new Set<number>();
    let wait: number | null = null;
    // What was being sent when its page ended: only one tab sends, and this is it.
    for (const kept of await this.#mine()) if (kept.state === 'sending') await this.#change(kept, SILENCE);
    for (;;) {
      const open = (await this.#mine()).filter((kept) => !cameBack(kept) && !held.has(laneOf(kept)));
      const notes = batch(open.filter(({ state }) => state === 'waiting'));
      const [next] = notes.length > 0 ? notes : open;
      if (!next || this.#person === null) return wait;
      try {
        await (notes.length > 0 ? this.#sendNotes(notes) : this.#sendPhotos(next));
      } catch (thrown) {
        if (!(thrown instanceof Refused)) throw thrown;
        wait = Math.max(wait ?? 0, thrown.again ?? 0);
        if (BETWEEN.includes(thrown.problem.status)) return wait;
        held.add(laneOf(next));
      }
    }
  }

  /** Where a sending fails as a whole, the first of it is sent alone, so that only the one at fault is set aside. */
  async #sendNotes(notes: KeptNote<N>[]): Promise<void> {
    const sending: KeptNote<N>[] = [];
    for (const kept of notes) {
      const changed = await this.#change(kept, { did: 'send' });
      if (changed?.state === 'sending') sending.push(changed);
    }
    const [first, ...others] = sending;
    if (!first) return;
    try {
      const results = await this.#yard.write(
        sending.map(({ note }) => note),
        sending.flatMap(({ attended, note }) => (attended ? note.id : [])),
        first.person,
      );
      await this.#answered(sending, results);
    } catch (thrown) {
      const isRefused = thrown instanceof Refused && !thrown.mayPass;
      if (isRefused && others.length === 0) {
        await this.#answered([first], [{ id: first.note.id, status: 'refused', problem: thrown.problem } as R]);
        return;
      }
      if (isFault(thrown) && others.length === 0) {
        const { problem } = thrown;
        const kept = await this.#change(first, { did: 'fault', problem });
        if (!kept || !cameBack(kept)) throw thrown;
        this.#tell({
          heard: [{ id: first.note.id, result: { id: first.note.id, status: 'refused', problem } }],
          sent: [],
        });
        await this.#look();
        return;
      }
      const hasLeft = !(thrown instanceof Refused) || thrown.problem.type !== CUT_OFF;
      for (const kept of sending) await this.#change(kept, { did: 'silence', hasLeft });
      if (!isFault(thrown)) this.#tell({ heard: sending.map(({ note }) => ({ id: note.id, waits: true })), sent: [] });
      if (!(thrown instanceof Refused) || BETWEEN.includes(thrown.problem.status)) throw thrown;
      await this.#sendNotes([first]);
    }
  }

  /** Answers are taken by the note that they name: one may be missing, come twice or in another order. */
  async #answered(sending: KeptNote<N>[], results: R[]): Promise<void> {
    const answers = new Map(results.map((result) => [result.id, result]));
    const news: News<N, R> = { heard: [], sent: [] };
    for (const sent of sending) {
      const result = answers.get(sent.note.id);
      const kept = await this.#change(sent, result ? { did: 'answer', result } : SILENCE);
      if (!kept || !result) continue;
      const written = { kept: { ...kept, photos: [] }, result };
      news.heard.push({ id: sent.note.id, result });
      if (result.status !== 'refused') news.sent.push(written);
      if (kept.struckBy !== undefined && !(await this.#strike(written, kept.struckBy)))
        news.heard.push({ id: sent.note.id, takenBack: true });
    }
    // First what was written stands where it is read, then it waits here no more.
    this.#tell(news);
    await this.#look();
  }

  /** Strikes what a note wrote. @returns whether there is anything to strike */
  async #strike({ kept, result }: Sent<N, R>, id: string): Promise<boolean> {
    const strikes = result.status === 'refused' ? [] : this.#yard.strikes(kept, result, id);
    for (const { note, label } of strikes) await this.#add(note, label, {});
    return strikes.length > 0;
  }

  async #sendPhotos(kept: KeptNote<N>): Promise<void> {
    for (const photo of kept.photos) {
      try {
        await this.#yard.sendPhoto(kept.note, photo);
        await this.#change(kept, { did: 'photo sent', photo: photo.id });
      } catch (thrown) {
        if (!(thrown instanceof Refused) || thrown.mayPass) throw thrown;
        await this.#change(kept, { did: 'photo refused', problem: thrown.problem });
        break;
      }
    }
    await this.#look();
  }

  async #throwIfRefused({ id, status, problem }: NoteResult): Promise<void> {
    if (status !== 'refused' || !problem) return;
    await this.drop(id);
    throw new Refused(problem);
  }

  async #add(note: N, label: string, besides: Partial<KeptNote<N>>): Promise<void> {
    if (this.#person === null) throw new Error('Nobody is signed in.');
    const fresh = { photos: [], state: 'waiting' as const, tried: false, attended: false };
    const kept = { person: this.#person, note, label, ...fresh, ...besides };
    await withDevice((device) => device.add(kept));
    await this.#look();
  }

  async #changeById(id: string, event: NoteEvent<N>): Promise<KeptNote<N> | undefined> {
    const kept = (await this.#mine()).find(({ note }) => note.id === id);
    const changed = kept && (await this.#change(kept, event));
    await this.#look();
    return changed;
  }

  /** In one transaction and from what is kept then, so that no tab overwrites what another did. */
  async #change({ seq = 0 }: KeptNote<N>, event: NoteEvent<N>): Promise<KeptNote<N> | undefined> {
    let changed: KeptNote<N> | undefined;
    await withDevice((device) =>
      device.change('notes', seq, (kept) => {
        changed = kept && after(kept as KeptNote<N>, event);
        return changed && isOver(changed) ? undefined : changed;
      }),
    );
    return changed;
  }

  async #mine(): Promise<KeptNote<N>[]> {
    const all = await withDevice((device) => device.all('notes'));
    return all.map(([, kept]) => kept as KeptNote<N>).filter(({ person }) => person === this.#person);
  }

  async #look(): Promise<void> {
    const notes = await this.#mine();
    this.#state = {
      waiting: notes.filter((kept) => !cameBack(kept)).length,
      refused: notes.filter(cameBack),
      notes,
      inPageOnly: keptInPageOnly(),
    };
    for (const watcher of this.#watchers) watcher();
  }

  #tell(news: News<N, R>): void {
    this.#take(news);
    this.#tabs.postMessage(news);
  }

  #take({ heard, sent }: News<N, R>): void {
    for (const one of sent) this.#lately.set(one.kept.note.id, one);
    for (const id of [...this.#lately.keys()].slice(0, -AT_ONCE)) this.#lately.delete(id);
    if (sent.length > 0) for (const receiver of this.#receivers) receiver(sent);
    for (const one of heard) for (const listener of this.#listeners) listener(one);
  }

  /** Waits for something that is heard. */
  #listen<T>(of: (heard: Heard) => T | undefined): { heard: Promise<T>; leave: () => void } {
    let listener: (heard: Heard) => void = () => {};
    const heard = new Promise<T>((resolve) => {
      listener = (one) => {
        const wanted = of(one);
        if (wanted !== undefined) resolve(wanted);
      };
    });
    this.#listeners.add(listener);
    return { heard, leave: () => this.#listeners.delete(listener) };
  }
}

const SILENCE = { did: 'silence', hasLeft: true } as const;

/** It broke at what was sent. */
const isFault = (thrown: unknown): thrown is Refused =>
  thrown instanceof Refused && !BETWEEN.includes(thrown.problem.status);

const inVain = (milliseconds: number): Promise<'waits'> =>
  new Promise((resolve) => setTimeout(() => resolve('waits'), milliseconds));

/** As many as the yard takes at once. */
function batch<N extends Note>(notes: KeptNote<N>[]): KeptNote<N>[] {
  let size = 0;
  return notes.slice(0, AT_ONCE).filter(({ note }, index) => {
    size += JSON.stringify(note).length;
    return index === 0 || size < LARGEST_AT_ONCE;
  });
}
