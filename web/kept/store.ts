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

let opened: Promise<IDBPDatabase<Kept>> | null = null;

/** What this device keeps while it is out of reach. */
export function store(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>('jardinier', 1, {
    upgrade(db) {
      db.createObjectStore('notes', { keyPath: 'seq', autoIncrement: true });
      db.createObjectStore('answers');
      db.createObjectStore('rounds');
    },
  });
  return opened;
}

export function newId(): string {
  // Written out, because `crypto.randomUUID` is missing where a yard is served without a certificate.
  const random = () => crypto.getRandomValues(new Uint8Array(1))[0] ?? 0;
  return '10000000-1000-4000-8000-100000000000'.replace(/[018]/g, (digit) => (Number(digit) ^ (random() & (15 >> (Number(digit) / 4)))).toString(16));
}
