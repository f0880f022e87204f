import { describe, expect, it, vi } from 'vitest';
import { withDevice } from '../../web/offline/device';
import type { KeptNote, Note, NoteResult } from '../../web/offline/note';
import { newId } from '../../web/offline/note';
import { Queue, type Yard } from '../../web/offline/queue';
import { CUT_OFF, Refused, UNREACHABLE } from '../../web/offline/refused';
import { atEnd, eventually, pageEnds } from './device';

type Told = Note & { says: string };
type Result = NoteResult & { wrote?: number };

const note = (says: string, machine: number | null = 1): Told => ({
  id: newId(),
  at: '2026-03-29T00:30:00Z',
  kind: says.startsWith('strike ') ? 'strike' : 'remark',
  machine_id: machine,
  says,
});

const refusal = (status: number, retryAfter?: string) =>
  new Refused({ type: '/problems/x', title: 'No', status, detail: `Refused with ${status}.` }, retryAfter);

/** A yard that writes down each note once, and can be made slow, silent or unwilling. */
class BookYard implements Yard<Told, Result> {
  readonly book: string[] = [];
  readonly sendings: string[][] = [];
  readonly photos: string[] = [];
  readonly #written = new Map<string, number>();
  /** What is done with a sending before, and after it was written down. */
  before: (notes: Told[]) => unknown = () => undefined;
  after: (results: Result[]) => unknown = (results) => results;
  photo: () => unknown = () => undefined;

