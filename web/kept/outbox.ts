import { answer, api, type Problem, Refused, type Schemas } from '../api/client';
import { now } from '../kit/clock';
import { type KeptNote, keptInPageOnly, withStore } from './store';

export type Sent = { note: Schemas['Note']; act?: Schemas['Act'] };
/** What the yard has to ask of a note beside which nobody waited for the answer. */
export type Asked = { id: string; label: string; asks: string[] };
export type Outbox = {
  waiting: number;
  refused: KeptNote[];
  asked: Asked[];
  /** Everything that is kept, those that came back too. */
  notes: KeptNote[];
  /** All of it is lost with this page, because the browser keeps nothing. */
  inPageOnly: boolean;
};

const AT_ONCE = 100;
const LARGEST_AT_ONCE = 200_000;
const TRY_AGAIN_AFTER = 10_000;
/** Whoever waits for an answer longer than this is told that it is kept. */
const PATIENCE = 8_000;

let person: number | null = null;
let again: ReturnType<typeof setTimeout> | undefined;
let sending = false;
let state: Outbox = { waiting: 0, refused: [], asked: [], inPageOnly: false, notes: [] };
const watchers = new Set<() => void>();
const receivers = new Set<(sent: Sent[]) => void>();
/** Those who wait beside their form, by the id of their note. */
const waitingFor = new Map<string, (result: Schemas['NoteResult'] | 'waits') => void>();

export const outboxNow = (): Outbox => state;

