import { answer, api, type Schemas, sendPhoto } from '../api/client';
import { deviceNow } from '../offline/deviceTime';
import type { KeptNote } from '../offline/note';
import { Queue, type Sent } from '../offline/queue';
import { noteOf } from './told';

export type Kept = KeptNote<Schemas['Note']>;
export type Written = Sent<Schemas['Note'], Schemas['NoteResult']>;

/** This device's notes on their way into the yard's book. */
export const queue = new Queue<Schemas['Note'], Schemas['NoteResult']>({
  write: async (notes, attended, by) => {
    const body = { sent_at: deviceNow().toISOString(), by, attended, notes };
    return (await answer(api.POST('/notes', { body }))).results;
  },
  sendPhoto: (note, { id, blob }) => {
    const form = new FormData();
    form.set('id', id);
    form.set('act', note.id);
    form.set('photo', blob, 'photo.jpg');
    return sendPhoto(note.machine_id ?? 0, form);
  },
  strikes: ({ label }, { wrote = [] }, id) =>
    wrote.map((entry, index) => {
      const strike = struck(entry.id, entry.machine_id);
      return { note: index === 0 ? { ...strike, id } : strike, label: `${label}: taken back` };
    }),
});

/** What takes an entry back that was written a moment ago. */
export const struck = (entry: number, machine: number | null) =>
  noteOf({ kind: 'strike', machine_id: machine, entry, because: 'Taken back at once.' });
