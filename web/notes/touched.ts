import type { QueryClient, QueryKey } from '@tanstack/react-query';
import type { Schemas } from '../api/client';
import type { paths } from '../api/schema';

/** What something that was written may have changed. */
type Topic = 'meter' | 'due' | 'seen' | 'stock' | 'job' | 'list' | 'book';

/** The answers of the whole yard, by what they tell of. Those of one machine tell of all that happens to it. */
const TELLS_OF: Partial<Record<keyof paths, readonly Topic[]>> = {
  '/yard': ['meter', 'due', 'seen'],
  '/machines': ['meter', 'due', 'seen'],
  '/rules/{rule}/consequences': ['meter', 'due'],
  '/shared-rulebooks': ['due'],
  '/walkaround': ['meter', 'seen'],
  '/walkaround/morning': ['seen', 'book'],
  '/entries': ['book'],
  '/shelf': ['stock'],
  '/shelf/orders': ['stock', 'due', 'meter'],
  '/supplies/{supply}': ['stock'],
  '/needs': ['stock', 'due', 'meter'],
  '/works': ['due', 'meter'],
  '/lists': ['list'],
  '/lists/{list}': ['list', 'stock'],
  '/jobs': ['job'],
  '/jobs/{job}': ['job'],
};

const ALL: readonly Topic[] = ['meter', 'due', 'seen', 'stock', 'job', 'list', 'book'];

const CHANGES: Record<Schemas['Note']['kind'], readonly Topic[]> = {
  reading: ['meter', 'book'],
  line: ['meter', 'due', 'seen', 'stock', 'book'],
  meter: ['meter', 'due', 'book'],
  meter_truth: ['meter', 'due', 'book'],
  stand_down: ['seen', 'book'],
  lift: ['seen', 'book'],
  reminder: ['book'],
  remark: ['book'],
  answer: ['book'],
  top_up: ['stock', 'seen', 'book'],
  fluid: ['stock', 'due', 'book'],
  strike: ALL,
  service: ['meter', 'due', 'stock', 'seen', 'book'],
  correction: ALL,
  skip: ['due', 'book'],
  call: ['due', 'book'],
  look: ['seen', 'due', 'book'],
  mended: ['seen', 'due', 'book'],
  accept: ['seen', 'book'],
  grease: ['seen', 'due', 'book'],
  end: ['seen', 'book'],
  bought: ['stock', 'book'],
  counted: ['stock', 'book'],
  collected: ['stock', 'book'],
  gather: ['list', 'stock', 'book'],
  step: ['job'],
  sign_off: ALL,
};

/** Of a machine or of the whole yard: what was changed. */
export type Change = { machine: number | null; topics: readonly Topic[] };

export const changeOf = ({ kind, machine_id }: Pick<Schemas['Note'], 'kind' | 'machine_id'>): Change => ({
  machine: machine_id ?? null,
  topics: CHANGES[kind],
});

const OF_A_SHEET: readonly Topic[] = ['meter', 'due', 'seen', 'stock', 'job', 'book'];

/** The sheet, the rules or the spots of a machine. */
export const sheetOf = (machine: number): Change => ({ machine, topics: OF_A_SHEET });

export const STOCK: Change = { machine: null, topics: ['stock', 'due', 'list', 'book'] };
export const LISTS: Change = { machine: null, topics: ['list'] };
export const YARD: Change = { machine: null, topics: ALL };

/** Whether an answer may be another now. */
function isTouched([method, path, init]: QueryKey, { machine, topics }: Change): boolean {
  if (method !== 'get') return false;
  const asked = (init as { params?: { path?: { machine?: number } } } | undefined)?.params?.path?.machine;
  if (asked !== undefined) return machine === null ? topics.some((topic) => topic !== 'list') : asked === machine;
  return TELLS_OF[path as keyof paths]?.some((topic) => topics.includes(topic)) ?? false;
}

/** Reads again what is shown and may be another now; what is not shown is read again when it is. */
export const refetchTouched = (queries: QueryClient, change: Change): Promise<void> =>
  queries.invalidateQueries({ predicate: ({ queryKey }) => isTouched(queryKey, change) });