export function watchOutbox(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

/** Is told what the yard has written down. */
export function onSent(receiver: (sent: Sent[]) => void): () => void {
  receivers.add(receiver);
  return () => receivers.delete(receiver);
}

/** From here on this person's notes are sent; another's wait until they sign in here again. */
export function openOutbox(of: number): () => void {
  person = of;
  const send = () => void sendWaiting();
  const stay = (event: BeforeUnloadEvent) => state.inPageOnly && state.waiting > 0 && event.preventDefault();
  window.addEventListener('beforeunload', stay);
  window.addEventListener('online', send);
  document.addEventListener('visibilitychange', send);
  void tellWatchers().then(send);
  return () => {
    person = null;
    clearTimeout(again);
    window.removeEventListener('beforeunload', stay);
    window.removeEventListener('online', send);
    document.removeEventListener('visibilitychange', send);
  };
}

/** Keeps a note on this device, and sends it as soon as there is signal. */
export async function keepNote(note: Schemas['Note'], label: string, photos: KeptNote['photos'] = []): Promise<void> {
  if (person === null) throw new Error('Nobody is signed in.');
  const noted = { person, note, label, photos, written: false };
  await withStore((device) => device.add('notes', noted));
  await tellWatchers();
  void sendWaiting();
}

/**
 * Keeps a note and waits for what the yard says of it: what became of it, or that it waits for signal.
 *
 * @throws Refused what the yard refuses; it is not kept then, because whoever typed it still sees it
 */
export async function tellNote(note: Schemas['Note'], label: string): Promise<Schemas['NoteResult'] | 'waits'> {
  const told = new Promise<Schemas['NoteResult'] | 'waits'>((resolve) => {
    waitingFor.set(note.id, resolve);
    setTimeout(() => resolve('waits'), PATIENCE);
  });
  await keepNote(note, label);
  const result = await told;
  waitingFor.delete(note.id);
  if (result !== 'waits' && result.status === 'refused' && result.problem) throw new Refused(result.problem);
  return result;
}

/** Sends a refused note once more, put right. */
export async function sendAgain(kept: KeptNote, note: Schemas['Note']): Promise<void> {
  const { refused: _, ...rest } = kept;
  await withStore((device) => device.put('notes', { ...rest, note }));
  await tellWatchers();
  void sendWaiting();
}

export async function dropNote(id: string): Promise<void> {
  for (const kept of await mine()) if (kept.note.id === id) await forget(kept);
  await tellWatchers();
}

/** How many notes would stay behind on this device. */
export const countWaiting = async (): Promise<number> => (await mine()).length;

async function forget({ seq }: KeptNote): Promise<void> {
  if (seq !== undefined) await withStore((device) => device.delete('notes', seq));
}

async function putOrForget(kept: KeptNote, done: boolean): Promise<void> {
  await (done ? forget(kept) : withStore((device) => device.put('notes', kept)));
}

async function mine(): Promise<KeptNote[]> {
  const all = await withStore((device) => device.getAll('notes'));
  return all.filter((kept) => kept.person === person);
}

async function tellWatchers(): Promise<void> {
  const all = await mine();
  state = {
    waiting: all.filter((kept) => !kept.refused).length,
    refused: all.filter((kept) => kept.refused),
    asked: state.asked,
    notes: all,
    inPageOnly: keptInPageOnly(),
  };
  for (const watcher of watchers) watcher();
}

/** One tab of one device sends at a time, so that the order is kept. */
async function sendWaiting(): Promise<void> {
  if (sending || person === null) return;
  sending = true;
  clearTimeout(again);
  let outOfReach = false;
  try {
    await (navigator.locks ? navigator.locks.request('jardinier-outbox', sendAll) : sendAll());
  } catch (thrown) {
    outOfReach = true;
    if (!(thrown instanceof Refused)) throw thrown;
  } finally {
    sending = false;
    if (outOfReach) for (const answer of waitingFor.values()) answer('waits');
    await tellWatchers();
    // What was noted while the last of the others were sent goes at once.
    if (state.waiting > 0) again = setTimeout(() => void sendWaiting(), outOfReach ? TRY_AGAIN_AFTER : 0);
  }
}

async function sendAll(): Promise<void> {
  for (;;) {
    const notes = (await mine()).filter((kept) => !kept.refused);
    // What is only a picture still waits for room on the yard's disk, and holds nothing else up.
    const waiting = batch(notes.sort((one, other) => Number(one.written) - Number(other.written)));
    if (waiting.length === 0) return;
    const fresh = waiting.filter((kept) => !kept.written);
    if (fresh.length > 0) await sendNotes(fresh);
    for (const kept of waiting) await sendPhotos(kept);
    await tellWatchers();
  }
}

/** As many as the yard takes at once. */
function batch(notes: KeptNote[]): KeptNote[] {
  let size = 0;
  return notes.slice(0, AT_ONCE).filter(({ note }, index) => {
    size += JSON.stringify(note).length;
    return index === 0 || size < LARGEST_AT_ONCE;
  });
}

/** Where a sending is refused as a whole, each note is sent alone, so that only the one at fault is set aside. */
async function sendNotes(notes: KeptNote[]): Promise<void> {
  try {
    await sendTogether(notes);
  } catch (thrown) {
    if (!(thrown instanceof Refused) || ![400, 413, 422, 500].includes(thrown.problem.status)) throw thrown;
    const [only, ...others] = notes;
    if (others.length > 0) {
      for (const note of notes) await sendNotes([note]);
    } else if (only) {
      await comeBack(only, thrown.problem);
    }
  }
}

/** To whoever waits for it beside their form, else to those that came back. */
async function comeBack(kept: KeptNote, problem: Problem): Promise<void> {
  const answer = waitingFor.get(kept.note.id);
  if (answer) {
    await forget(kept);
    answer({ id: kept.note.id, status: 'refused', problem });
  } else {
    await withStore((device) => device.put('notes', { ...kept, refused: problem }));
  }
}

async function sendTogether(notes: KeptNote[]): Promise<void> {
  const { results } = await answer(
    api.POST('/notes', {
      body: {
        sent_at: now().toISOString(),
        attended: notes.flatMap(({ note }) => (waitingFor.has(note.id) ? note.id : [])),
        notes: notes.map(({ note }) => note),
      },
    }),
  );
  const sent: Sent[] = [];
  for (const [index, result] of results.entries()) {
    const kept = notes[index];
    if (!kept) break;
    if (result.status === 'refused' && result.problem) {
      await comeBack(kept, result.problem);
      continue;
    }
    kept.written = true;
    sent.push({ note: kept.note, act: result.act });
    if (!waitingFor.has(kept.note.id)) remember(kept, result);
    await putOrForget(kept, kept.photos.length === 0);
    waitingFor.get(kept.note.id)?.(result);
  }
  for (const receiver of receivers) receiver(sent);
}

/** Until it is read: it stays with the entry too, and in the morning of whoever wrote it. */
function remember({ note, label }: KeptNote, { entry, others, asks = [] }: Schemas['NoteResult']): void {
  const ofEntries = [entry ?? [], others ?? []].flat().flatMap(({ doubts }) => doubts.map((doubt) => doubt.asks));
  const all = [...asks, ...ofEntries];
  if (all.length > 0) state = { ...state, asked: [...state.asked, { id: note.id, label, asks: all }] };
}

export async function forgetAsked(id: string): Promise<void> {
  state = { ...state, asked: state.asked.filter((asked) => asked.id !== id) };
  await tellWatchers();
}

async function sendPhotos(kept: KeptNote): Promise<void> {
  while (kept.written && !kept.refused && kept.photos.length > 0) {
    const [photo, ...rest] = kept.photos;
    if (!photo) break;
    const form = new FormData();
    form.set('id', photo.id);
    form.set('act', kept.note.id);
    form.set('photo', photo.blob, 'photo.jpg');
    try {
      await answer(
        api.POST('/machines/{machine}/photos', {
          params: { path: { machine: kept.note.machine_id ?? 0 } },
          body: form as never,
          bodySerializer: (body) => body as unknown as FormData,
        }),
      );
      kept.photos = rest;
    } catch (thrown) {
      if (!(thrown instanceof Refused) || ![400, 403, 404, 409, 413, 422, 500].includes(thrown.problem.status))
        throw thrown;
      kept.refused = thrown.problem;
    }
    await putOrForget(kept, kept.photos.length === 0);
  }
}