  write = async (notes: Told[]): Promise<Result[]> => {
    this.sendings.push(notes.map(({ says }) => says));
    await this.before(notes);
    const results = notes.map(({ id, says }): Result => {
      if (says.startsWith('bad')) return { id, status: 'refused', problem: refusal(422).problem };
      const known = this.#written.get(id);
      if (known === undefined) this.#written.set(id, this.book.push(says) - 1);
      return { id, status: known === undefined ? 'written' : 'already', wrote: this.#written.get(id) };
    });
    return (await this.after(results)) as Result[];
  };

  sendPhoto = async (_note: Told, { id }: { id: string }): Promise<void> => {
    await this.photo();
    this.photos.push(id);
  };

  strikes = ({ note: of }: KeptNote<Told>, _result: Result, id: string) => [
    { note: { ...note(`strike ${of.says}`, of.machine_id ?? null), id }, label: 'taken back' },
  ];
}

function opened(yard = new BookYard(), person = 5) {
  const queue = new Queue<Told, Result>(yard);
  atEnd(queue.open(person));
  return { yard, queue };
}

const unsent = async () =>
  (await withDevice((device) => device.all('notes'))).map(([, { note: of }]) => (of as Told).says);
const isEmpty = (queue: Queue<Told, Result>) => eventually(() => expect(queue.now().waiting).toBe(0));

const LATER = { toFake: ['setTimeout', 'clearTimeout'] as ('setTimeout' | 'clearTimeout')[] };

/** Whatever is ready to go on goes on: of the databases beneath too, which wait for no clock. */
const { setImmediate } = globalThis as unknown as { setImmediate: (then: (value?: unknown) => void) => void };

/** So much time passes, with all that the device does meanwhile. */
async function pass(milliseconds: number): Promise<void> {
  for (let left = milliseconds; left > 0; left -= 500) {
    for (let turn = 0; turn < 20; turn++) await new Promise(setImmediate);
    await vi.advanceTimersByTimeAsync(Math.min(500, left));
  }
  for (let turn = 0; turn < 40; turn++) await new Promise(setImmediate);
}

/** An answer that comes when it is let go. */
function held(): { promise: Promise<void>; resolve: () => void } {
  let resolve = () => {};
  const promise = new Promise<void>((go) => {
    resolve = go;
  });
  return { promise, resolve };
}
const silent = () => new Promise<never>(() => {});

describe('notes on their way', () => {
  it('are written once and in the order of writing, whatever is sent twice', async () => {
    const { yard, queue } = opened();
    yard.after = vi.fn((results: Result[]) => results).mockRejectedValueOnce(new Refused(UNREACHABLE));
    vi.useFakeTimers(LATER);
    await queue.keep(note('one'), 'one');
    await eventually(() => expect(yard.book).toEqual(['one']));
    await queue.keep(note('two'), 'two');
    await pass(70_000);
    await isEmpty(queue);
    expect(yard.book).toEqual(['one', 'two']);
    expect(yard.sendings[0]).toEqual(['one']);
    expect(yard.sendings.flat().filter((says) => says === 'one').length).toBeGreaterThan(1);
  });

  it('are taken by the note that an answer names, in another order, twice, or not at all', async () => {
    const { yard, queue } = opened();
    const release = held();
    yard.before = () => release.promise;
    yard.after = vi
      .fn((results: Result[]) => results)
      .mockImplementationOnce((results) => results)
      .mockImplementationOnce((results) => [results[1], results[0], results[0]] as Result[]);
    const first = queue.tell(note('first'), 'first');
    await eventually(() => expect(yard.sendings).toHaveLength(1));
    const [bad, two, three] = [queue.tell(note('bad two'), 'two'), queue.tell(note('three'), 'three'), note('four')];
    bad.catch(() => undefined);
    await queue.keep(three, 'four');
    release.resolve();
    await expect(first).resolves.toMatchObject({ status: 'written' });
    await expect(bad).rejects.toThrow('Refused with 422.');
    await expect(two).resolves.toMatchObject({ status: 'written', wrote: 1 });
    await isEmpty(queue);
    expect(yard.book).toEqual(['first', 'three', 'four']);
    expect(yard.sendings[2]).toEqual(['four']);
    expect(await unsent()).toEqual([]);
  });

  it.each([400, 403, 404, 409, 410, 413, 422])(
    'come back with %i to whoever wrote them, and hold up nothing',
    async (status) => {
      const { yard, queue } = opened();
      yard.before = (notes) => {
        if (notes.some(({ says }) => says === 'not mine')) throw refusal(status);
      };
      await Promise.all([
        queue.keep(note('one'), 'one'),
        queue.keep(note('not mine'), 'two'),
        queue.keep(note('three'), 'three'),
      ]);
      await isEmpty(queue);
      expect(yard.book).toEqual(['one', 'three']);
      expect(queue.now().refused.map(({ label, problem }) => [label, problem?.status])).toEqual([['two', status]]);
      await queue.drop(queue.now().refused[0]?.note.id ?? '');
      expect(await unsent()).toEqual([]);
    },
  );

  it.each([0, 401, 408, 425, 429, 500, 502, 503, 504])('wait with %i, and go when that has passed', async (status) => {
    vi.useFakeTimers(LATER);
    const { yard, queue } = opened();
    yard.before = vi.fn().mockRejectedValueOnce(refusal(status)).mockResolvedValue(undefined);
    await queue.keep(note('one'), 'one');
    await eventually(() => expect(yard.sendings).toHaveLength(1));
    expect(queue.now()).toMatchObject({ waiting: 1, refused: [] });
    await pass(5_100);
    await isEmpty(queue);
    expect(yard.book).toEqual(['one']);
  });

  it('at which the yard breaks twice come back, and what was written after them goes', async () => {
    vi.useFakeTimers(LATER);
    const { yard, queue } = opened();
    yard.before = (notes) => {
      if (notes.some(({ says }) => says === 'fault')) throw refusal(500);
    };
    await Promise.all([queue.keep(note('fault'), 'fault'), queue.keep(note('after it'), '')]);
    await pass(12_000);
    await isEmpty(queue);
    expect(yard.book).toEqual(['after it']);
    expect(queue.now().refused.map(({ label, problem }) => [label, problem?.status])).toEqual([['fault', 500]]);
  });

  it('are known to wait as soon as nobody answers', async () => {
    const { yard, queue } = opened();
    yard.before = () => {
      throw new Refused(UNREACHABLE);
    };
    await expect(queue.tell(note('one'), '')).resolves.toBe('waits');
    expect(queue.now().waiting).toBe(1);
  });

  it('are not sent before the yard wants to be asked again', async () => {
    vi.useFakeTimers(LATER);
    const { yard, queue } = opened();
    yard.before = vi.fn().mockRejectedValueOnce(refusal(429, '90')).mockResolvedValue(undefined);
    await queue.keep(note('one'), 'one');
    await eventually(() => expect(yard.sendings).toHaveLength(1));
    await pass(80_000);
    expect(yard.book).toEqual([]);
    await pass(11_000);
    await isEmpty(queue);
  });

  it('of one machine wait behind a fault of theirs; those of another go', async () => {
    vi.useFakeTimers(LATER);
    const { yard, queue } = opened();
    let isMended = false;
    yard.before = (notes) => {
      if (!isMended && notes.some(({ says }) => says === 'fault')) throw refusal(500);
    };
    await Promise.all([
      queue.keep(note('fault', 1), ''),
      queue.keep(note('after it', 1), ''),
      queue.keep(note('other', 2), ''),
    ]);
    await eventually(() => expect(yard.book).toEqual(['other']));
    isMended = true;
    await pass(60_000);
    await isEmpty(queue);
    expect(yard.book).toEqual(['other', 'fault', 'after it']);
  });

  it("are those of whoever is signed in; another person's wait for them", async () => {
    const { yard, queue } = opened();
    yard.before = () => silent();
    await queue.keep(note('of five'), '');
    await pageEnds();
    const other = opened(new BookYard(), 6);
    await other.queue.keep(note('of six'), '');
    await isEmpty(other.queue);
    expect(other.yard.book).toEqual(['of six']);
    expect(await unsent()).toEqual(['of five']);
  });

  it('that were being sent when the phone fell asleep for a week are sent when it wakes', async () => {
    const asleep = opened();
    asleep.yard.before = () => silent();
    await asleep.queue.keep(note('a week ago'), '');
    await eventually(() => expect(asleep.yard.sendings).toHaveLength(1));
    await pageEnds();
    const awake = opened();
    await eventually(() => expect(awake.yard.book).toEqual(['a week ago']));
  });
});

describe('a picture', () => {
  const photos = [{ id: 'picture', blob: new Blob(['jpeg']) }];

  it('goes after its note, and holds up no other note while there is no room for it', async () => {
    vi.useFakeTimers(LATER);
    const { yard, queue } = opened();
    yard.photo = vi.fn().mockRejectedValueOnce(refusal(507)).mockResolvedValue(undefined);
    await queue.keep(note('seen'), '', photos);
    await queue.keep(note('next'), '');
    await eventually(() => expect(yard.book).toEqual(['seen', 'next']));
    expect(queue.now().waiting).toBe(1);
    await pass(6_000);
    await isEmpty(queue);
    expect(yard.photos).toEqual(['picture']);
  });

  it('that is refused comes back; its note stands and is not sent again', async () => {
    const { yard, queue } = opened();
    yard.photo = vi.fn().mockRejectedValueOnce(refusal(403)).mockResolvedValue(undefined);
    const seen = note('seen');
    await queue.keep(seen, '', photos);
    await eventually(() => expect(queue.now().refused).toHaveLength(1));
    await queue.sendAgain(seen.id, seen);
    await isEmpty(queue);
    expect(yard.book).toEqual(['seen']);
    expect(yard.photos).toEqual(['picture']);
  });
});

describe('taking back', () => {
  it('leaves nothing of what never left the device', async () => {
    vi.useFakeTimers(LATER);
    const { yard, queue } = opened();
    yard.before = vi.fn().mockImplementationOnce(silent);
    await queue.keep(note('in the way'), '');
    const slip = note('slip');
    await queue.keep(slip, '');
    await queue.takeBack(slip.id);
    expect(await unsent()).toEqual(['in the way']);
  });

  it('leaves nothing of what was tried where the device had no connection of any kind', async () => {
    const { yard, queue } = opened();
    yard.before = () => {
      throw new Refused({ ...UNREACHABLE, type: CUT_OFF });
    };
    const slip = note('slip');
    await expect(queue.tell(slip, '')).resolves.toBe('waits');
    await queue.takeBack(slip.id);
    expect(await unsent()).toEqual([]);
  });

  it('waits for the answer of what is being sent, and strikes it then', async () => {
    const { yard, queue } = opened();
    const release = held();
    yard.before = vi.fn().mockReturnValueOnce(release.promise);
    const slip = note('slip');
    await queue.keep(slip, '');
    await eventually(() => expect(yard.sendings).toHaveLength(1));
    const said = vi.fn();
    const back = queue.takeBack(slip.id).then(said);
    await new Promise((resolve) => setTimeout(resolve, 30));
    expect(said).not.toHaveBeenCalled();
    release.resolve();
    await back;
    expect(yard.book).toEqual(['slip', 'strike slip']);
    await isEmpty(queue);
  });

  it('strikes what was answered after nobody waited for it any more', async () => {
    vi.useFakeTimers(LATER);
    const { yard, queue } = opened();
    const release = held();
    yard.before = vi.fn().mockReturnValueOnce(release.promise);
    const slip = note('slip');
    const told = queue.tell(slip, '');
    await pass(8_100);
    await expect(told).resolves.toBe('waits');
    release.resolve();
    await isEmpty(queue);
    await queue.takeBack(slip.id);
    expect(yard.book).toEqual(['slip', 'strike slip']);
  });

  it('strikes what an earlier page may have sent, once the yard has said that it has it', async () => {
    const asleep = opened();
    const slip = note('slip');
    asleep.yard.after = () => silent();
    await asleep.queue.keep(slip, '');
    await eventually(() => expect(asleep.yard.book).toEqual(['slip']));
    await pageEnds();
    const { queue } = opened(asleep.yard);
    asleep.yard.after = (results) => results;
    await queue.takeBack(slip.id);
    expect(asleep.yard.book).toEqual(['slip', 'strike slip']);
  });

  it('says so where it cannot be struck, and keeps no strike', async () => {
    const { yard, queue } = opened();
    yard.strikes = (_kept, _result, id) => [{ note: { ...note('bad strike'), id }, label: '' }];
    const release = held();
    yard.before = vi.fn().mockReturnValueOnce(release.promise);
    const slip = note('slip');
    await queue.keep(slip, '');
    await eventually(() => expect(yard.sendings).toHaveLength(1));
    const back = queue.takeBack(slip.id);
    release.resolve();
    await expect(back).rejects.toThrow('Refused with 422.');
    expect(await unsent()).toEqual([]);
  });

  it('leaves nothing to strike of what the yard refused', async () => {
    const { yard, queue } = opened();
    const release = held();
    yard.before = vi.fn().mockReturnValueOnce(release.promise);
    const slip = note('bad slip');
    await queue.keep(slip, '');
    await eventually(() => expect(yard.sendings).toHaveLength(1));
    const back = queue.takeBack(slip.id);
    release.resolve();
    await back;
    expect(yard.book).toEqual([]);
    expect(queue.now()).toMatchObject({ waiting: 0, refused: [] });
  });
});

describe('two tabs', () => {
  it('send one after the other, and each hears what became of its own', async () => {
    const yard = new BookYard();
    const [one, two] = [opened(yard), opened(yard)];
    await Promise.all([one.queue.tell(note('of one'), ''), two.queue.tell(note('of two'), '')]);
    await Promise.all([isEmpty(one.queue), isEmpty(two.queue)]);
    expect([...yard.book].sort()).toEqual(['of one', 'of two']);
  });

  it('do not undo what the other did: what one takes back while the other sends is struck', async () => {
    const yard = new BookYard();
    const [one, two] = [opened(yard), opened(yard)];
    const release = held();
    yard.before = vi.fn().mockReturnValueOnce(release.promise);
    const slip = note('slip');
    await one.queue.keep(slip, '');
    await eventually(() => expect(yard.sendings).toHaveLength(1));
    const back = two.queue.takeBack(slip.id);
    release.resolve();
    await back;
    expect(yard.book).toEqual(['slip', 'strike slip']);
  });
});
