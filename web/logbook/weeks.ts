import { parseDate, startOfWeek } from '@internationalized/date';
import type { Schemas } from '../api/client';
import { dayOf, metered } from '../kit/format';

type Entry = Schemas['Entry'];

/** A line of a machine's book: an entry, or the readings of one week. */
export type BookLine = { entry: Entry } | { week: string; readings: Entry[] };

/** Nothing is to be said of it but what the meter showed. */
export const isPlainReading = (entry: Entry): boolean =>
  entry.kind === 'reading' && !entry.struck && !entry.note && !entry.confirmed_because && entry.corrects_id === null;

/** The readings of each week as one line where the newest of them stood; everything else as it is. */
export function foldedByWeek(entries: Entry[]): BookLine[] {
  const weeks = grouped(entries.filter(isPlainReading), mondayOf);
  return entries.flatMap((entry): BookLine[] => {
    const readings = isPlainReading(entry) ? (weeks.get(mondayOf(entry)) ?? []) : [];
    if (readings.length < 2) return [{ entry }];
    return readings[0] === entry ? [{ week: mondayOf(entry), readings }] : [];
  });
}

/** `4 readings, 1,880.2 to 1,894.1 h`, each meter's first and last. */
export function weekInWords(readings: Entry[]): string {
  const shown = readings.flatMap((entry) => entry.readings);
  const meters = grouped(shown, ({ meter_id }) => meter_id);
  const spans = [...meters.values()].map((ofMeter) => {
    const [newest] = ofMeter;
    const oldest = ofMeter.at(-1);
    return oldest?.value === newest?.value
      ? metered(newest?.value ?? 0, newest?.unit ?? null)
      : `${metered(oldest?.value ?? 0, null)} to ${metered(newest?.value ?? 0, newest?.unit ?? null)}`;
  });
  return `${readings.length} readings, ${spans.join(', ')}`;
}

function grouped<T>(all: T[], by: (one: T) => string | number): Map<string | number, T[]> {
  const groups = new Map<string | number, T[]>();
  for (const one of all) groups.set(by(one), [...(groups.get(by(one)) ?? []), one]);
  return groups;
}

/** The Monday of its week in the yard. */
const mondayOf = ({ happened_at }: Entry): string => startOfWeek(parseDate(dayOf(happened_at)), 'en-GB').toString();
