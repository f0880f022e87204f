import type { Problem } from './refused';

/** The least that is known here of what somebody tells: when it was written by the device's own clock, and of which machine. */
export type Note = { id: string; at: string; kind: string; machine_id?: number | null };

/** What the yard says of a note that was sent. */
export type NoteResult = { id: string; status: 'written' | 'already' | 'refused'; problem?: Problem };

/**
 * Where a note stands. It waits, is sent, and is then written or comes back refused. While it waits it can be cancelled; once anything of it left the
 * device, it can only be struck after the yard has answered.
 */
type NoteState = 'waiting' | 'sending' | 'written' | 'refused' | 'cancelled';

/** A note on this device, with its pictures. */
export type KeptNote<N extends Note = Note> = {
  seq?: number;
  person: number;
  note: N;
  /** What it says, for whoever looks at what waits. */
  label: string;
  photos: { id: string; blob: Blob }[];
  state: NoteState;
  /** Whether it was sent before: the yard may have it. */
  tried: boolean;
  /** Whether the yard broke at it once. At the second time it comes back. */
  hadFault?: boolean;
  /** Whether somebody waits beside their form for the answer. */
  attended: boolean;
  /** It was taken back when it may already have been written: the id under which it is struck after the answer. */
  struckBy?: string;
  /** Why it came back; where it is written already, why its picture did. */
  problem?: Problem;
};

export type NoteEvent<N extends Note = Note> =
  | { did: 'send' }
  | { did: 'silence'; hasLeft: boolean }
  | { did: 'fault'; problem: Problem }
  | { did: 'answer'; result: NoteResult }
  | { did: 'take back'; struckBy: string }
  | { did: 'throw away' }
  | { did: 'send again'; note: N }
  | { did: 'photo sent'; photo: string }
  | { did: 'photo refused'; problem: Problem }
  | { did: 'leave' };

/** What becomes of a note by what happens to it. What does not fit its state leaves it as it is. */
export function after<N extends Note>(kept: KeptNote<N>, event: NoteEvent<N>): KeptNote<N> {
  const is = (...states: NoteState[]) => states.includes(kept.state);
  switch (event.did) {
    case 'send':
      return is('waiting') ? { ...kept, state: 'sending' } : kept;
    case 'silence':
      return is('sending') ? { ...kept, state: 'waiting', tried: kept.tried || event.hasLeft } : kept;
    case 'fault':
      return kept.hadFault && kept.struckBy === undefined
        ? { ...kept, state: 'refused', problem: event.problem }
        : { ...kept, state: 'waiting', tried: true, hadFault: true };
    case 'answer':
      return is('sending') ? answered(kept, event.result) : kept;
    case 'take back':
      if (is('refused') || (is('waiting') && !kept.tried)) return { ...kept, state: 'cancelled' };
      // Sent once more, to hear what it wrote; its pictures need not go.
      return { ...kept, state: is('written') ? 'waiting' : kept.state, photos: [], struckBy: event.struckBy };
    case 'throw away':
      return cameBack(kept) ? { ...kept, state: is('refused') ? 'cancelled' : kept.state, photos: [] } : kept;
    case 'send again':
      return is('refused')
        ? { ...kept, note: event.note, state: 'waiting', tried: false, hadFault: false, problem: undefined }
        : { ...kept, problem: undefined };
    case 'photo sent':
      return { ...kept, photos: kept.photos.filter(({ id }) => id !== event.photo) };
    case 'photo refused':
      return { ...kept, problem: event.problem };
    case 'leave':
      return { ...kept, attended: false };
  }
}

function answered<N extends Note>(kept: KeptNote<N>, { status, problem }: NoteResult): KeptNote<N> {
  if (status !== 'refused') return { ...kept, state: 'written' };
  return kept.struckBy === undefined ? { ...kept, state: 'refused', problem } : { ...kept, state: 'cancelled' };
}

/** Whether nothing of it is left to do on this device. */
export const isOver = (kept: KeptNote): boolean =>
  kept.state === 'cancelled' || (kept.state === 'written' && kept.photos.length === 0);

/** Whether it waits for its writer, not for signal. */
export const cameBack = (kept: KeptNote): boolean => kept.problem !== undefined;

export function newId(): string {
  // Written out, because `crypto.randomUUID` is missing where a yard is served without a certificate.
  const random = () => crypto.getRandomValues(new Uint8Array(1))[0] ?? 0;
  return '10000000-1000-4000-8000-100000000000'.replace(/[018]/g, (digit) =>
    (Number(digit) ^ (random() & (15 >> (Number(digit) / 4)))).toString(16),
  );
}

/** What must arrive in the order in which it was written: all that is told of one machine. */
export const laneOf = (kept: KeptNote): number => kept.note.machine_id ?? 0;
